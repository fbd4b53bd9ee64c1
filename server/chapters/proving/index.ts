import { serverChapter } from '../../kernel/chapter'
import { changeBuildUp, endBuildUp, planBuildUpNow, stepBuildUp } from './building'
import { beginSoak, endSoak, openSoakLog, signOff, tallySoak } from './carry-out'
import { rows } from './rows'
import { beginTestSheet, faultFromLine, lookTestLine, setTestLines } from './testing'

/** Build-ups, test sheets, soaks and the sign-off: what can be done, and what is loaded with a machine. */
export const provingChapter = serverChapter({
  onMachine: {
    'sign-off': signOff,
    'plan-build-up': planBuildUpNow,
    'change-build-up': changeBuildUp,
    'step-build-up': stepBuildUp,
    'end-build-up': endBuildUp,
    'begin-test-sheet': beginTestSheet,
    'look-test-line': lookTestLine,
    'fault-from-line': faultFromLine,
    'begin-soak': beginSoak,
    'tally-soak': tallySoak,
    'open-soak-log': openSoakLog,
    'end-soak': endSoak,
  },
  onCollection: { 'set-test-lines': setTestLines },
  rows,
})
export * from './carry-out'
export * from './schema'
export { linesOfModel } from './testing'
export { facts as provingFacts, noticedWhileProving } from './facts'
export * from './view'
