import { z } from 'zod'
import { bounded, optionalText, roughDay, text } from '../../kernel/fields'
import { row } from '../../kernel/row'
import { ConsentShape, SignificanceShape } from '../../kernel/shapes'

const amount = (what: string) => bounded(what, { from: 0, upTo: 1_000_000 })

/** What the owner of a machine agreed to. */
export const Agreement = row({
  allowed: ConsentShape.shape.allowed,
  upTo: amount('Up to what cost'),
  mustAsk: optionalText('What must be asked', 500),
  agreedWith: text('Agreed with', 120),
  agreedOn: roughDay('Agreed on'),
})

/** What it means, and what it would take. */
export const Appraisal = row({
  significance: SignificanceShape,
  hoursLow: amount('Hours, at least'),
  hoursHigh: amount('Hours, at most'),
  costLow: amount('Cost, at least'),
  costHigh: amount('Cost, at most'),
  irreplaceable: z.array(text('Assembly', 60)).max(100).default([]),
})
