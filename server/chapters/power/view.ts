import { brickOf } from '#core/power/brick'
import { isNeutralising } from '#core/cleaning/words'
import type { MachineRecord } from '#core/kernel/machine'
import type { GateVerdict } from '#core/safety/gate-words'
import { checksOf } from '#core/condition/rules'
import { batteryRule, nextHomeStep, placesToLook } from '#core/power/battery-home'
import { batteriesOf, firstLimitOf, offStateOf, startChecksOf } from '#core/power/rules'
import { judgeTemperature } from '#core/power/temperature'
import { keyOf } from '#core/safety/configuration'
import { takesMains } from '#core/safety/first-start'
import type { ViewOf } from '#shared/chapters/index'
import { and, desc, eq, isNull } from 'drizzle-orm'
import { recordOf } from '../../kernel/assembled'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { thinned } from '../../kernel/thin'
import { journal } from '../../kernel/trunk'
import { listSupplies } from '../supplies/index'
import { expectedRailsOf, inletOf, schoolOf } from './facts'
import { temperatures } from './schema'

interface Change {
  from: GateVerdict
  to: GateVerdict
  why: string
}

/** A sheet shows the latest, and of a long log every so many points. */
const mostTemperatures = 12

/** Every change of the verdict that held, newest first. */
const gateHistory = (tx: Tx, machineId: number) =>
  tx
    .select({ at: journal.at, by: journal.by, data: journal.data })
    .from(journal)
    .where(and(eq(journal.machineId, machineId), eq(journal.kind, 'gate.changed')))
    .orderBy(desc(journal.seq))
    .all()
    .map(({ at, by, data }) => ({ at, by, ...(JSON.parse(data) as Change) }))

/** What each expected rail reads to ground with the power off. */
const offStateShown = (record: MachineRecord, file: MachineFile) =>
  offStateOf(record, file.offReadings).map(({ rail, nominalV, last }) => ({
    rail,
    nominalV,
    last: last && {
      ohm: last.reading.ohm,
      reversedOhm: last.reading.reversedOhm,
      loadAttached: last.reading.loadAttached,
      at: last.at,
      verdict: last.verdict,
      findings: last.findings,
    },
  }))

/** The newest step of the cleaning plan that neutralised something, in words. */
function neutralisedInPlan({ cleaningSteps }: MachineFile): string | null {
  const step = cleaningSteps.findLast(s => s.state === 'done' && isNeutralising(s.method))
  return step ? `${step.says}, by ${step.doneBy}` : null
}

const batteriesShown = (file: MachineFile, now: string) =>
  batteriesOf(file.batteries, file.practice.batterySchool, now).map(
    ({ id, version, where, chemistry, cells, year, state, fitted, charging, replacement, findings }) => ({
      id,
      version,
      where,
      chemistry,
      cells,
      year,
      state,
      fitted,
      charging,
      replacement: replacement && { ...replacement, cells: replacement.cells ?? 1, voltageV: replacement.voltageV ?? null },
      next: nextHomeStep({ state, fitted, chemistry }),
      neutralisedInPlan: nextHomeStep({ state, fitted, chemistry })?.step === 'neutralised' ? neutralisedInPlan(file) : null,
      findings,
    }),
  )

const temperaturesShown = (tx: Tx, machineId: number) =>
  tx
    .select()
    .from(temperatures)
    .where(and(eq(temperatures.machineId, machineId), isNull(temperatures.struckBy)))
    .orderBy(desc(temperatures.id))
    .limit(mostTemperatures)
    .all()
    .map(({ id, part, where, samples, at, byWhom }) => {
      const { highestC, findings } = judgeTemperature({ part, samples })
      return { id, part, where, samples: thinned(samples), readings: samples.length, highestC, at, by: byWhom, findings }
    })

/** Looks under and around a battery, by which of them were made. */
function placesShown(file: MachineFile) {
  const done = checksOf(file).filter(c => c.rule === batteryRule && file.checksDone.some(d => d.code === c.code))
  return placesToLook.map(says => ({ says, done: done.some(c => c.look === says) }))
}

/** How it stands with its power: the gate and what it rests on, rails on and off, batteries, supplies, temperatures. */
export function powerView({ tx, file, assessment, now }: ViewInput): ViewOf<'power'> {
  const { facts, measured, gate, gateInForce, heard, alarms, drifts, overruled, hazards, railsResult } = assessment.known
  const { power, machine } = file
  const inlet = inletOf(file)
  const here = keyOf(power.configuration)
  const record = recordOf(file)
  return {
    power: {
      version: power.version,
      facts,
      entered: power.facts,
      measured,
      inspectedBy: power.inspectedById === null ? '' : power.inspectedBy,
      inspectedById: power.inspectedById,
      heard,
      alarms,
      bench: power.bench,
      placesToLook: placesShown(file),
      offState: offStateShown(record, file),
      school: schoolOf(file),
      ownSchool: power.school,
      gate,
      inForce: gateInForce,
      overrule: overruled && power.overruleVerdict ? { verdict: power.overruleVerdict, reason: power.overruleReason, by: power.overruledBy } : null,
      history: gateHistory(tx, machine.id).map(({ at, by, to, why }) => ({ at, by, verdict: to, why })),
      configuration: { kind: power.configuration.kind, out: [...power.configuration.out] },
      batteries: batteriesShown(file, now),
      batterySchool: file.practice.batterySchool,
      inlet,
      brick: brickOf(file.accessories.map(a => a.name)),
      supplyId: power.supplyId,
      supplies: listSupplies(tx).map(({ uid: _, ...supply }) => supply),
      startChecks: startChecksOf(record, { facts, gate, gateInForce, school: schoolOf(file) }),
      takesMains: takesMains(facts, power.configuration),
      firstLimitA: firstLimitOf(inlet),
      temperatures: temperaturesShown(tx, machine.id),
    },
    // What stands as present already is not asked about once more.
    sayings: file.sayings
      .filter(s => s.state === 'open' && !file.hazards.some(h => h.kind === s.kind && h.at >= s.at))
      .filter(s => !hazards.some(h => h.kind === s.kind && h.state === 'present'))
      .map(({ id, kind, sentence, at, by }) => ({ id, kind, sentence, at, by })),
    hazards: hazards.map(hazard => {
      const settled = file.hazards.find(h => h.kind === hazard.kind)
      return { ...hazard, version: settled?.version ?? 0, by: settled?.byWhom ?? '', at: settled?.at ?? '' }
    }),
    expectedRails: expectedRailsOf(file),
    rails: railsResult,
    readings: file.readings.map(({ id, rail, valueV, load, at, configuration, keptOff }) => ({
      id,
      keptOff,
      rail,
      valueV,
      load,
      at,
      configuration,
      here: configuration === here,
    })),
    drifts,
  }
}
