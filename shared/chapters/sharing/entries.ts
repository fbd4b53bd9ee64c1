import { z } from 'zod'
import { closed, ending, entry, shown } from '../../kernel/contract'

const s = z.string()

export const entries = {
  'bulletin.accepted': entry(z.object({ model: s, happens: s }), d => `Bulletin of ${d.model}: ${ending(d.happens)}`, closed),
  'bulletin.withdrawn': entry(z.object({ model: s, happens: s, why: s }), d => `Bulletin of ${d.model} withdrawn, ${d.happens}: ${ending(d.why)}`, closed),
  'bulletin.read': entry(z.object({ happens: s, found: s }), d => `Looked for what others of this model had: ${ending(d.happens)} ${ending(d.found)}`, shown),
} as const
