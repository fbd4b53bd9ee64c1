import { desc, eq, and, isNull } from 'drizzle-orm'
import { driftOf } from '#core/power/drift'
import { judgeTemperature } from '#core/power/temperature'
import { toleranceFor } from '#core/power/tolerances'
import { configurationWords, keyOf } from '#core/safety/configuration'
import { takesMains } from '#core/safety/first-start'
import { matchSupply } from '#core/power/supply-match'
import type { MachineSheet } from '#shared/contracts/views'
import { starts, temperatures } from '../db/schema'
import { gateHistory } from './gate-history'
import type { Tx } from './journal'
import { type Assessment, type MachineFile, batteriesOf, expectedRailsOf, inletOf, offStateOf, startChecksOf } from './machine-file'
import { listSupplies } from './supplies'

/** A sheet is fetched anew at every change: it shows the latest, and of a long trace every so many points. */
const shown = { starts: 6, temperatures: 12, points: 400 } as const
const thinned = <T>(samples: T[]): T[] => {
  const step = Math.ceil(samples.length / shown.points)
  return step > 1 ? samples.filter((_, i) => i % step === 0) : samples
}

/** What makes a machine safe and brings it to its first start, as its sheet shows it. */
export function powerOf(tx: Tx, file: MachineFile, now: Date, { facts, measured, gate, inForce }: Assessment): Pick<MachineSheet, 'power' | 'readings' | 'drifts'> {
  const { power, machine } = file
  const inlet = inletOf(file)
  const here = keyOf(power.configuration)
  return {
    power: {
      version: power.version, facts, entered: power.facts, measured, inspectedBy: power.inspectedBy,
      offState: offStateOf(file).map(({ rail, nominalV, last }) => ({ rail, nominalV, last: last && { ohm: last.reading.ohm, reversedOhm: last.reading.reversedOhm, loadAttached: last.reading.loadAttached, at: last.at, verdict: last.verdict, findings: last.findings } })),
      school: file.school, ownSchool: power.school, gate, inForce,
      overrule: power.overruleVerdict && { verdict: power.overruleVerdict, reason: power.overruleReason, by: power.overruledBy },
      history: gateHistory(tx, machine.id).map(({ at, by, to, why }) => ({ at, by, verdict: to, why })),
      configuration: { kind: power.configuration.kind, out: [...power.configuration.out] },
      batteries: batteriesOf(file, now).map(({ id, version, where, chemistry, cells, year, state, fitted, charging, replacement, findings }) => ({ id, version, where, chemistry, cells, year, state, fitted, charging, replacement, findings })),
      batterySchool: file.batterySchool,
      inlet, supplyId: power.supplyId, supplies: listSupplies(tx).map(({ uid: _, ...supply }) => supply),
      startChecks: startChecksOf(file, facts), takesMains: takesMains(facts, power.configuration),
      firstLimitA: inlet ? matchSupply({ needs: inlet, supply: { voltageV: inlet.voltageV } }).bench?.firstLimitA ?? null : null,
      starts: tx.select().from(starts).where(eq(starts.machineId, machine.id)).orderBy(desc(starts.id)).limit(shown.starts).all()
        .map(({ id, plan, configuration, atProbe, atSwitch, begunAt, endedAt, outcome, why, onSeconds, samples }) => ({ id, plan, configuration: configurationWords(configuration), atProbe, atSwitch, begunAt, endedAt, outcome, why, onSeconds, samples: thinned(samples) })),
      temperatures: tx.select().from(temperatures).where(and(eq(temperatures.machineId, machine.id), isNull(temperatures.struckBy))).orderBy(desc(temperatures.id)).limit(shown.temperatures).all()
        .map(({ id, part, where, samples, at, byWhom }) => ({ id, part, where, samples: thinned(samples), readings: samples.length, highestC: judgeTemperature({ part, samples }).highestC, at, by: byWhom, findings: judgeTemperature({ part, samples }).findings })),
    },
    readings: file.readings.map(({ id, rail, valueV, load, at, configuration }) => ({ id, rail, valueV, load, at, configuration, here: configuration === here })),
    drifts: expectedRailsOf(file).flatMap(({ name, nominalV, tolerancePct }) => {
      const finding = driftOf({ name, nominalV, tolerancePct: tolerancePct ?? toleranceFor(nominalV).tolerancePct, readings: file.readings.filter(r => r.rail === name && r.configuration === here) })
      return finding ? [{ rail: name, finding }] : []
    }),
  }
}
