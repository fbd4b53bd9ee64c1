import { millisecondsInDay } from 'date-fns/constants'
import { type CleaningFacts, cleaning } from '../cleaning/rules'
import { type DiagnosisFacts, diagnosis } from '../diagnosis/rules'
import { type OpeningFacts, opening } from '../opening/rules'
import { discipline } from '../kernel/discipline'
import { type Finding, finding } from '../kernel/finding'
import { move } from '../kernel/move'
import { step } from '../kernel/step'
import { stages } from '../kernel/stages'
import { type PowerFactsKnown, power } from '../power/rules'
import { type SafetyFacts, safety } from '../safety/rules'
import { type Heard, heard } from '../kernel/heard'
import { type BuildUpStep, type StepSeen, judgeBuildUp } from './build-up'
import { retestMonths } from './life'
import { type SignOffLimits, type SignOffResult, judgeSignOff } from './sign-off'
import { type SoakVerdict, planSoak, soaksStanding } from './soak'
import { type LineSeen, type TestLine, judgeTestSheet, lineStates } from './test-sheet'

export interface RetestRecord {
  /** The sign-off that stood until now. */
  signOff: { limits: SignOffLimits | null } | undefined
  soaks: readonly KeptSoak[]
  /** The build-up that is not ended. */
  buildUp: { steps: readonly BuildUpStep[]; looks: readonly StepSeen[] } | null
  /** The newest test sheet. */
  testSheet: { lines: readonly TestLine[]; looks: readonly LineSeen[] } | null
  /** When it went into the life it leads; nothing where nobody chose one. */
  lifeSince: string | null
}
/** A soak as it is kept. */
export interface KeptSoak {
  what: string
  seenFailures: number
  seenPasses: number
  confidence: number
  passes: number
  failures: number
  startedAt: string
  /** When it ran last; empty where it has not. */
  lastAt?: string
  endedAt: string | null
}
export interface RetestFacts {
  signOff: SignOffResult
  soaks: { what: string; verdict: SoakVerdict; left: number | null; given: boolean; failed: boolean; stands: boolean }[]
  /** Whether it is signed off, and nothing has come up that ends it. */
  signedOff: boolean
  /** Within which the sign-off stands. */
  limits: SignOffLimits | null
  /** The build-up that goes on: what goes in next, in words, and whether it went back. */
  buildUp: { done: boolean; says: string; back: boolean } | null
  testSheet: { done: boolean; left: string[]; failed: string[] } | null
  /** Instants from which on a line that is left alone may be looked at. */
  leftAloneUntil: string[]
  /** From when on it is due to be tested again, where it rests in store. */
  retestFrom: string | null
  /** Places of wear at its feet. */
  wornFeet: string[]
  /** What ended the sign-off that stood; nothing while it stands, or where there was none. */
  signOffEnded: string | null
}

/** What else is looked at. */
interface Around {
  faults: readonly { repairs: readonly { at: string }[] }[]
  damages: readonly { kind: string; where: string }[]
}
type Known = SafetyFacts & PowerFactsKnown & DiagnosisFacts & CleaningFacts & OpeningFacts

const monthMs = (365.25 / 12) * millisecondsInDay

function buildUpFacts(buildUp: RetestRecord['buildUp']): RetestFacts['buildUp'] {
  if (!buildUp) return null
  const { verdict, at, amiss } = judgeBuildUp(buildUp.steps, buildUp.looks)
  const adds = buildUp.steps[at]?.adds.join(', ')
  return { done: verdict === 'done', back: amiss !== null, says: amiss ? amiss.says : adds ? `Next goes in: ${adds}.` : '' }
}

function retestFacts(
  { signOff: standing, soaks: kept, buildUp: rising, testSheet: sheet, lifeSince, damages, faults }: RetestRecord & Around,
  known: Known,
): RetestFacts {
  const repairs = faults.flatMap(f => f.repairs.map(r => r.at)).sort()
  const soaked = kept.map(({ what, startedAt, lastAt, endedAt, seenFailures, seenPasses, confidence, passes, failures }) => {
    const { verdict, leftPasses, wantedPasses } = planSoak({ seenFailures, seenPasses, confidence, passes, failures })
    return { what, verdict, left: leftPasses, given: endedAt !== null, failures, wantedPasses, startedAt, lastAt: lastAt || startedAt }
  })
  const standingSoaks = soaksStanding(soaked, repairs)
  const soaks = soaked.map(s => ({ what: s.what, verdict: s.verdict, left: s.left, given: s.given, failed: s.failures > 0, stands: standingSoaks.includes(s) }))
  const buildUp = buildUpFacts(rising)
  const testSheet = sheet && judgeTestSheet(sheet.lines, sheet.looks)
  const signOff = judgeSignOff({
    // A coordinator may let it be started against the gate; proved it is not while something keeps it off.
    gate: known.gate.verdict === 'keep-off' ? 'keep-off' : known.gateInForce,
    rails: known.railsVerdict,
    underLoad: known.railsUnderLoad,
    stepsUndone: known.stepsUndone,
    openFaults: known.faults.filter(f => f.open),
    runningWaits: known.waits.filter(w => !w.over && w.kind !== 'test').map(w => w.what),
    whole: known.whole,
    soaks,
    notSoaked: known.faults
      .filter(({ cameAndWentUntil: since }) => since !== null && !kept.some((s, i) => s.startedAt >= since && soaks[i]!.verdict === 'cured'))
      .map(f => f.symptom),
    buildUp,
    testSheet,
    repairedAt: repairs.at(-1) ?? null,
  })
  const limits = standing?.limits ?? null
  // A wait that starts after the sign-off is no reason against it, nor a sheet that is begun anew; one with limits passed over more.
  const passed = (f: Finding) => f.begun === 'anew' || (limits?.attended && f.shows === 'in-long-use')
  const against = signOff.findings.find(f => f.level === 'stop' && !passed(f))
  return {
    signOff,
    soaks,
    signedOff: Boolean(standing) && !against,
    limits: standing && !against ? limits : null,
    buildUp,
    testSheet: testSheet && { done: testSheet.done, left: testSheet.left, failed: testSheet.failed },
    leftAloneUntil: sheet ? lineStates(sheet.lines, sheet.looks).flatMap(l => l.until ?? []) : [],
    wornFeet: damages.filter(d => d.kind === 'wear' && /\b(feet|foot)\b/i.test(d.where)).map(d => d.where),
    retestFrom: lifeSince && new Date(Date.parse(lifeSince) + retestMonths * monthMs).toISOString(),
    signOffEnded: standing && against ? against.says : null,
  }
}

