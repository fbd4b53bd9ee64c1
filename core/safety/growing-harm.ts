import { type Finding, commonPractice, finding } from '../kernel/finding'
import type { PowerFacts } from './power-facts'

export interface GrowingHarmInput {
  facts: PowerFacts
  sistersWithLeakedBattery: number
  /** Whether the model is known for leaking batteries. */
  modelBatteryLeaks: boolean
  /** What grows or rusts on, of the hazards that are present. */
  mouldPresent: boolean
  daysHere: number
}

export interface GrowingHarm {
  /** Higher is more pressing: the weight of the harm, plus one point for each 30 days waited. */
  rank: number
  findings: Finding[]
}

/** Weights put a board being eaten before one that may be, and both before wet or salt that works slowly. */
const weights = { leaking: 100, residue: 90, sister: 80, model: 70, liquid: 60, mould: 50, batteryIn: 40 }
/** How many days of waiting raise the rank by one point. */
export const daysPerPoint = 30

/**
 * Ranks one machine by harm that grows while it waits. Rank 0 means that nothing known gets worse.
 * Source: common practice, no source; the weights are our own and only order the list.
 */
export function growingHarm({ facts, sistersWithLeakedBattery, modelBatteryLeaks, mouldPresent, daysHere }: GrowingHarmInput): GrowingHarm {
  const found: { weight: number; finding: Finding }[] = []
  const add = (weight: number, level: Finding['level'], code: string, says: string, why: string) =>
    found.push({ weight, finding: finding(level, code, says, why, commonPractice) })

  if (facts.battery === 'leaking')
    add(weights.leaking, 'stop', 'harm.battery-leaking', 'The battery is leaking on the board.', 'Alkali eats the traces a little more every day.')
  if (facts.battery === 'residue')
    add(weights.residue, 'stop', 'harm.residue', 'Battery residue is still on the board.', 'It goes on eating, creeping under the solder mask.')
  if (facts.battery === undefined && sistersWithLeakedBattery > 0)
    add(
      weights.sister,
      'stop',
      'harm.sister',
      'Not opened yet, and its sisters’ batteries leaked.',
      `${sistersWithLeakedBattery} of the same model had a leaking battery.`,
    )
  else if (facts.battery === undefined && modelBatteryLeaks)
    add(weights.model, 'care', 'harm.model', 'Not opened yet, and the batteries of this model leak.', 'It is among the known faults of the model.')
  if (mouldPresent) add(weights.mould, 'care', 'harm.mould', 'Mould is growing.', 'It spreads to whatever is next to it.')
  if (facts.liquidOrDirt === 'yes')
    add(weights.liquid, 'care', 'harm.liquid', 'Damp, salt or heavy dirt is inside.', 'Salt draws water from the air and corrodes on.')
  if (facts.battery === 'in') add(weights.batteryIn, 'care', 'harm.battery-in', 'The battery is still in.', 'It will leak one day.')

  const heaviest = Math.max(0, ...found.map(f => f.weight))
  return { rank: heaviest && heaviest + Math.floor(daysHere / daysPerPoint), findings: found.map(f => f.finding) }
}

/** How long a machine has waited, in words; said beside the findings, for it is another number every day. */
export const waitedWords = (daysHere: number): string => (daysHere === 1 ? 'It has waited 1 day.' : `It has waited ${daysHere} days.`)
