import { z } from 'zod'
import { partConditionNames } from '#core/parts/ledger'
import { needStops } from '#core/parts/needs'
import { partKindNames } from '#core/parts/substitute/substitute'
import { howMany, oneOf, optionalBounded, optionalDay, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** What a part is like, by the fields of its kind; as typed, or as it is kept. */
const asIs = {
  kind: oneOf(partKindNames, 'Kind of part').nullable().default(null),
  spec: z.record(z.string().max(40), z.union([z.string().max(80), z.number(), z.boolean()])).default({}),
}

/** A line of an order. */
export const OrderLine = {
  name: text('Part', 120),
  count: howMany,
  unitPrice: optionalBounded('Price of one', { from: 0, upTo: 1_000_000 }),
  note: optionalText('Note', 300),
  ...asIs,
}

/** A part that is wanted: what, how many, what for, what hangs on it, and how it is lived with until it is there. */
export const PartNeed = row(
  {
    name: text('Part', 120),
    quantity: howMany,
    stops: oneOf(needStops, 'What it stops'),
    affects: optionalText('Which function', 80),
    place: optionalText('For which place', 80),
    workaround: optionalText('Until then', 160),
    byWhen: optionalDay('Until when'),
    wouldDo: optionalText('What would do instead', 600),
    forFirstStart: optionalText('What does for a first start', 600),
    ...asIs,
  },
  { affects: '', place: '', workaround: '', byWhen: null, wouldDo: '', forFirstStart: '', kind: null, spec: {} },
)

/** A line of the ledger: like units that lie together. */
export const HeldPart = row(
  {
    name: text('Part', 120),
    condition: oneOf(partConditionNames, 'How it is'),
    lies: optionalText('Where it lies', 120),
    source: optionalText('From whom', 120),
    unitPrice: optionalBounded('Price of one', { from: 0, upTo: 1_000_000 }),
    /** It travels with the part, and never dates the machine that the part lands in. */
    dateCode: optionalText('Date code', 20),
    lender: optionalText('Whose it is', 120),
    backBy: optionalDay('Back to them by'),
    note: optionalText('Note', 300),
    /** Where fewer lie on the shelf, or are on their way, it is bought again. */
    keepAtLeast: optionalBounded('Keep at least', { from: 0, upTo: 9999 }),
    ...asIs,
  },
  { keepAtLeast: null },
)
