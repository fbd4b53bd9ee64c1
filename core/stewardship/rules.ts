import { lookedAt } from '../condition/rules'
import { type Discipline, move, step } from '../planning/discipline'

/** What was agreed about a machine, and where it is to go. */
export interface StewardshipRecord {
  /** Whether it belongs to the collection. */
  ours: boolean
  consent: unknown
  appraisal: { path: unknown } | null
}

export interface StewardshipFacts {
  /** It belongs to somebody else, and nobody has recorded what may be done. */
  consentWanted: boolean
  /** It belongs to somebody else. */
  owned: boolean
  pathChosen: boolean
}

export const stewardshipFacts = ({ ours, consent, appraisal }: StewardshipRecord): StewardshipFacts => ({
  consentWanted: !ours && !consent,
  owned: !ours,
  pathChosen: (appraisal?.path ?? null) !== null,
})

/** Somebody else's machine is asked about first; a path is chosen once everything has been looked at. Common practice, no source. */
export const stewardship: Discipline = {
  steps: { arrive: m => (m.owned ? [step('Agreed with its owner', !m.consentWanted)] : []) },
  moves: m => [
    ...(m.consentWanted
      ? [
          move('owner', 'consent', 'arrive', {
            says: 'Ask its owner what may be done',
            why: 'It belongs to somebody else, and no consent has been recorded.',
            coordinator: true,
          }),
        ]
      : []),
    ...(!m.pathChosen && ['look', 'make-safe'].includes(m.stage) && m.assemblies.length > 0 && m.assemblies.every(lookedAt)
      ? [move('path', 'path', 'look', { says: 'Choose its path', why: 'Every assembly has been looked at.', coordinator: true })]
      : []),
  ],
}
