import { type RowsOf, all, single, standing } from '../../kernel/rows'
import { batteries, explanations, hazards, offReadings, powerAssessments, readings, temperatures } from './schema'

export const rows = {
  power: single(powerAssessments),
  readings: standing(readings),
  offReadings: standing(offReadings),
  hazards: all(hazards),
  batteries: standing(batteries),
  temperatures: standing(temperatures),
  explanations: standing(explanations),
}
/** Every machine has its assessment for power from the day it is booked in. */
export type PowerRows = Omit<RowsOf<typeof rows>, 'power'> & { power: typeof powerAssessments.$inferSelect }
