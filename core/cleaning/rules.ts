import { commonPractice, finding } from '../kernel/finding'
import { type Discipline, move, step } from '../planning/discipline'
import { type Heard, contradiction, heard } from '../safety/heard'

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

/** Waits in which something of the machine is wet, hot or away; waits for the post or an answer; by what is written of them. */
const wet = /\bdry|oven|\bbak|wet\b|rins|wash|soak(?! test)|\bbath|damp|neutralis|vinegar|varnish|lacquer|\bmask\b/i
const elsewhere = /\bpost\b|parcel|deliver|order|answer|reply|letter|owner|quote|arriv|\bpart\b|soak test|overnight|without mains|run(s|ning)?\b|clock/i

/**
 * What the gate hears of a wait: what dries or soaks stops it, and once the time is over somebody has to say that it is dry.
 * A wait that is not understood guards it. Common practice, no source.
 */
function waitsHeard({ waits }: CleaningRecord, now: string): Heard[] {
  return waits.flatMap(({ what, until }): Heard[] => {
    if (wet.test(what))
      return until > now
        ? [
            heard(
              finding(
                'stop',
                'wait.wet',
                `Not yet: ${what}.`,
                'What is wet conducts, and a just-washed thing may fail until it is really dry.',
                commonPractice,
              ),
              'Let the wait run out, look whether it is dry, and end it.',
            ),
          ]
        : [
            contradiction(
              'wait.over',
              `The time is over, and nobody has said that it is done: ${what}.`,
              'Time alone dries nothing.',
              'Look at it, and end the wait.',
            ),
          ]
    return elsewhere.test(what)
      ? []
      : [
          heard(
            finding('care', 'wait.running', `Something of it is being waited for: ${what}.`, 'What is away or being worked on is not whole.'),
            'End the wait once it is over.',
          ),
        ]
  })
}

/** Cleaning goes on when a wait has run out: drying, soaking, an answer by post. */
export const cleaning: Discipline = {
  heard: waitsHeard,
  steps: { clean: m => [step('A cleaning recorded', m.cleanings > 0), step('Every wait over', m.cleanings > 0 && m.waits.length === 0)] },
  moves: m => m.waits.filter(w => w.over).map(w => move('wait-over', 'wait-over', 'clean', { says: `Go on: ${w.what}`, why: 'The wait is over.' })),
  due: m => m.waits.map(w => w.until),
}
