import { serverChapter } from '../../kernel/chapter'
import { sql } from 'drizzle-orm'
import { machines } from '../../kernel/trunk'
import * as schema from './schema'
import { facts } from './facts'
import { powerView } from './view'
import {
  assessPower,
  assignSupply,
  changeBattery,
  chooseSchool,
  endOverrule,
  explainAlarm,
  expectInlet,
  expectRails,
  importTemperatures,
  measureOffState,
  overruleGate,
  recordBattery,
  setConfiguration,
  settleHazard,
  settleSaying,
  stepBattery,
  takeReading,
  takeTemperature,
  withdrawOverrule,
} from './carry-out'
import { rows } from './rows'
import { batteries, explanations, offReadings, powerAssessments, readings, temperatures } from './schema'

/** Making safe: what can be done, and what is loaded with a machine. */
export const powerChapter = serverChapter({
  name: 'power',
  columns: { batteryLeaked: ({ power }) => power.batteryHasLeaked },
  scopes: { supply: id => sql`${machines.id} IN (SELECT ${powerAssessments.machineId} FROM ${powerAssessments} WHERE ${powerAssessments.supplyId} = ${id})` },
  reacts: (on, { overruleEnded, gate }) => {
    if (overruleEnded) endOverrule(on, overruleEnded)
    if (gate) on.write('gate.changed', gate)
  },
  schema,
  facts,
  view: powerView,
  onMachine: {
    'assess-power': assessPower,
    'choose-school': chooseSchool,
    'settle-hazard': settleHazard,
    'settle-saying': settleSaying,
    'set-configuration': setConfiguration,
    'record-battery': recordBattery,
    'change-battery': changeBattery,
    'step-battery': stepBattery,
    'explain-alarm': explainAlarm,
    'expect-inlet': expectInlet,
    'assign-supply': assignSupply,
    'take-temperature': takeTemperature,
    'import-temperatures': importTemperatures,
    'overrule-gate': overruleGate,
    'withdraw-overrule': withdrawOverrule,
    'expect-rails': expectRails,
    'take-reading': takeReading,
    'measure-off-state': measureOffState,
  },
  rows,
  strikeable: { readings, off_readings: offReadings, batteries, temperatures, explanations },
})
export * from './carry-out'
export * from './schema'
export { expectedRailsOf, inletOf, schoolOf } from './facts'
export * from './view'
