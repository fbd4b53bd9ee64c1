import { type RowsOf, all, single, standing } from '../../kernel/rows'
import { sayings } from '../../kernel/trunk'
import { batteries, explanations, hazards, offReadings, powerAssessments, readings, temperatures } from './schema'

export const rows = {
  power: single(powerAssessments),
  readings: standing(readings),
  offReadings: standing(offReadings),
  hazards: all(hazards),
  batteries: standing(batteries),
  // Without the logs themselves: those are looked at alone.
  temperatures: standing(temperatures, { columns: { samples: false } }),
  explanations: standing(explanations),
  sayings: standing(sayings),
}
/** Every machine has its assessment for power from the day it is booked in. */
type PowerRows = Omit<RowsOf<typeof rows>, 'power' | 'temperatures'> & {
  power: typeof powerAssessments.$inferSelect
  temperatures: Omit<typeof temperatures.$inferSelect, 'samples'>[]
}

declare module '../../kernel/file' {
  interface MachineFile extends PowerRows {}
}
