import { type Contamination, dirtFact } from '../cleaning/contamination'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'
import { type Configuration, keyOf } from '../safety/configuration'
import { type Heard, contradiction, heard, meaning, slug } from '../kernel/heard'
import { startChecks } from '../safety/first-start'
import type { GateVerdict } from '../safety/gate-words'
import type { PowerFacts, School } from '../safety/power-facts'
import { type Alarm, type Explanation, alarmHeard, heatAlarms, heatCares, overvoltages, standingAlarms } from './alarms'
import { type Battery, type BatteryResult, type Replacement, batteryFact, judgeBattery, replacements } from './battery'
import { nextHomeStep } from './battery-home'
import { type BenchOutput, judgeBench } from './bench'
import { driftOf, swingOf } from './drift'
import { type OffStateInput, type OffStateResult, type OffVerdict, judgeOffState, shortFact } from './off-state'
import { type Load, type RailVerdict, type RailsResult, judgeRails, shownRail, volts } from './rails'
import { type Inlet, type Supply, matchSupply, supplyFact } from './supply-match'
import type { WarmPart, Warmth } from './temperature'
import { toleranceFor } from './tolerances'

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
  /** Those of its model, against which limits of its own are held; none where there is no model. */
  modelRails?: readonly ExpectedRail[]
  /** What its inlet needs; nothing where nobody has said. */
  inlet: Inlet | null
  /** The label of the supply that it runs from. */
  supply: Supply | null
  configuration: Configuration
  /** When what feeds the rails was worked on last: what was read before says nothing of them since. Nothing where it was not. */
  suppliesMendedAt?: string | null
  /** When a board came, went or was elsewhere last: that no rail was short before says nothing of the machine since; that one was stays. */
  boardsChangedAt?: string | null
  /** Oldest first, with their instants in UTC. */
  readings: readonly { rail: string; valueV: number; load: Load; configuration: string; at: string }[]
  offReadings: readonly { rail: string; reading: OffStateInput; configuration: string; at: string }[]
  /** With the instant at which each was recorded or last changed. */
  batteries: readonly (Battery & { at?: string })[]
  batterySchool: Replacement
  /** What got into it, and how far it has left again. */
  contaminations: readonly Contamination[]
  temperatures: readonly (Warmth & { part: WarmPart; where: string; at: string })[]
  /** What called off the runs of its starts. */
  startAlarms: readonly Alarm[]
  explanations: readonly Explanation[]
  /** What a bench supply is set to, where one feeds it. */
  bench: readonly BenchOutput[]
}

export interface PowerFactsKnown {
  /** Facts for power that were measured or recorded; each counts before what was entered. */
  measured: PowerFacts
  railsResult: RailsResult | null
  rails: { name: string; verdict: RailVerdict }[]
  railsVerdict: RailVerdict
  /** Whether the reading of every rail that decides was taken under load. */
  railsUnderLoad: boolean
  /** Rails that moved between two visits, or slowly over several. */
  drifts: { rail: string; finding: Finding }[]
  /** What may have done harm, and nobody has explained. */
  alarms: Alarm[]
  /** When what is measured was last recorded, for the facts for which that matters. */
  measuredAt: Partial<Record<keyof PowerFacts, string>>
  /** Batteries that have leaked and are out: the next step of their way home. */
  batteriesOnTheWay: { where: string; do: string }[]
  /** Batteries that are out, with what the practice puts in their place. */
  batteriesToReplace: { where: string; by: string }[]
  /** Whether any battery is on record; what is known of it changes with the year. */
  batteriesOnRecord: boolean
}

/** What was read in the configuration that it stands in now. */
export const readHere = <R extends { configuration: string }>(configuration: Configuration, rows: readonly R[]) =>
  rows.filter(r => r.configuration === keyOf(configuration))

/**
 * The expected rails that can be judged, and a stop for each that cannot: without a name of its own, or with a nominal
 * voltage or a tolerance that no reading can be held against.
 */
export function readableRails(expected: readonly ExpectedRail[]): { rails: ExpectedRail[]; unreadable: Finding[] } {
  const known = readRails.get(expected) ?? railsThatRead(expected)
  readRails.set(expected, known)
  return known
}
/** Every rule of an assessment asks for the same list. */
const readRails = new WeakMap<readonly ExpectedRail[], ReturnType<typeof railsThatRead>>()

