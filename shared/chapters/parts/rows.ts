import { z } from 'zod'
import { needStops } from '#core/parts/needs'
import { bounded, oneOf, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** A part that is wanted: what, how many, what for, what hangs on it, and how it is lived with until it is there. */
export const PartNeed = row(
  {
    name: text('Part', 120),
    quantity: bounded('How many', { above: 0, upTo: 9999 }).pipe(z.number().int('How many: a whole number, please.')),
    stops: oneOf(needStops, 'What it stops'),
    affects: optionalText('Which function', 80),
    place: optionalText('For which place', 80),
    workaround: optionalText('Until then', 160),
    byWhen: z.iso.date('Until when: choose a day.').nullable().default(null),
  },
  { affects: '', place: '', workaround: '', byWhen: null },
)
