import { type CollectionCommandName, type CommandInput, type MachineCommandName } from '#shared/contracts/commands'
import { endWait, recordCleaning, startWait } from './cleaning'
import { addAssembly, gradeAssembly } from './assemblies'
import { changeDamage, logIntervention, recordDamage, settleCheck, settleIntervention } from './condition'
import { changeFault, observeFault, repairFault, reportFault, settlePart, wantPart } from './faults'
import { addClaim, bookIn, bookInLot, chooseLife, correctIdentity, judgeClaim, keepDateCode, moveToStage, noteAccessory, putOnBench, switchPassport } from './machines'
import { addModel, changeModel } from './models'
import { askQuestion, pinResult, settleQuestion, strikeEntry } from './notes'
import { changeOpeningStep, countBack, recordOpeningStep, reuseOpening } from './opening'
import { addPerson, changePerson, grantSkills, setPassword } from './people'
import { addPhotograph, describePhotograph, keepCorrosion, setScale } from './photographs'
import { changeBattery, recordBattery } from './batteries'
import { assessPower, chooseSchool, expectRails, measureOffState, overruleGate, setConfiguration, settleHazard, takeReading, withdrawOverrule } from './power'
import { setMeter, setPractice } from './practice'
import { signOff } from './retest'
import { beginStart, endStart } from './starts'
import { addSupply, assignSupply, changeSupply, expectInlet } from './supplies'
import { importTemperatures, takeTemperature } from './temperatures'
import { appraise, choosePath, recordConsent, recordSpending, writeToOwner } from './stewardship'
import { type Bench, type MachineWork, type Person, type Work, carryOut, carryOutOn } from './work'

/** Which service carries out which command. */
const machineServices: { [N in MachineCommandName]: (work: MachineWork, input: CommandInput<N>) => unknown } = {
  'correct-identity': correctIdentity,
  'add-claim': addClaim,
  'judge-claim': judgeClaim,
  'note-accessory': noteAccessory,
  'read-date-code': keepDateCode,
  'move-to-stage': moveToStage,
  'put-on-bench': putOnBench,
  'add-assembly': addAssembly,
  'grade-assembly': gradeAssembly,
  'record-damage': recordDamage,
  'change-damage': changeDamage,
  'settle-check': settleCheck,
  'add-photograph': addPhotograph,
  'describe-photograph': describePhotograph,
  'set-scale': setScale,
  'keep-corrosion': keepCorrosion,
  'record-opening-step': recordOpeningStep,
  'change-opening-step': changeOpeningStep,
  'reuse-opening': reuseOpening,
  'count-back': countBack,
  'log-intervention': logIntervention,
  'settle-intervention': settleIntervention,
  'record-consent': recordConsent,
  'record-spending': recordSpending,
  'appraise': appraise,
  'choose-path': choosePath,
  'write-to-owner': writeToOwner,
  'assess-power': assessPower,
  'choose-school': chooseSchool,
  'settle-hazard': settleHazard,
  'set-configuration': setConfiguration,
  'record-battery': recordBattery,
  'change-battery': changeBattery,
  'expect-inlet': expectInlet,
  'assign-supply': assignSupply,
  'take-temperature': takeTemperature,
  'import-temperatures': importTemperatures,
  'begin-start': beginStart,
  'end-start': endStart,
  'overrule-gate': overruleGate,
  'withdraw-overrule': withdrawOverrule,
  'record-cleaning': recordCleaning,
  'start-wait': startWait,
  'end-wait': endWait,
  'report-fault': reportFault,
  'change-fault': changeFault,
  'observe-fault': observeFault,
  'repair-fault': repairFault,
  'want-part': wantPart,
  'settle-part': settlePart,
  'expect-rails': expectRails,
  'take-reading': takeReading,
  'measure-off-state': measureOffState,
  'sign-off': signOff,
  'choose-life': chooseLife,
  'ask-question': askQuestion,
  'settle-question': settleQuestion,
  'switch-passport': switchPassport,
  'pin-result': pinResult,
  'strike-entry': strikeEntry,
}

/** Passwords arrive hashed: hashing takes its time and must not hold a transaction open. */
export type Hashed<I> = I extends { password: string } ? Omit<I, 'password'> & { passwordHash: string } : I
export type CollectionInput<N extends CollectionCommandName> = Hashed<CommandInput<N>>

const collectionServices: { [N in CollectionCommandName]: (work: Work, input: CollectionInput<N>) => unknown } = {
  'book-in': bookIn,
  'book-in-lot': bookInLot,
  'add-model': addModel,
  'change-model': changeModel,
  'set-practice': setPractice,
  'set-meter': setMeter,
  'add-supply': addSupply,
  'change-supply': changeSupply,
  'add-person': addPerson,
  'change-person': changePerson,
  'grant-skills': grantSkills,
  'set-password': setPassword,
}

/** Carries out a command on the machine with this tag, with input that its contract has passed. */
export function performOnMachine<N extends MachineCommandName>(bench: Bench, person: Person, tag: string, name: N, input: CommandInput<N>): unknown {
  return carryOutOn(bench, person, tag, work => machineServices[name](work, input))
}

/** Carries out a command on the collection, with input that its contract has passed. */
export function performOnCollection<N extends CollectionCommandName>(bench: Bench, person: Person, name: N, input: CollectionInput<N>): unknown {
  return carryOut(bench, person, work => collectionServices[name](work, input))
}
