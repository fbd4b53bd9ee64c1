import { z } from 'zod'
import { counted } from '#core/kernel/figure'
import { type Mounting, type SocketNeed, mountings, socketNeeds } from '#core/identify/inventory/read-inventory'
import { closed, ending, entry, shown } from '../../kernel/contract'
import { word } from '../../kernel/fields'
import { InventoryRow } from './rows'

const s = z.string()
const n = z.number()

export const entries = {
  'inventory.listed': entry(
    z.object({ assembly: s, count: n, fromTag: s.nullable() }),
    d =>
      d.fromTag
        ? `${counted(d.count, 'part')} of ${d.assembly} to be looked through, as ${d.fromTag} has them.`
        : `${counted(d.count, 'part')} of ${d.assembly} written down.`,
    shown,
  ),
  'inventory.looked': entry(z.object({ assembly: s, count: n }), d => `${counted(d.count, 'part')} of ${d.assembly} looked at: as listed.`, shown),
  'inventory.changed': entry(
    z.object({ ...InventoryRow.said, mounting: word<Mounting>(), need: word<SocketNeed>() }),
    d =>
      `${d.assembly} ${d.place}, as it now reads: ${[
        d.mounting === 'empty' ? `empty socket, ${socketNeeds[d.need].toLowerCase()}` : `${d.count > 1 ? `${d.count} × ` : ''}${d.marking}`,
        ...(d.organisation ? [d.organisation] : []),
        ...(d.label ? [`“${d.label}”`] : []),
        ...(d.mounting === 'empty' || d.mounting === 'not-known' ? [] : [mountings[d.mounting].toLowerCase()]),
        ...(d.dateCode ? [d.dateCode] : []),
        ...(d.unused ? ['unused'] : []),
      ].join(', ')}.`,
    shown,
    d => [d.note],
  ),
  'inventory.dropped': entry(
    z.object({ assembly: s, place: s, reason: s }),
    d => `${d.assembly} ${d.place} taken off the inventory: ${ending(d.reason)}`,
    closed,
    d => [d.reason],
  ),
} as const
