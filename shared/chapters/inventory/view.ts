import { z } from 'zod'
import type { PlaceBeside } from '#core/identify/inventory/compare-inventories'
import type { PartGroup } from '#core/identify/inventory/judge-inventory'
import type { Mounting, SocketNeed } from '#core/identify/inventory/read-inventory'
import { word } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { InventoryRow } from './rows'

const s = z.string()
const n = z.number()

export const view = z.object({
  inventory: z.object({
    lines: z.array(
      z.object({
        id: n,
        version: n,
        ...InventoryRow.seen,
        mounting: word<Mounting>(),
        /** By what is written at the line, or else by what is known of the model. */
        need: word<SocketNeed>(),
        /** What it is, by its number. */
        says: s,
        /** It was looked at here. */
        looked: z.boolean(),
      }),
    ),
    groups: z.array(z.custom<PartGroup>()),
    ramBytes: n,
    romBytes: n,
    findings: z.array(Finding),
    /** Sisters that have one: to be laid beside, or taken over board by board. */
    sisters: z.array(z.object({ tag: s, nickname: s, variant: s, lines: n })),
  }),
})

/** Two machines side by side. */
export const BesideView = z.object({ here: s, there: s, places: z.array(z.custom<PlaceBeside>()) })
export type BesideView = z.infer<typeof BesideView>
