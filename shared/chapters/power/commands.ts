import { z } from 'zod'
import { homeSteps } from '#core/power/battery-home'
import { loads } from '#core/power/rails'
import { gateVerdicts } from '#core/safety/gate-words'
import { command } from '../../kernel/contract'
import { found, id, meterReading, oneOf, optionalQuantity, optionalText, quantity, text, version } from '../../kernel/fields'
import { atTheBench, coordinator } from '../../kernel/roles'
import { ExpectedRails, HazardShape, PowerFactsShape, SchoolShape } from '../../kernel/shapes'
import { InletTyped } from '../supplies/index'
import { Battery, BenchTyped, ConfigurationTyped, WarmTyped, ReplacementChosen, TemperatureTyped, WarmLog, configurationHolds } from './shapes'

export const onMachine = {
  'assess-power': command(atTheBench, z.object({ version, facts: PowerFactsShape.omit({ rails: true }), inspectedById: id.nullable() })),
  'choose-school': command(coordinator, z.object({ school: SchoolShape.nullable() }), { opens: 'choice' }),
  /** What a sentence was that sounded like a danger: yes, that, or no, and what it was instead. */
  'settle-saying': command(
    atTheBench,
    z
      .object({ sayingId: id, is: z.boolean(), found: optionalText('What it was', 300) })
      .refine(s => s.is || s.found, { path: ['found'], message: 'What it was: say what was found instead.' }),
  ),
  'settle-hazard': command(atTheBench, z.object({ kind: HazardShape.shape.kind, version, state: HazardShape.shape.state, evidence: text('Evidence', 500) })),
  'set-configuration': command(atTheBench, z.object({ version, ...ConfigurationTyped, bench: BenchTyped }).superRefine(configurationHolds), {
    opens: 'choice',
  }),
  'record-battery': command(atTheBench, z.object(Battery.typed)),
  'change-battery': command(atTheBench, z.object({ batteryId: id, version, ...Battery.typed, replacement: ReplacementChosen })),
  'step-battery': command(
    atTheBench,
    z.object({ batteryId: id, version, step: oneOf(homeSteps, 'Step'), lookedAt: z.array(z.string().max(120)).max(40).default([]) }),
  ),
  'explain-alarm': command(
    atTheBench,
    z.object({ alarm: text('Alarm', 160), says: text('What it was', 500).min(10, 'What it was: say in a sentence what it was, and what was done.') }),
  ),
  'expect-inlet': command(atTheBench, z.object({ inlet: InletTyped.nullable() })),
  'assign-supply': command(atTheBench, z.object({ supplyId: id.nullable() })),
  'take-temperature': command(atTheBench, z.object(TemperatureTyped)),
  'import-temperatures': command(atTheBench, z.object({ ...WarmTyped, samples: WarmLog })),
  'overrule-gate': command(
    coordinator,
    z.object({ verdict: oneOf(gateVerdicts, 'Verdict'), reason: text('Reason', 500).min(10, 'Reason: say in a sentence why.') }),
    { opens: 'choice' },
  ),
  'withdraw-overrule': command(coordinator, z.object({}), { opens: 'choice' }),
  'expect-rails': command(atTheBench, z.object({ rails: ExpectedRails.min(1, 'Rails: name at least one.'), found }), { opens: 'saying' }),
  'take-reading': command(
    atTheBench,
    /** `sure`: what would be harmful, or should not have been read at all, is asked about once. */
    z.object({
      rail: text('Rail', 30),
      valueV: quantity('V', 'Reading', { above: -1000, upTo: 1000 }),
      load: oneOf(loads, 'Load'),
      sure: z.boolean().default(false),
    }),
  ),
  'measure-off-state': command(
    atTheBench,
    z.object({
      rail: text('Rail', 30),
      ohm: meterReading('Ω', 'Red on the rail', { from: -1, upTo: 1e9 }),
      reversedOhm: z.preprocess(
        given => (typeof given === 'string' && !given.trim() ? undefined : given),
        meterReading('Ω', 'Black on the rail', { from: -1, upTo: 1e9 }).optional(),
      ),
      leadsOhm: optionalQuantity('Ω', 'The leads', { from: 0, upTo: 100 }),
      loadAttached: z.boolean(),
      rising: z.boolean(),
    }),
  ),
} as const
