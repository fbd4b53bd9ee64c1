import { z } from 'zod'
import { bounded, optionalQuantity, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** What was undone in one step, with what holds it: what the next one of its model may take over. */
export const OpeningStep = row({
  what: text('What was undone', 200),
  fixings: z
    .array(
      z.object({
        count: bounded('How many', { above: 0, upTo: 200 }).pipe(z.number().int('How many: a whole number, please.')),
        head: optionalText('Head', 40),
        lengthMm: optionalQuantity('mm', 'Length in mm', { above: 0, upTo: 500 }),
        tray: optionalText('Tray cell', 20),
      }),
    )
    .max(12, 'Fixings: twelve kinds in one step at most.')
    .default([]),
  connectors: z.array(text('Connector', 120)).max(30, 'Connectors: thirty at most.').default([]),
  hides: optionalText('What hides here', 200),
  hazard: optionalText('What may tear or break', 200),
})
