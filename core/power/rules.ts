import { type Finding, commonPractice, finding } from '../kernel/finding'
import { type Discipline, move, step } from '../planning/discipline'
import { type Configuration, keyOf } from '../safety/configuration'
import { startChecks } from '../safety/first-start'
import type { PowerFacts, School } from '../safety/power-facts'
import { type Battery, type BatteryResult, type Replacement, batteryFact, judgeBattery, replacements } from './battery'
import { type OffStateInput, type OffStateResult, judgeOffState, shortFact } from './off-state'
import { type Load, type RailVerdict, type RailsResult, judgeRails } from './rails'
import { type Inlet, type Supply, matchSupply, supplyFact } from './supply-match'

export interface ExpectedRail {
  name: string
  nominalV: number
  tolerancePct?: number
  /** Test point or pin at which it is measured. */
  point?: string
}

/** What was measured and recorded of a machine's power. */
export interface PowerRecord {
  /** Rails said for this machine, else those of its model. */
  expectedRails: readonly ExpectedRail[]
  /** What its inlet wants; nothing where nobody has said. */
  inlet: Inlet | null
  /** The label of the supply that it runs from. */
  supply: Supply | null
  configuration: Configuration
  readings: readonly { rail: string; valueV: number; load: Load; configuration: string }[]
  offReadings: readonly { rail: string; reading: OffStateInput; configuration: string }[]
  batteries: readonly Battery[]
  batterySchool: Replacement
}

export interface PowerFactsKnown {
  /** Facts for power that were measured or recorded; each counts before what was entered. */
  measured: PowerFacts
  railsResult: RailsResult | null
  rails: { name: string; verdict: RailVerdict }[]
  railsVerdict: RailVerdict
  /** Batteries that are out, with what the practice puts in their place. */
  batteriesToReplace: { where: string; by: string }[]
  /** Whether any battery is on record; what is known of it changes with the year. */
  batteriesOnRecord: boolean
  /** What of the record cannot be judged as it stands. */
  unreadableRails: Finding[]
}

/** What was read in the configuration that it stands in now. */
export const readHere = <R extends { configuration: string }>(configuration: Configuration, rows: readonly R[]) =>
  rows.filter(r => r.configuration === keyOf(configuration))

/**
 * The expected rails that can be judged, and a stop for each that cannot: without a name of its own, or with a nominal
 * voltage or a tolerance that no reading can be held against.
 */
export function readableRails(expected: readonly ExpectedRail[]): { rails: ExpectedRail[]; unreadable: Finding[] } {
  const rails: ExpectedRail[] = []
  const unreadable: Finding[] = []
  for (const rail of expected) {
    const { name, nominalV, tolerancePct: tolerance } = rail
    const why = rails.some(r => r.name === name)
      ? 'Two rails go by this name, and a reading cannot belong to both.'
      : !Number.isFinite(nominalV) || nominalV === 0
        ? 'Its nominal voltage is nothing a reading can be compared with.'
        : tolerance !== undefined && !(tolerance > 0 && tolerance <= 50)
          ? 'Its tolerance lies outside 0 to 50 %.'
          : ''
    if (why) {
      unreadable.push(finding('stop', 'power.rail-unreadable', `The rail ${name || 'without a name'} cannot be judged.`, why, commonPractice))
    } else rails.push(rail)
  }
  return { rails, unreadable }
}

/** The newest off-state measurement of every expected rail in this configuration, judged. */
export function offStateOf<R extends PowerRecord['offReadings'][number]>(
  { expectedRails, configuration }: Pick<PowerRecord, 'expectedRails' | 'configuration'>,
  offReadings: readonly R[],
): { rail: string; nominalV: number; last: (OffStateResult & R) | null }[] {
  return readableRails(expectedRails).rails.map(({ name, nominalV }) => {
    const last = readHere(configuration, offReadings).findLast(r => r.rail === name)
    return { rail: name, nominalV, last: last ? { ...last, ...judgeOffState(last.reading) } : null }
  })
}

/** Batteries, judged by the practice and the year of the moment. @param now instant in UTC */
export const batteriesOf = <B extends Battery>(batteries: readonly B[], school: Replacement, now: string): (B & BatteryResult)[] =>
  batteries.map(battery => ({ ...battery, ...judgeBattery({ battery, school, yearNow: Number(now.slice(0, 4)) }) }))

export function powerFactsKnown(record: PowerRecord, now: string): PowerFactsKnown {
  const { inlet, supply, batteries, batterySchool } = record
  const { rails, unreadable } = readableRails(record.expectedRails)
  const here = readHere(record.configuration, record.readings)
  const judged = rails.length ? judgeRails({ rails: rails.map(rail => ({ ...rail, readings: here.filter(r => r.rail === rail.name) })) }) : null
  const measured: PowerFacts = {
    shortedRail: shortFact(
      undefined,
      offStateOf(record, record.offReadings).map(r => r.last?.verdict ?? null),
    ),
    battery: batteryFact(
      undefined,
      batteriesOf(batteries, batterySchool, now).map(b => b.fact),
    ),
    supply: supplyFact(undefined, supply && inlet ? matchSupply({ needs: inlet, supply }).suits : null),
    rails: judged?.verdict ?? 'unread',
  }
  return {
    measured: Object.fromEntries(Object.entries(measured).filter(([, value]) => value !== undefined)),
    railsResult: judged,
    rails: judged?.rails.map(({ name, verdict }) => ({ name, verdict })) ?? [],
    railsVerdict: judged?.verdict ?? 'unread',
    batteriesToReplace: batteries
      .filter(b => !b.fitted && b.state === 'sound' && !b.replacement)
      .map(b => ({ where: b.where, by: replacements[batterySchool].title.toLowerCase() })),
    batteriesOnRecord: batteries.length > 0,
    unreadableRails: unreadable,
  }
}

/** What is known of power where the record cannot be read at all. */
export const powerUnknown: PowerFactsKnown = {
  measured: {},
  railsResult: null,
  rails: [],
  railsVerdict: 'unread',
  batteriesToReplace: [],
  batteriesOnRecord: false,
  unreadableRails: [],
}

/** What is seen to before a start of it. */
export function startChecksOf(record: PowerRecord, facts: PowerFacts, school: School): ReturnType<typeof startChecks> {
  return startChecks({
    school,
    configuration: record.configuration,
    facts,
    offState: offStateOf(record, record.offReadings).map(({ rail, last }) => ({ rail, verdict: last?.verdict ?? null })),
    firstLimitA: firstLimitOf(record.inlet),
  })
}

/** Where the current limit of a bench supply stands at the first start, in ampere; nothing while the inlet is not known. */
export const firstLimitOf = (inlet: Inlet | null): number | null =>
  inlet ? (matchSupply({ needs: inlet, supply: { voltageV: inlet.voltageV } }).bench?.firstLimitA ?? null) : null

/** Rails are proved one by one. A battery grows old with the calendar, so it is judged anew each year. */
export const power: Discipline = {
  steps: { prove: m => m.rails.map(r => step(`Rail ${r.name}`, r.verdict === 'good')) },
  moves: m =>
    m.batteriesToReplace.map(b =>
      move('replace', 'battery-replace', 'make-safe', {
        says: `Settle what goes in the place of the battery, ${b.where}`,
        why: `By the practice here: ${b.by}.`,
      }),
    ),
  due: m => (m.batteriesOnRecord ? [`${Number(m.now.slice(0, 4)) + 1}-01-01T00:00:00.000Z`] : []),
}