function railsThatRead(expected: readonly ExpectedRail[]): { rails: ExpectedRail[]; unreadable: Finding[] } {
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
      unreadable.push(finding('stop', 'power.rail-unreadable', `The rail ${shownRail(name) || 'without a name'} cannot be judged.`, why, commonPractice))
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

/** Whether a rail was measured short, and not plausible since: a low reading after a short has not cleared it. */
function shortStands({ configuration, offReadings }: Pick<PowerRecord, 'configuration' | 'offReadings'>, rail: string): boolean {
  const verdicts = readHere(configuration, offReadings)
    .filter(r => r.rail === rail)
    .map(r => judgeOffState(r.reading).verdict)
  return verdicts.slice(verdicts.lastIndexOf('plausible') + 1).includes('short')
}

/** Batteries, judged by the practice and the year of the moment. @param now instant in UTC */
export const batteriesOf = <B extends Battery>(batteries: readonly B[], school: Replacement, now: string): (B & BatteryResult)[] =>
  batteries.map(battery => ({ ...battery, ...judgeBattery({ battery, school, yearNow: Number(now.slice(0, 4)) }) }))

export function powerFactsKnown(record: PowerRecord, now: string): PowerFactsKnown {
  const { inlet, supply, batteries, batterySchool } = record
  const { rails } = readableRails(record.expectedRails)
  const here = readHere(record.configuration, record.readings).filter(r => r.at > (record.suppliesMendedAt ?? ''))
  const judged = rails.length ? judgeRails({ rails: rails.map(rail => ({ ...rail, readings: here.filter(r => r.rail === rail.name) })) }) : null
  const measured: PowerFacts = {
    shortedRail: shortFact(undefined, [
      ...offStateOf(record, record.offReadings).map(({ rail, last }) =>
        shortStands(record, rail) ? ('short' as const) : last && last.at > (record.boardsChangedAt ?? '') ? last.verdict : null,
      ),
      // A short belongs to the machine, not to the name that its rail went by.
      ...namesNoMore(record.expectedRails, record.offReadings).flatMap(rail => (shortStands(record, rail) ? ['short' as const] : [])),
    ]),
    battery: batteryFact(
      undefined,
      batteriesOf(batteries, batterySchool, now).map(b => b.fact),
    ),
    supply: supplyFact(undefined, supply && inlet ? matchSupply({ needs: inlet, supply }).suits : null),
    liquidOrDirt: dirtFact(record.contaminations),
    rails: judged?.verdict ?? 'unread',
  }
  return {
    measured: Object.fromEntries(Object.entries(measured).filter(([, value]) => value !== undefined)),
    railsResult: judged,
    rails: judged?.rails.map(({ name, verdict }) => ({ name, verdict })) ?? [],
    railsVerdict: judged?.verdict ?? 'unread',
    railsUnderLoad: Boolean(judged?.rails.every(r => r.deciding?.load === 'loaded')),
    drifts: driftsOf(record),
    alarms: alarmsOf(record),
    measuredAt: {
      battery: batteries
        .map(b => b.at ?? '')
        .sort()
        .at(-1),
      liquidOrDirt: record.contaminations
        .map(c => c.at)
        .sort()
        .at(-1),
      shortedRail: readHere(record.configuration, record.offReadings)
        .map(r => r.at)
        .sort()
        .at(-1),
    },
    batteriesOnTheWay: batteries.flatMap(b => {
      const next = nextHomeStep(b)
      return next ? [{ where: b.where, do: next.do }] : []
    }),
    batteriesToReplace: batteries
      .filter(b => !b.fitted && (b.state === 'sound' || b.state === 'clean') && !b.replacement)
      .map(b => ({ where: b.where, by: replacements[batterySchool].title.toLowerCase() })),
    batteriesOnRecord: batteries.length > 0,
  }
}

/** Rails that moved between two visits or over several, in the configuration that it stands in now. */
export const driftsOf = (record: Pick<PowerRecord, 'expectedRails' | 'configuration' | 'readings'>): PowerFactsKnown['drifts'] =>
  readableRails(record.expectedRails).rails.flatMap(({ name, nominalV, tolerancePct = toleranceFor(nominalV).tolerancePct }) => {
    const rail = { name, nominalV, tolerancePct, readings: readHere(record.configuration, record.readings).filter(r => r.rail === name) }
    return [swingOf(rail), driftOf(rail)].flatMap(found => (found ? [{ rail: name, finding: found }] : []))
  })

/** Everything that was measured once and may have done harm, while nobody has explained it; in whatever configuration it was measured. */
const alarmsOf = (record: PowerRecord): Alarm[] =>
  standingAlarms([...overvoltages(railsRead(record), record.readings), ...heatAlarms(record.temperatures), ...record.startAlarms], record.explanations)

/** Names that rails were measured under and are expected by no more. */
function namesNoMore(expectedRails: PowerRecord['expectedRails'], measured: readonly { rail: string }[]): string[] {
  const { rails } = readableRails(expectedRails)
  return [...new Set(measured.map(r => r.rail))].filter(name => !rails.some(r => r.name === name))
}
/** A rail by the voltage in its name. */
const byName = (name: string): ExpectedRail[] => {
  const nominalV = Number.parseFloat(name.replace('−', '-'))
  return Number.isFinite(nominalV) && nominalV !== 0 ? [{ name, nominalV }] : []
}

/** The rails that are expected, and those that were read and are expected no more: another name takes no alarm back. */
const railsRead = ({ expectedRails, readings }: Pick<PowerRecord, 'expectedRails' | 'readings'>): ExpectedRail[] => [
  ...readableRails(expectedRails).rails,
  ...namesNoMore(expectedRails, readings).flatMap(byName),
]

/** So many times the tolerance of the table is the most that a model may ask for. */
const mostOfTable = 2

/**
 * What was measured belongs to the thing, not to its name: a rail that read badly and is expected no more, and limits wider than those of its voltage.
 */
function ofRails({ expectedRails, modelRails = [], readings, configuration }: PowerRecord): Heard[] {
  const here = readHere(configuration, readings)
  const gone = namesNoMore(expectedRails, here)
    .flatMap(byName)
    .filter(rail => judgeRails({ rails: [{ ...rail, readings: here.filter(r => r.rail === rail.name) }] }).verdict !== 'good')
    .map(({ name }) =>
      heard(
        finding(
          'care',
          `rail.no-more.${slug(name)}`,
          `${shownRail(name)} read ${volts(here.findLast(r => r.rail === name)!.valueV)}, and is expected no more.`,
          'Taken off the list, it is no better than it was.',
          commonPractice,
        ),
        `Expect ${shownRail(name)} again and read it within its limits, or strike its readings if it is no rail of this machine.`,
      ),
    )
  const wide = readableRails(expectedRails).rails.flatMap(({ name, nominalV, tolerancePct }) => {
    const table = toleranceFor(nominalV).tolerancePct
    // A model may ask for more than the table, as memory of three rails does; nothing asks for several times as much.
    const usual = Math.min(modelRails.find(r => r.name === name)?.tolerancePct ?? table, mostOfTable * table)
    return tolerancePct !== undefined && tolerancePct > usual
      ? [
          heard(
            finding(
              'care',
              `rail.wide.${slug(name)}`,
              `${shownRail(name)} is allowed ${tolerancePct} %, where ${usual} % is usual for it.`,
              'Within such limits a rail may read well and harm what it feeds.',
              toleranceFor(nominalV).source,
            ),
            `Say ${usual} % or less for ${shownRail(name)}, under Prove.`,
          ),
        ]
      : []
  })
  return [...gone, ...wide]
}

/** What the gate hears of power beyond its facts. @param entered the facts that people entered */
export function powerHeard(record: PowerRecord & { entered: PowerFacts }, now: string): Heard[] {
  const { unreadable } = readableRails(record.expectedRails)
  return [
    ...unreadable.map(f => heard(f, 'Put the expected rails right, under Prove.')),
    ...alarmsOf(record).map(alarmHeard),
    ...meaning({ when: 'powered' }, ofRails(record)),
    ...heatCares(record.temperatures),
    ...meaning({ concerns: 'battery' }, ofBatteries(record, now)),
    ...ofOffState(record),
    ...(record.configuration.kind === 'bench-supply'
      ? judgeBench({
          outputs: record.bench,
          rails: readableRails(record.expectedRails).rails,
          inletV: record.inlet?.voltageV ?? null,
          runLimitA: record.inlet ? (matchSupply({ needs: record.inlet, supply: { voltageV: record.inlet.voltageV } }).bench?.runLimitA ?? null) : null,
        })
      : []),
  ]
}

const ofBatteries = ({ batteries, batterySchool, configuration }: PowerRecord, now: string): Heard[] =>
  configuration.kind === 'supply-alone'
    ? []
    : batteriesOf(batteries, batterySchool, now).flatMap(({ where, findings }) =>
        findings
          .filter(f => (f.level === 'stop' || f.level === 'care') && f.heard !== 'elsewhere')
          .map(f =>
            heard(
              { ...f, code: `${f.code}.${slug(where)}`, because: [`Battery, ${where}.`, ...f.because] },
              `${f.because[0] ?? f.says} Then change what is on record of the battery, ${where}.`,
            ),
          ),
      )

/** Rails that read low with the power off, and an answer that nothing was measured for. */
function ofOffState(record: PowerRecord & { entered: PowerFacts }): Heard[] {
  const measured = offStateOf(record, record.offReadings)
  const cares = measured.flatMap(({ rail, last }) =>
    (last?.findings ?? [])
      .filter(f => f.level === 'care')
      .map(f =>
        heard(
          { ...f, code: `${f.code}.${slug(rail)}`, says: `${shownRail(rail)}, power off: ${f.says}` },
          `Find out why ${shownRail(rail)} reads so, and measure it again.`,
        ),
      ),
  )
  return [
    ...cares,
    ...shortUnproved(
      record.entered.shortedRail,
      measured.map(({ rail, last }) => ({ rail, verdict: last?.verdict ?? null })),
    ),
  ]
}

/** *Measured, none* was answered, and what is on record does not say so. @param rails what each expected rail reads to ground as it is connected now */
export function shortUnproved(answer: string | undefined, rails: readonly { rail: string; verdict: OffVerdict | null }[]): Heard[] {
  const open = rails.filter(r => r.verdict !== 'plausible').map(r => shownRail(r.rail))
  if (answer !== 'no' || rails.some(r => r.verdict === 'short') || (rails.length && !open.length)) return []
  const some = open.length < rails.length
  return [
    contradiction(
      'gate.shortedRail',
      some ? `“No short” was answered, but not shown for ${open.join(', ')}.` : '“No short” was answered, but nothing on record shows it.',
      rails.length ? `To be measured as it is connected now: ${open.join(', ')}.` : 'No rail is expected of it, so none could be measured.',
      rails.length ? 'Measure every rail to ground with the power off.' : 'Say which rails it has, and measure each to ground with the power off.',
      { fact: 'shortedRail' },
    ),
  ]
}

/** What is known of power where the record cannot be read at all. */
const powerUnknown: PowerFactsKnown = {
  measured: {},
  railsResult: null,
  rails: [],
  railsVerdict: 'unread',
  railsUnderLoad: false,
  drifts: [],
  alarms: [],
  measuredAt: {},
  batteriesOnTheWay: [],
  batteriesToReplace: [],
  batteriesOnRecord: false,
}

/** What is seen to before a start of it. */
export function startChecksOf(
  record: PowerRecord,
  { facts, gate, gateInForce, school }: { facts: PowerFacts; gate: { findings: Finding[] }; gateInForce: GateVerdict; school: School },
): ReturnType<typeof startChecks> {
  return startChecks({
    school,
    configuration: record.configuration,
    facts,
    offState: offStateOf(record, record.offReadings).map(({ rail, last }) => ({ rail, verdict: last?.verdict ?? null })),
    firstLimitA: firstLimitOf(record.inlet),
    gate: { verdict: gateInForce, findings: gate.findings },
  })
}

/** Where the current limit of a bench supply stands at the first start, in ampere; nothing while the inlet is not known. */
export const firstLimitOf = (inlet: Inlet | null): number | null =>
  inlet ? (matchSupply({ needs: inlet, supply: { voltageV: inlet.voltageV } }).bench?.firstLimitA ?? null) : null

declare module '../kernel/machine' {
  interface MachineRecord extends PowerRecord {}
  interface MachineKnown extends PowerFactsKnown {}
}

/** Rails are proved one by one. A battery grows old with the calendar, so it is judged anew each year. */
export const power = discipline({
  name: 'power',
  about: 'its power',
  facts: (record, { now }) => powerFactsKnown(record, now),
  unknown: powerUnknown,
  steps: { prove: m => m.rails.map(r => step(`Rail ${shownRail(r.name)}`, r.verdict === 'good')) },
  heard: powerHeard,
  moves: m => [
    ...m.batteriesOnTheWay.map(b =>
      move('harm', 'battery-home', 'make-safe', {
        says: b.do.replace(/\.$/, ''),
        why: `The battery, ${b.where}, has leaked; it goes on corroding until the clean-up is done.`,
      }),
    ),
    ...m.batteriesToReplace.map(b =>
      move('replace', 'battery-replace', 'make-safe', {
        says: `Settle what goes in the place of the battery, ${b.where}`,
        why: `By the practice here: ${b.by}.`,
      }),
    ),
    ...m.drifts
      .filter(d => d.finding.level === 'care')
      .map(d => move('suspicion', 'rail-drift', 'prove', { says: `Find out why ${shownRail(d.rail)} moves`, why: d.finding.says })),
  ],
  due: m => (m.batteriesOnRecord ? [`${Number(m.now.slice(0, 4)) + 1}-01-01T00:00:00.000Z`] : []),
})
