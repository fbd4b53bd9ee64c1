import { serverChapter } from '../../kernel/chapter'
import {
  assessPower,
  assignSupply,
  changeBattery,
  chooseSchool,
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
import { batteries, explanations, offReadings, readings, temperatures } from './schema'

/** Making safe: what can be done, and what is loaded with a machine. */
export const powerChapter = serverChapter({
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
export { expectedRailsOf, inletOf, powerRecordOf, schoolOf } from './facts'
export { facts as powerFacts } from './facts'
export * from './view'
