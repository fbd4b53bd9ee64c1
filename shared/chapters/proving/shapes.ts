import { z } from 'zod'
import { lineOutcomes, testLineKinds } from '#core/retest/test-sheet'
import { optionalBounded, optionalQuantity, optionalText, quantity, text } from '../../kernel/fields'

/** A step of a build-up, as it is typed. */
export const BuildUpStepTyped = z.object({
  adds: z.array(text('What goes in', 60)).max(20, 'What goes in: twenty at most.'),
  expect: optionalText('Expected', 300),
})

/** Rails that were read at a step; one without a figure was not. */
export const RailsRead = z
  .array(z.looseObject({ valueV: z.unknown() }))
  .max(20, 'Rails: twenty at most.')
  .default([])
  .transform(lines => lines.filter(line => line.valueV !== undefined && line.valueV !== null && String(line.valueV).trim() !== ''))
  .pipe(z.array(z.object({ rail: text('Rail', 30), valueV: quantity('V', 'Reading', { above: -1000, upTo: 1000 }) })))

/** What a line of a test program has in it where it tells of a pass, and of a failure. */
export const LogWordsTyped = z.object({ pass: text('A pass has in it', 60), fail: optionalText('A failure has in it', 60) })

/** A line of a test sheet, as it is typed and kept. */
export const TestLineTyped = z.object({
  says: text('Line', 80),
  kind: z.enum(testLineKinds),
  expect: optionalText('What passes', 200),
  unit: optionalText('Unit', 12),
  from: optionalBounded('From', { above: -1e9, upTo: 1e9 }),
  to: optionalBounded('To', { above: -1e9, upTo: 1e9 }),
  hours: optionalQuantity('h', 'Hours', { above: 0, upTo: 2000 }),
})
export const TestLineShape = z.object({
  says: z.string(),
  kind: z.enum(testLineKinds),
  expect: z.string(),
  unit: z.string(),
  from: z.number().nullable(),
  to: z.number().nullable(),
  hours: z.number().nullable(),
})
export const TestLookShape = z.object({
  line: z.number(),
  outcome: z.enum(lineOutcomes),
  value: z.number().nullable(),
  at: z.string(),
  note: z.string(),
  by: z.string(),
})
/** What a sign-off is limited to. */
export const LimitsTyped = z.object({
  hoursADay: optionalQuantity('h', 'Hours a day', { above: 0, upTo: 24 }),
  attended: z.boolean().default(true),
  noOriginalMedia: z.boolean().default(false),
})
export const LimitsShape = z.object({ hoursADay: z.number().nullable(), attended: z.boolean(), noOriginalMedia: z.boolean() })
