import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { provingView } from './view'
import { changeBuildUp, endBuildUp, planBuildUpNow, stepBuildUp } from './building'
import { beginSoak, endBecause, endSoak, openSoakLog, saySoakLog, signOff, tallySoak, untallySoak } from './carry-out'
import { rows } from './rows'
import { beginTestSheet, faultFromLine, lookTestLine, setTestLines } from './testing'

/** Build-ups, test sheets, soaks and the sign-off: what can be done, and what is loaded with a machine. */
export const provingChapter = serverChapter({
  name: 'proving',
  // It worked before it was mended, or when it was put away, is not the same as it works.
  hears: {
    'fault.repaired': (on, { did }) => endBecause(on, `it was repaired: ${did}`),
    'held.moved': (on, { name, from, to, out, into }) => {
      if (to === 'fitted' && into === on.machine.tag) endBecause(on, `a part was fitted: ${name}`)
      else if (from === 'fitted' && out === on.machine.tag) endBecause(on, `a part was taken out: ${name}`)
    },
    'capacitor.out': (on, { assembly, place }) => endBecause(on, `a capacitor was taken out: ${assembly} ${place}`),
    'assembly.left': (on, { assembly }) => endBecause(on, `${assembly} went into another machine`),
    'assembly.came': (on, { assembly }) => endBecause(on, `another ${assembly} came into it`),
    'setting.changed': (on, { assembly, name }) => endBecause(on, `a setting was changed: ${assembly} ${name}`),
    'setting.back': (on, { assembly, name }) => endBecause(on, `a setting was put back: ${assembly} ${name}`),
    'capacitor.fitted': (on, { assembly, place }) => endBecause(on, `a capacitor was changed: ${assembly} ${place}`),
    'life.chosen': (on, { life }) => (life === 'store' ? endBecause(on, 'it went into store') : undefined),
  },
  reacts: (on, { signOffEnded }) => {
    if (signOffEnded) endBecause(on, signOffEnded)
  },
  schema,
  facts,
  view: provingView,
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
    'untally-soak': untallySoak,
    'open-soak-log': openSoakLog,
    'say-soak-log': saySoakLog,
    'end-soak': endSoak,
  },
  onCollection: { 'set-test-lines': setTestLines },
  rows,
})
export * from './carry-out'
export * from './schema'
export { linesOfModel } from './testing'
export * from './view'
