import { lookedAt } from '../condition/rules'
import { type TriageInput, triage } from '../condition/triage'
import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'

/** What was agreed about a machine, and where it is to go. */
export interface StewardshipRecord {
  /** Whether it belongs to the collection. */
  ours: boolean
  consent: unknown
  appraisal: { path: unknown } | null
  /** What its paths are ranked by; nothing before it was appraised. */
  triage?: TriageInput | null
}

export interface StewardshipFacts {
  /** It belongs to somebody else, and nobody has recorded what may be done. */
  consentWanted: boolean
  /** It belongs to somebody else. */
  owned: boolean
  pathChosen: boolean
  /** The look that may change most what becomes of it; nothing where none may. */
  lookNext: { name: string; why: string } | null
}

const stewardshipFacts = ({ ours, consent, appraisal, triage: input }: StewardshipRecord): StewardshipFacts => {
  const pathChosen = (appraisal?.path ?? null) !== null
  const look = input && !pathChosen ? triage(input).nextLooks[0] : undefined
  return {
    consentWanted: !ours && !consent,
    owned: !ours,
    pathChosen,
    lookNext: look ? { name: look.name, why: `In ${Math.max(1, Math.round(look.changes * 20) * 5)} of 100 cases it brings another path to the head.` } : null,
  }
}

declare module '../kernel/machine' {
  interface MachineRecord extends StewardshipRecord {}
  interface MachineKnown extends StewardshipFacts {}
}

/** Somebody else's machine is asked about first; a path is chosen once everything has been looked at. Common practice, no source. */
export const stewardship = discipline({
  name: 'stewardship',
  about: 'what was agreed about it',
  facts: stewardshipFacts,
  unknown: { consentWanted: true, owned: true, pathChosen: false, lookNext: null },
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
    ...(m.lookNext
      ? [move('look', 'look-decides', 'look', { says: `Look at ${m.lookNext.name.toLowerCase()}: it may change what becomes of it`, why: m.lookNext.why })]
      : []),
    ...(!m.pathChosen && ['look', 'make-safe'].includes(m.stage) && m.assemblies.length > 0 && m.assemblies.every(lookedAt)
      ? [move('path', 'path', 'look', { says: 'Choose its path', why: 'Every assembly has been looked at.', coordinator: true })]
      : []),
  ],
})
