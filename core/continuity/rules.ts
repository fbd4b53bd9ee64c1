import { commonPractice, finding } from '../kernel/finding'
import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'
import { type Heard, heard, slug } from '../kernel/heard'

/** What probing of one sheet has shown by now. */
export interface SheetTally {
  title: string
  endedAt: string | null
  total: number
  answered: number
  broken: readonly string[]
  doubtful: readonly string[]
  shorts: readonly { nets: readonly [string, string]; supply: boolean }[]
}
export interface ContinuityRecord {
  probeSheets: readonly SheetTally[]
}
export interface ContinuityFacts {
  probing: { title: string; left: number; total: number }[]
  brokenNets: string[]
}

const continuityFacts = ({ probeSheets }: ContinuityRecord): ContinuityFacts => ({
  probing: probeSheets.filter(s => !s.endedAt && s.answered < s.total).map(s => ({ title: s.title, left: s.total - s.answered, total: s.total })),
  brokenNets: [...new Set(probeSheets.flatMap(s => s.broken))],
})

const some = (names: readonly string[]) => `${names.slice(0, 4).join(', ')}${names.length > 4 ? ` and ${names.length - 4} more` : ''}`

/**
 * What the gate hears of probing: a supply that is joined to something else stops it; nets joined that should not be, broken, or in doubt guard it.
 * Common practice, no source.
 */
function probesHeard({ probeSheets }: ContinuityRecord): Heard[] {
  return probeSheets.flatMap(({ title, shorts, broken, doubtful }): Heard[] => {
    const code = slug(title)
    const named = (list: typeof shorts) => some(list.map(s => s.nets.join(' to ')))
    const [supply, signal] = [shorts.filter(s => s.supply), shorts.filter(s => !s.supply)]
    const again = 'Clear what joins them, and ask them again on the sheet.'
    return [
      ...(supply.length
        ? [
            heard(
              finding(
                'stop',
                `probe.short.${code}`,
                `A supply is joined to another net: ${named(supply)}.`,
                `Found on the probe sheet “${title}”. It would be a short.`,
                commonPractice,
              ),
              again,
            ),
          ]
        : []),
      ...(signal.length
        ? [
            heard(
              finding(
                'care',
                `probe.joined.${code}`,
                `Nets are joined that should not be: ${named(signal)}.`,
                `Found on the probe sheet “${title}”. Outputs may drive against each other.`,
                commonPractice,
              ),
              again,
            ),
          ]
        : []),
      ...(broken.length
        ? [
            heard(
              finding(
                'care',
                `probe.broken.${code}`,
                `Broken nets: ${some(broken)}.`,
                `Found on the probe sheet “${title}”. What hangs on them does not work, and may mislead.`,
              ),
              'Bridge them, and take the reading after.',
            ),
          ]
        : []),
      ...(doubtful.length
        ? [
            heard(
              finding('care', `probe.doubtful.${code}`, `Nets in doubt: ${some(doubtful)}.`, 'They wobbled, or read high: a crack that a finger closes.'),
              'Ask them again from beyond the socket.',
            ),
          ]
        : []),
    ]
  })
}

declare module '../kernel/machine' {
  interface MachineRecord extends ContinuityRecord {}
  interface MachineKnown extends ContinuityFacts {}
}

/** Probing goes on where it stopped; what it found broken is bridged. */
export const continuity = discipline({
  name: 'continuity',
  about: 'its nets',
  facts: continuityFacts,
  unknown: { probing: [], brokenNets: [] },
  heard: record => probesHeard(record),
  steps: { mend: m => [...m.probing.map(p => step(`Probe sheet: ${p.title}`, false)), ...(m.brokenNets.length ? [step('Broken nets bridged', false)] : [])] },
  moves: m => [
    ...m.probing.map(p => move('checks', 'probe', 'mend', { says: `Go on probing: ${p.title}`, why: `${p.left} of ${p.total} checks are left.` })),
    ...(m.brokenNets.length ? [move('replace', 'patch', 'mend', { says: `Bridge broken nets: ${some(m.brokenNets)}`, why: 'Probing found them open.' })] : []),
  ],
})
