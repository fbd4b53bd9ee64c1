import { counted } from '../../kernel/figure'
import { commonPractice, finding } from '../../kernel/finding'
import { discipline } from '../../kernel/discipline'
import { heard } from '../../kernel/heard'
import { move, someOf } from '../../kernel/move'
import { skills } from '../../kernel/skills'
import { step } from '../../kernel/step'
import type { Spec } from '../substitute/compare'
import { type CapacitorMeasured, judgeCapacitor } from './measured'
import { type CapacitorSchool, type Due, recapDue } from './schools'

/** Where a capacitor of a list is: still in its place, out of it, or changed. */
export const capacitorStates = { in: 'In its place', out: 'Out', fitted: 'Changed' } as const
export type CapacitorState = keyof typeof capacitorStates

export interface RecapRecord {
  capacitors: readonly {
    assembly: string
    place: string
    spec: Spec
    stressed: boolean
    looksBad: boolean
    measured: CapacitorMeasured | null
    state: CapacitorState
  }[]
  capacitorSchool: CapacitorSchool
  /** Whether it was on in an attended start, however that ended. */
  started: boolean
}
type Listed = RecapRecord['capacitors'][number]
/** What the school does about a capacitor of the list, and what it measures like. */
export function judgeListed(
  one: Pick<Listed, 'spec' | 'stressed' | 'looksBad' | 'measured'>,
  { capacitorSchool, started }: Pick<RecapRecord, 'capacitorSchool' | 'started'>,
) {
  const judged = one.measured && judgeCapacitor(one.spec, one.measured)
  return {
    verdict: judged?.verdict ?? null,
    findings: judged?.findings ?? [],
    ...recapDue({ ...one, verdict: judged?.verdict ?? null }, capacitorSchool, started),
  }
}

export interface RecapFacts {
  /** What is to be changed, by its place, and when; and how many of the list are out of their places, or changed. */
  recapping: { places: { says: string; due: Due }[]; out: number; fitted: number }
}
const named = ({ assembly, place }: Listed) => `${assembly} ${place}`

declare module '../../kernel/machine' {
  interface MachineRecord extends RecapRecord {}
  interface MachineKnown extends RecapFacts {}
}

/** Recapping: what stands out of its place keeps the machine off, what is bad and still in guards it. */
export const recap = discipline({
  name: 'recap',
  about: 'its capacitors',
  facts: (record): RecapFacts => ({
    recapping: {
      places: record.capacitors
        .flatMap(one => (one.state === 'in' ? [{ says: named(one), due: judgeListed(one, record).due }] : []))
        .filter(one => one.due !== 'stays'),
      out: record.capacitors.filter(one => one.state === 'out').length,
      fitted: record.capacitors.filter(one => one.state === 'fitted').length,
    },
  }),
  unknown: { recapping: { places: [], out: 0, fitted: 0 } },
  heard: record => {
    const out = record.capacitors.filter(one => one.state === 'out')
    const bad = record.capacitors.filter(one => one.state === 'in' && (one.looksBad || judgeListed(one, record).verdict === 'bad'))
    return [
      ...(out.length
        ? [
            heard(
              finding(
                'stop',
                'recap.out',
                `${counted(out.length, 'capacitor')} out of place: ${someOf(out.map(named))}.`,
                'What filters or holds a rail is missing there.',
                commonPractice,
              ),
              'Fit each, with its polarity asked again, and say so.',
            ),
          ]
        : []),
      ...(bad.length
        ? [
            heard(
              finding(
                'care',
                'recap.bad',
                `${counted(bad.length, 'capacitor')} that ${bad.length === 1 ? 'is' : 'are'} bad and still in: ${someOf(bad.map(named))}.`,
                'They may fail as a short, or let ripple through.',
                commonPractice,
              ),
              'Change them before it runs for longer than a look.',
            ),
          ]
        : []),
    ]
  },
  steps: {
    mend: m =>
      m.recapping.places.length + m.recapping.out + m.recapping.fitted
        ? [step('Capacitors changed, as far as they are to be', !m.recapping.places.length && !m.recapping.out)]
        : [],
  },
  moves: m => {
    const now = m.recapping.places.filter(one => one.due === 'now')
    return now.length
      ? [
          move('part', 'recap', 'mend', {
            says: `Change ${counted(now.length, 'capacitor')}: ${someOf(now.map(one => one.says))}`,
            why: 'By the practice here, or by what was seen or measured of them.',
            skill: 'fine-rework',
            who: skills['fine-rework'].who,
          }),
        ]
      : []
  },
})
