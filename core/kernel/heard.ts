import { type Attributes, type Finding, finding, orderOf } from './finding'
import type { Skill } from './skills'

/** One thing that would open the gate further. */
export interface Opening {
  code: string
  do: string
  who: string
  /** What doing it takes. */
  skill?: Skill
  /** What it is about, whatever its finding is called just now: `hazard:battery`, `fact:rails`. */
  about?: string
  /** What saying that it is gone takes. */
  leave?: Skill
  /** It is an attended start: one at the switch, one at the probe. */
  pair?: true
  /** Another rule has a move of its own for it. */
  moved?: true
}

/**
 * Something that was found outside the facts for power, and that the gate hears: a stop keeps it off, care guards it,
 * and what is unsettled keeps it unassessed. Each has a code of its own on its machine, and says what would settle it.
 */
export interface Heard {
  finding: Finding
  open?: Opening
}

/** Whether a finding says that somebody has yet to look, to settle what speaks against what, or to sign. */
export const leavesUnassessed = ({ open }: Finding): boolean => open !== undefined

/** A finding for the gate with what would settle it; a bench volunteer does it unless somebody else is named. */
export const heard = (found: Finding, say: string, { who = 'a bench volunteer', ...more }: Partial<Omit<Opening, 'code' | 'do'>> = {}): Heard => ({
  finding: found,
  open: { code: found.code, do: say, who, ...more },
})

/** What stands against each other; it is care, and keeps the machine unassessed. */
export const contradiction = (
  code: string,
  says: string,
  because: string | string[],
  say: string,
  { concerns, when, fact, ...more }: Partial<Omit<Opening, 'code' | 'do'>> & Pick<Attributes, 'concerns' | 'when' | 'fact'> = {},
): Heard =>
  heard(
    finding('care', `${code}.unsettled`, says, because, undefined, { open: 'unsettled', ...orderOf({ concerns, when }), ...(fact ? { fact } : {}) }),
    say,
    more,
  )

/** Gives all of them an attribute that they share; what a finding says of itself stays. */
export const meaning = (means: Attributes, all: readonly Heard[]): Heard[] => all.map(h => ({ ...h, finding: { ...means, ...h.finding } }))

/** A name as part of a code. */
export const slug = (text: string): string =>
  text
    .toLowerCase()
    .replace(/\+/g, 'plus-')
    .replace(/[-−](?=\d)/g, 'minus-')
    .replace(/[^\p{L}\d]+/gu, '-')
    .replace(/^-|-$/g, '')

/** Codes that come to the same name are told apart by number: each finding of a gate has one of its own. */
export function toldApart(all: readonly Heard[]): Heard[] {
  const times = new Map<string, number>()
  return all.map(({ finding, open }) => {
    const nth = (times.get(finding.code) ?? 0) + 1
    times.set(finding.code, nth)
    if (nth === 1) return { finding, ...(open ? { open } : {}) }
    const code = `${finding.code}.${nth}`
    return { finding: { ...finding, code }, ...(open ? { open: { ...open, code } } : {}) }
  })
}
