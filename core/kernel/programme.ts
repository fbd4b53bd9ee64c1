import { InputError } from './input-error'

/** An integer programme, in lines that a solver reads. */
export interface Programme {
  goal: string
  rows: string[]
  /** What is there or not; all else is from zero on. */
  binaries: string[]
  /** What comes in whole units. */
  whole?: string[]
  /** Whether the goal is to be as small as can be. */
  least?: boolean
}
/** What a solver says of a programme: the value of its goal, and of every name; nothing where it found no best within its time. */
export type Solve = (programme: string) => { worth: number; values: Record<string, number> } | null

/** The programme was too large for the time that there is. */
export class TooLarge extends InputError {
  constructor(message: string) {
    super('', null, message)
  }
}

/** Figures and names as one sum. */
export const termsOf = (terms: readonly (readonly [number, string])[]): string =>
  terms.map(([by, name]) => `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${name}`).join(' ')

/** Lines of a programme are short: solvers of this format read no longer ones. */
const longestLine = 400
const folded = (text: string): string => {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    // A sum is broken before a sign alone, so that no figure is torn from its name.
    if (line.length > longestLine && (word === '+' || word === '-')) {
      lines.push(line)
      line = ''
    }
    line += ` ${word}`
  }
  return [...lines, line].join('\n')
}

/** Asks a solver. @throws TooLarge where it found no best within its time */
export function solved(solve: Solve, { goal, rows, binaries, whole = [], least = false }: Programme) {
  const text = [
    least ? 'Minimize' : 'Maximize',
    folded(` goal: ${goal}`),
    'Subject To',
    ...rows.map((row, at) => folded(` r${at}: ${row}`)),
    ...(binaries.length ? ['Binaries', ...binaries.map(name => ` ${name}`)] : []),
    ...(whole.length ? ['General', ...whole.map(name => ` ${name}`)] : []),
    'End',
  ].join('\n')
  const answer = solve(text)
  if (!answer) throw new TooLarge('There is more to weigh than can be weighed in the time that there is.')
  return answer
}
