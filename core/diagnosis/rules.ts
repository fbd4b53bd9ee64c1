import type { ContinuityRecord } from '../continuity/rules'
import { commonPractice, finding } from '../kernel/finding'
import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'
import { type Heard, heard, slug } from '../kernel/heard'
import { comesAndGoes } from './symptoms'
import { type AttemptArea, type TheoryState, backToBasics } from './back-to-basics'

export interface DiagnosisRecord {
  faults: readonly {
    id?: number
    symptom: string
    symptoms: readonly string[]
    stopsMachine: boolean
    open: boolean
    /** Instant in UTC; empty or left out of former days. */
    reportedAt?: string
    /** It stays as it is, and is known; nobody works on it. */
    leftAs: '' | 'known' | 'came-back'
    observations: readonly unknown[]
    repairs: readonly { at: string }[]
    attempts: readonly { area: AttemptArea; minutes: number | null; trial?: { outcome: string } | null }[]
    theories: readonly { state: TheoryState; damaged: boolean }[]
  }[]
}
/** What other disciplines know that a fault is judged by. */
interface Around extends ContinuityRecord {
  damages: readonly unknown[]
  readings: readonly unknown[]
}
export interface DiagnosisFacts {
  faults: {
    symptom: string
    stopsMachine: boolean
    open: boolean
    leftAs: string
    looked: boolean
    repairs: number
    /** It was mended, came and went before, and this is when it was mended first; nothing of others. */
    cameAndWentUntil: string | null
    /** Why it has to go back to basics; empty where it has not. */
    basics: { says: string; why: string } | null
  }[]
}

/** What is known of a machine that decides whether its faults have to go back to basics. */
export const basicsAround = ({ damages, readings, probeSheets }: Around) => ({
  damageKnown: damages.length > 0 || probeSheets.some(s => s.broken.length > 0),
  railsRead: readings.length > 0,
  zoneProbed: probeSheets.length > 0 && probeSheets.every(s => s.answered >= s.total),
})

const diagnosisFacts = (record: DiagnosisRecord & Around): DiagnosisFacts => {
  const around = basicsAround(record)
  return {
    faults: record.faults.map(({ symptom, symptoms, stopsMachine, open, leftAs, observations, repairs, attempts, theories }) => {
      const [basics] = backToBasics({ open: open && !leftAs, attempts, theories, ...around })
      return {
        symptom,
        stopsMachine,
        open,
        leftAs,
        looked: observations.length + attempts.length + theories.length > 0,
        repairs: repairs.length,
        cameAndWentUntil:
          !open &&
          comesAndGoes(
            symptoms,
            attempts.map(a => a.trial?.outcome),
          )
            ? (repairs.map(r => r.at).sort()[0] ?? null)
            : null,
        basics: basics ? { says: basics.says, why: basics.because[0] ?? '' } : null,
      }
    }),
  }
}

/** A fault that stops the machine guards every start of it, until it is mended or known to be lived with. */
const stopping = ({ faults }: DiagnosisRecord): Heard[] =>
  faults
    .filter(f => f.open && f.stopsMachine)
    .map(f =>
      heard(
        finding(
          'care',
          `fault.stops.${slug(f.symptom).slice(0, 40)}`,
          `A fault stops it: ${f.symptom}.`,
          'It is open, and may come from, or lead to, something worse.',
          commonPractice,
        ),
        'Find it and mend it; or say in the fault that it does not stop the machine.',
        { about: `fault:${f.id ?? slug(f.symptom)}` },
      ),
    )

declare module '../kernel/machine' {
  interface MachineRecord extends DiagnosisRecord {}
  interface MachineKnown extends DiagnosisFacts {}
}

/** A fault is looked into first, then gone on with until a repair closes it; one that stays as it is known is left. */
export const diagnosis = discipline({
  name: 'diagnosis',
  about: 'its faults',
  facts: diagnosisFacts,
  unknown: { faults: [] },
  heard: stopping,
  steps: { mend: m => m.faults.map(f => step(f.symptom, !f.open || f.leftAs === 'known')) },
  moves: m => {
    const open = m.faults.filter(f => f.open && f.leftAs !== 'known')
    return [
      ...open
        .filter(f => !f.looked)
        .map(f => move('new-fault', 'fault-new', 'mend', { says: `Look into: ${f.symptom}`, why: 'Nobody has observed anything about it yet.' })),
      ...open
        .filter(f => f.looked)
        .map(f =>
          f.basics
            ? move('open-fault', 'fault-basics', 'mend', {
                says: `${f.symptom}: ${f.basics.says.charAt(0).toLowerCase()}${f.basics.says.slice(1)}`,
                why: f.basics.why,
              })
            : move('open-fault', 'fault-open', 'mend', {
                says: `Go on with: ${f.symptom}`,
                why:
                  f.leftAs === 'came-back'
                    ? 'It came back by itself: it stays open as intermittent.'
                    : f.repairs
                      ? 'A repair did not close it.'
                      : 'Observed, not repaired yet.',
              }),
        ),
    ]
  },
})
