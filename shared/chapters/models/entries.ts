import { z } from 'zod'
import { closed, entry } from '../../kernel/contract'

const s = z.string()

export const entries = {
  'model.added': entry(z.object({ maker: s, name: s }), d => `Model added: ${d.name} by ${d.maker}.`, closed),
  'model.changed': entry(z.object({ maker: s, name: s }), d => `Model changed: ${d.name} by ${d.maker}.`, closed),
} as const