/** What is said where the record cannot be read: it is not proved. */
const retestUnknown: RetestFacts = {
  signOff: { allowed: false, findings: [finding('stop', 'sign-off.unreadable', 'How it was proved cannot be read.', 'The record has to be put right first.')] },
  soaks: [],
  signedOff: false,
  limits: null,
  buildUp: null,
  testSheet: null,
  leftAloneUntil: [],
  retestFrom: null,
  wornFeet: [],
  signOffEnded: null,
}

/** What the gate hears of a build-up: where it went back somebody is at the switch; where the least that runs fails, nothing is energised. */
function retestHeard({ buildUp }: RetestRecord): Heard[] {
  const amiss = buildUp && judgeBuildUp(buildUp.steps, buildUp.looks).amiss
  if (!amiss) return []
  const say =
    amiss.level === 'stop'
      ? 'End the build-up: what fails becomes a fault. Mend it, then start a new build-up.'
      : 'Take it out again, and look at the step before.'
  return [heard(amiss, say)]
}

declare module '../kernel/machine' {
  interface MachineRecord extends RetestRecord {}
  interface MachineKnown extends RetestFacts {}
}

/** Proving ends in the sign-off; what rests in store is proved again on its way out. Common practice, no source. */
export const retest = discipline({
  name: 'retest',
  about: 'how it was proved',
  after: [safety, power, diagnosis, cleaning, opening],
  facts: (record, { known }) => retestFacts(record, known),
  unknown: retestUnknown,
  heard: retestHeard,
  due: m => [...m.leftAloneUntil, ...(m.life === 'store' && m.retestFrom ? [m.retestFrom] : [])],
  steps: {
    prove: m => [
      ...(m.buildUp ? [step('Built up', m.buildUp.done)] : []),
      ...(m.testSheet ? [step('Test sheet', m.testSheet.done)] : []),
      ...m.soaks.filter(s => s.stands || s.verdict === 'cured').map(s => step(`Soak: ${s.what}`, s.verdict === 'cured')),
      step('Signed off', m.signedOff),
    ],
  },
  moves: m => [
    ...((m.life === 'hands-on' || m.life === 'demonstration') && m.stage === 'home' && !m.signedOff
      ? [
          move('alarm', 'take-away', 'home', {
            says: m.life === 'hands-on' ? 'Take it away from visitors' : 'Show it to nobody until it is signed off again',
            why: m.gateInForce === 'keep-off' ? 'The gate says: keep off.' : 'It is not signed off any more.',
          }),
        ]
      : []),
    ...(m.buildUp && !m.buildUp.done
      ? [move('sign-off', 'build-up', 'prove', { says: m.buildUp.back ? 'Go back one step of the build-up' : 'Go on building it up', why: m.buildUp.says })]
      : []),
    ...(m.testSheet &&
    !m.testSheet.done &&
    !(m.leftAloneUntil.length && m.leftAloneUntil.length === m.testSheet.left.length && m.leftAloneUntil.every(u => u > m.now))
      ? [
          move('sign-off', 'test-sheet', 'prove', {
            says: m.testSheet.failed.length
              ? `Test failed: ${m.testSheet.failed[0]}`
              : m.testSheet.left.length
                ? `Go on testing: ${m.testSheet.left[0]}`
                : 'Look at the test sheet again',
            why: m.testSheet.failed.length ? 'Write it down as a fault, mend it, test it again.' : 'What was not tried is not known.',
          }),
        ]
      : []),
    ...m.soaks
      .filter(s => !s.given && s.verdict === 'go-on')
      .map(s => move('sign-off', 'soak', 'prove', { says: `Go on soaking: ${s.what}`, why: `${s.left} clean passes are left.` })),
    ...(!m.signedOff && stages.indexOf(m.stage) >= stages.indexOf('prove') && m.signOff.allowed
      ? [move('sign-off', 'sign-off', 'prove', { says: 'Sign it off', why: 'Nothing is in the way.', who: 'somebody who tested it' })]
      : []),
    ...(m.life === 'store' && m.stage === 'home' && !m.signedOff
      ? [
          m.retestFrom && m.retestFrom <= m.now
            ? move('retest', 'retest-due', 'prove', {
                says: 'Test it again: it has rested long',
                why: `In store for ${retestMonths} months; machines fail in storage.`,
              })
            : move('retest', 'retest', 'prove', { says: 'Test it before it leaves the store', why: 'Machines fail in storage.' }),
        ]
      : []),
  ],
})
