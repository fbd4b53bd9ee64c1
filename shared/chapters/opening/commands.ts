import { z } from 'zod'
import { command } from '../../kernel/contract'
import { bounded, id, optionalQuantity, optionalText, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

const photographId = id.nullable().default(null)

const OpeningStep = {
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
  photographId,
}

export const onMachine = {
  'record-opening-step': command(atTheBench, z.object(OpeningStep), { asks: 'open' }),
  'change-opening-step': command(atTheBench, z.object({ stepId: id, version, ...OpeningStep })),
  'reuse-opening': command(atTheBench, z.object({ fromTag: text('From which machine', 40) })),
  'count-back': command(
    atTheBench,
    z.object({
      stepId: id,
      version,
      back: z.array(bounded('Counted back', { from: 0, upTo: 400 }).pipe(z.number().int('Counted back: a whole number, please.'))).max(12),
    }),
  ),
} as const
