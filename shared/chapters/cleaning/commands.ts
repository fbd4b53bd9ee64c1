import { z } from 'zod'
import { contaminationKinds, contaminationSteps } from '#core/cleaning/contamination'
import { mostSunDays } from '#core/cleaning/sun-hours'
import { boardSchools, materials, methods, plasticSchools, soils, workings } from '#core/cleaning/words'
import { command } from '../../kernel/contract'
import { bounded, id, instant, keysOf, oneOf, optionalQuantity, optionalText, quantity, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { Used } from '../workshop/index'
import { breakageOutcomes, exposureKinds, sealants } from './words'

const Lab = {
  l: bounded('L*', { above: 0, upTo: 100 }),
  a: bounded('a*', { from: -128, upTo: 128 }),
  b: bounded('b*', { from: -128, upTo: 128 }),
  error: bounded('Error', { from: 0, upTo: 20 }).default(1),
}
const grams = (what: string) => quantity('g', what, { above: 0, upTo: 200_000 })
const pieces = (what: string, from: number) => bounded(what, { from, upTo: 5000 }).pipe(z.number().int(`${what}: a whole number, please.`))
const reason = (what: string) => text(what, 300).min(5, `${what}: say in a few words why.`)

export const onMachine = {
  'record-cleaning': command(
    atTheBench,
    z.object({ what: text('What was cleaned', 200), withWhat: text('With what', 200), byWhom: optionalText('By whom', 80) }),
    { asks: 'clean' },
  ),

  /** What a part is made of and soiled with; the plan is made from it. */
  'say-cleaning-part': command(
    atTheBench,
    z.object({
      partId: id.nullable().default(null),
      version,
      name: text('Part', 80),
      materials: z
        .array(oneOf(keysOf(materials), 'Material'))
        .max(19)
        .default([]),
      soils: z
        .array(oneOf(keysOf(soils), 'Soil'))
        .max(12)
        .default([]),
      works: oneOf(keysOf(workings), 'Does it work'),
      socketed: z.boolean().default(false),
    }),
  ),
  'drop-cleaning-part': command(atTheBench, z.object({ partId: id })),
  'choose-cleaning-schools': command(
    atTheBench,
    z.object({ boards: oneOf(keysOf(boardSchools), 'Boards').nullable(), plastic: oneOf(keysOf(plasticSchools), 'Yellowed plastic').nullable() }),
  ),
  'make-cleaning-plan': command(atTheBench, z.object({})),
  'take-over-parts': command(atTheBench, z.object({ from: text('Machine', 40) })),
  'add-cleaning-step': command(
    atTheBench,
    z.object({
      partId: id,
      method: oneOf(keysOf(methods), 'Method'),
      soil: oneOf(keysOf(soils), 'Soil'),
      minutes: quantity('min', 'Minutes', { above: 0, upTo: 600 }),
    }),
  ),
  'do-cleaning-step': command(
    atTheBench,
    z.object({
      stepId: id,
      version,
      waitHours: optionalQuantity('h', 'Hours to dry', { above: 0, upTo: 1000 }),
      /** What it used up of the shelf. */
      uses: z.array(Used).max(12).default([]),
    }),
    { asks: 'clean' },
  ),
  'leave-cleaning-step': command(atTheBench, z.object({ stepId: id, version, reason: reason('Why it is skipped') })),
  /** Not done, or not left out, after all. */
  'reopen-cleaning-step': command(atTheBench, z.object({ stepId: id })),
  'give-cleaning-step': command(atTheBench, z.object({ stepId: id, version, personId: id.nullable() })),

  /** Breakages are logged where they happen, without blame and without a name, and become what they need in the same press. */
  'log-breakage': command(
    atTheBench,
    z.object({
      what: text('What broke', 100),
      how: text('How it happened', 300),
      becomes: oneOf(keysOf(breakageOutcomes), 'What happens to it now'),
      stops: z.boolean().default(false),
    }),
  ),

  /** What got in, and its way out again. */
  'find-contamination': command(
    atTheBench,
    z.object({ kind: oneOf(keysOf(contaminationKinds), 'What got in'), where: text('Where', 120), says: optionalText('What was seen', 300) }),
  ),
  'step-contamination': command(
    atTheBench,
    z.object({
      contaminationId: id,
      version,
      step: oneOf(contaminationSteps, 'Step'),
      lookedAt: z.array(z.string().max(160)).max(40).default([]),
      waitHours: optionalQuantity('h', 'Hours to dry', { above: 0, upTo: 1000 }),
    }),
  ),

  /** Copper that cleaning laid bare, until it is sealed. */
  'find-bare-copper': command(atTheBench, z.object({ where: text('Where', 120) })),
  'seal-copper': command(atTheBench, z.object({ copperId: id, version, withWhat: oneOf(keysOf(sealants), 'With what'), padsFree: z.boolean() })),

  /** Keycaps and other small parts: out by count, with a photograph for their map, and back by count. */
  'count-parts-out': command(atTheBench, z.object({ what: text('What', 80), out: pieces('How many', 1), photographId: id.nullable().default(null) })),
  'count-parts-back': command(
    atTheBench,
    z.object({
      countedId: id,
      version,
      back: pieces('How many are back', 0),
      note: optionalText('Where the rest are', 200),
      wants: z.boolean().default(false),
    }),
  ),

  'start-drying': command(
    atTheBench,
    z.object({
      what: text('What dries', 80),
      massG: grams('Mass in g'),
      errorG: quantity('g', 'One weighing, ± g', { above: 0, upTo: 1000 }).default(0.1),
      leftG: quantity('g', 'Water that may be left, g', { above: 0, upTo: 1000 }).default(0.2),
    }),
  ),
  /** `weighedAt` where it lay on the scales before it is typed. */
  'weigh': command(atTheBench, z.object({ dryingId: id, massG: grams('Mass in g'), weighedAt: instant('Weighed at').nullable().default(null) })),
  'end-drying': command(atTheBench, z.object({ dryingId: id, reason: optionalText('Why finish early', 300) })),

  'follow-whitening': command(
    atTheBench,
    z.object({
      name: text('Part', 80),
      plastic: optionalText('Plastic', 60),
      goalB: bounded('Done at Δb*', { above: 0, upTo: 20 }).default(1),
      reference: z.object(Lab),
      first: z.object(Lab),
    }),
    { asks: 'cosmetic' },
  ),
  'measure-colour': command(atTheBench, z.object({ whiteningId: id, ...Lab })),
  'expose': command(
    atTheBench,
    z.object({
      whiteningId: id,
      how: oneOf(keysOf(exposureKinds), 'How'),
      hours: quantity('h', 'Hours', { above: 0, upTo: 500 }),
      strengthPct: optionalQuantity('%', 'Strength in %', { above: 0, upTo: 60 }),
      temperatureC: optionalQuantity('°C', 'Temperature in °C', { above: -30, upTo: 90 }),
      turned: z.boolean().default(false),
      note: optionalText('What changed', 200),
    }),
    { asks: 'cosmetic' },
  ),
  /** Days in the sun, from a table. */
  'import-exposures': command(
    atTheBench,
    z.object({
      whiteningId: id,
      days: z
        .array(z.object({ day: z.iso.date({ error: 'A day, such as 2027-05-01.' }), hours: quantity('h', 'Hours', { above: 0, upTo: 24 }) }))
        .min(1, 'No day with sun is in it.')
        .max(mostSunDays, `Up to ${mostSunDays} days at once, please.`),
    }),
    { asks: 'cosmetic' },
  ),
  'end-whitening': command(
    atTheBench,
    z.object({
      whiteningId: id,
      outcome: text('How it ended', 300),
      relookOn: z
        .union([z.literal('').transform(() => null), z.iso.date({ error: 'Look again on: a day, such as 2027-05-01.' })])
        .nullable()
        .default(null),
    }),
  ),
} as const
