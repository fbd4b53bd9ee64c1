import { z } from 'zod'

const id = z.number()
const s = z.string()

export const view = z.object({ cleanings: z.array(z.object({ id, what: s, withWhat: s, byWhom: s, at: s })) })
