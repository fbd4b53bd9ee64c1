import type { CleaningFacts } from '../cleaning/rules'
import type { DiagnosisFacts } from '../diagnosis/rules'
import type { OpeningFacts } from '../opening/rules'
import { type Discipline, move, step } from '../planning/discipline'
import { stages } from '../planning/stages'
import type { PowerFactsKnown } from '../power/rules'
import type { SafetyFacts } from '../safety/rules'
import { type SignOffResult, judgeSignOff } from './sign-off'
import { type SoakVerdict, planSoak } from './soak'

export interface RetestRecord {
  /** The sign-off that stood until now. */
  signOff: unknown
  soaks: readonly KeptSoak[]
}
/** A soak as it is kept. */
export interface KeptSoak {
  what: string
  seenFailures: number
  seenPasses: number
  confidence: number
  passes: number
  failures: number
  endedAt: string | null
}
export interface RetestFacts {
  signOff: SignOffResult
  soaks: { what: string; verdict: SoakVerdict; left: number | null; given: boolean }[]
  /** Whether it is signed off, and nothing has come up that ends it. */
  signedOff: boolean
  /** What ended the sign-off that stood; nothing while it stands, or where there was none. */
  signOffEnded: string | null
}

type Known = SafetyFacts & PowerFactsKnown & DiagnosisFacts & CleaningFacts & OpeningFacts

export function retestFacts({ signOff: standing, soaks: kept }: RetestRecord, known: Known): RetestFacts {
  const soaks = kept.map(({ what, endedAt, seenFailures, seenPasses, confidence, passes, failures }) => {
    const { verdict, leftPasses } = planSoak({ seenFailures, seenPasses, confidence, passes, failures })
    return { what, verdict, left: leftPasses, given: endedAt !== null }
  })
  const signOff = judgeSignOff({
    // A coordinator may let it be started against the gate; proved it is not while something keeps it off.
    gate: known.gate.verdict === 'keep-off' ? 'keep-off' : known.gateInForce,
    rails: known.railsVerdict,
    underLoad: known.railsUnderLoad,
    stepsUndone: known.stepsUndone,
    openFaults: known.faults.filter(f => f.open),
    runningWaits: known.waits.filter(w => !w.over).map(w => w.what),
    whole: known.whole,
    soaks,
  })
  // A wait that starts after the sign-off is no reason against it.
  const against = signOff.findings.find(f => f.level === 'stop' && f.code !== 'sign-off.wait')
  return { signOff, soaks, signedOff: Boolean(standing) && !against, signOffEnded: standing && against ? against.says : null }
}

/** Proving ends in the sign-off; what rests in store is proved again on its way out. Common practice, no source. */
export const retest: Discipline = {
  steps: {
    prove: m => [
      ...m.soaks.filter(s => !s.given || s.verdict === 'cured').map(s => step(`Soak: ${s.what}`, s.verdict === 'cured')),
      step('Signed off', m.signedOff),
    ],
  },
  moves: m => [
    ...(m.life === 'hands-on' && m.stage === 'home' && !m.signedOff
      ? [
          move('alarm', 'take-away', 'home', {
            says: 'Take it away from visitors',
            why: m.gateInForce === 'keep-off' ? 'The gate says: keep off.' : 'It is not signed off any more.',
          }),
        ]
      : []),
    ...m.soaks
      .filter(s => !s.given && s.verdict === 'go-on')
      .map(s => move('sign-off', 'soak', 'prove', { says: `Go on soaking: ${s.what}`, why: `${s.left} clean passes are left.` })),
    ...(!m.signedOff && stages.indexOf(m.stage) >= stages.indexOf('prove') && m.signOff.allowed
      ? [move('sign-off', 'sign-off', 'prove', { says: 'Sign it off', why: 'Nothing stands in the way.', who: 'somebody who tested it' })]
      : []),
    ...(m.life === 'store' && m.stage === 'home' && !m.signedOff
      ? [move('retest', 'retest', 'prove', { says: 'Test it before it leaves the store', why: 'Machines fail in storage.' })]
      : []),
  ],
}
