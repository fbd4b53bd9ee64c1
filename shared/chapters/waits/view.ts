import { z } from 'zod'

export const view = z.object({})
