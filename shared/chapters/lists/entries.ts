import { z } from 'zod'
import { closed, entry, quote } from '../../kernel/contract'

const s = z.string()

export const entries = {
  'list.kept': entry(z.object({ name: s }), d => `The list ${quote(d.name)} was kept.`, closed),
  'list.dropped': entry(z.object({ name: s }), d => `The list ${quote(d.name)} was dropped.`, closed),
} as const
