import { type Discipline, move, step } from '../planning/discipline'

export interface CleaningRecord {
  cleanings: readonly unknown[]
  /** Waits that nobody has ended. */
  waits: readonly { what: string; until: string }[]
}
export interface CleaningFacts {
  cleanings: number
  waits: { what: string; until: string; over: boolean }[]
}

/** @param now instant in UTC with milliseconds, as the waits have it */
export const cleaningFacts = ({ cleanings, waits }: CleaningRecord, now: string): CleaningFacts => ({
  cleanings: cleanings.length,
  waits: waits.map(({ what, until }) => ({ what, until, over: until <= now })),
})

/** Cleaning goes on when a wait has run out: drying, soaking, an answer by post. */
export const cleaning: Discipline = {
  steps: { clean: m => [step('A cleaning recorded', m.cleanings > 0), step('Every wait over', m.cleanings > 0 && m.waits.length === 0)] },
  moves: m => m.waits.filter(w => w.over).map(w => move('wait-over', 'wait-over', 'clean', { says: `Go on: ${w.what}`, why: 'The wait is over.' })),
  due: m => m.waits.map(w => w.until),
}
