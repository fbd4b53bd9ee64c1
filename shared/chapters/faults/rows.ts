import { symptomWords } from '#core/diagnosis/symptoms'
import { z } from 'zod'
import { oneOf, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** What is wrong, as somebody saw it. */
export const Fault = row({
  symptom: text('Symptom', 200),
  stopsMachine: z.boolean('Say whether it stops the machine.'),
  symptoms: z
    .array(oneOf(symptomWords as [string, ...string[]], 'Symptom'))
    .max(12)
    .default([]),
  conditions: optionalText('Conditions', 300),
})

/** What was done about a fault; the first entries knew no part, and nobody was asked what it touched. */
export const Repair = row(
  {
    did: text('What was done', 1000),
    closes: z.boolean(),
    /** The part that was replaced, and where its successor comes from. */
    part: optionalText('Part', 120),
    partFrom: optionalText('Where it came from', 120),
    reversible: z.boolean().default(true),
    /** Whether it touched what feeds the rails; its words propose where nobody said. */
    feedsRails: z.boolean().nullable().default(null),
  },
  { part: '', partFrom: '', reversible: true, feedsRails: null },
)
