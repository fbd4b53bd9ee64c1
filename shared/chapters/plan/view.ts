import type { Stage } from '#core/kernel/stages'
import type { GateVerdict } from '#core/safety/gate-words'
import type { JobState } from './words'

export interface EveningPerson {
  id: number
  name: string
  until: string
  /** Gone home, or stayed on past the time they said. */
  gone: boolean
}

/** A job of tonight, as Today and the sheet of the evening show it. */
export interface EveningJobView {
  id: number
  tag: string
  name: string
  nickname: string
  place: string
  gate: GateVerdict
  overruled: boolean
  stage: Stage
  code: string
  says: string
  why: string
  because: string[]
  /** One, or two; the first of two stands at the switch. */
  hands: { id: number; name: string }[]
  pair: boolean
  guessMinutes: number
  basis: string
  /** When it begins if all goes as guessed. */
  startsAt: string | null
  state: JobState
  startedAt: string | null
  endedAt: string | null
  takenMinutes: number
  /** Done to find something out: whoever ends it is asked what was found. */
  finds: boolean
  /** What whoever had it before wrote for whoever comes next. */
  note: string
  /** What was handed over of the same machine with other jobs. */
  notesBeside: { says: string; note: string; by: string }[]
}

export interface EveningView {
  day: string
  people: EveningPerson[]
  dealtAt: string | null
  /** Who has come or gone since it was dealt. */
  changedSince: string[]
  jobs: EveningJobView[]
  left: { tag: string; name: string; says: string; why: string }[]
  /** How guesses compared with outcomes until now. */
  ratio: string
}

export interface EveningStory {
  day: string
  lines: string[]
  letters: { uid: string; at: string; by: string; to: string; sent: boolean }[]
}
