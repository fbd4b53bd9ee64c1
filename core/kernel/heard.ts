import { type Finding, mostPressingFirst } from '../kernel/finding'
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
}

/**
 * Something that was found outside the facts for power, and that the gate hears: a stop keeps it off, care guards it,
 * and what is unsettled keeps it unassessed. Each has a code of its own on its machine, and says what would settle it.
 */
export interface Heard {
  finding: Finding
  open?: Opening
}

/** Ends the code of a finding in which an answer and a record, or two records, stand against each other. */
const unsettled = '.unsettled'

/** Whether a finding says that somebody has yet to look, or to settle what speaks against what. */
export const leavesUnassessed = ({ code }: Finding): boolean => code === 'gate.not-inspected' || code.endsWith('.not-looked') || code.endsWith(unsettled)

/** A finding for the gate with what would settle it; a bench volunteer does it unless somebody else is named. */
export const heard = (found: Finding, say: string, { who = 'a bench volunteer', ...more }: Partial<Omit<Opening, 'code' | 'do'>> = {}): Heard => ({
  finding: found,
  open: { code: found.code, do: say, who, ...more },
})

/** What stands against each other; it is care, and keeps the machine unassessed. */
export const contradiction = (code: string, says: string, because: string | string[], say: string, more: Partial<Omit<Opening, 'code' | 'do'>> = {}): Heard =>
  heard({ level: 'care', code: `${code}${unsettled}`, says, because: [because].flat() }, say, more)

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
    const code = finding.code.endsWith(unsettled) ? `${finding.code.slice(0, -unsettled.length)}.${nth}${unsettled}` : `${finding.code}.${nth}`
    return { finding: { ...finding, code }, ...(open ? { open: { ...open, code } } : {}) }
  })
}

/**
 * The order in which what would open a gate is worked through: what harms a person or goes on harming the machine, then what is loose, wet or
 * burnt in it, then what nobody has looked at, then what wants care, the inspection, and last whatever takes power.
 * Common practice, no source.
 */
const order = [
  /^gate\.(smoke|hazard\.smoke)/,
  /^gate\.(mainsLead|hazard\.(mains-wiring|old-insulation|unknown-wiring))|^gate\.wiring/,
  /^(gate\.(battery|hazard\.battery)|battery)/,
  /^gate\.(filterCapacitors|hazard\.(line-filter|bulging-capacitors))/,
  /^gate\.(liquidOrDirt|hazard\.(liquid|conductive-dirt))/,
  /^wait/,
  /^opening/,
  /^gate\.(burntTrace|hazard\.burnt-trace)/,
  /^gate\.(supply|hazard\.unknown-supply)|^bench/,
]
/** What runs by itself: somebody can only wait for it. */
const runsOut = ({ code }: Finding) => /^wait\.(wet|drying|in)\b/.test(code)
const wantsDry = ({ code }: Finding) => /^gate\.(liquidOrDirt|hazard\.(liquid|conductive-dirt))/.test(code)
const takesPower = ({ code }: Finding) => /^(gate\.rails|rail|drift|temperature)/.test(code)

/**
 * What would open the gate, in the order in which it can be worked through: what has to be waited for comes after what can be done meanwhile,
 * and what wants it dry after that. It never begins with what takes power while something else is open.
 */
export function inWorkingOrder(findings: readonly Finding[], openings: readonly Opening[]): Opening[] {
  const drying = findings.some(runsOut)
  const phase = (f: Finding) =>
    takesPower(f)
      ? 5
      : runsOut(f)
        ? 3.3
        : drying && wantsDry(f)
          ? 3.6
          : f.code === 'gate.not-inspected'
            ? 4
            : f.level === 'stop'
              ? 0
              : leavesUnassessed(f)
                ? f.level === 'care'
                  ? 1
                  : 2
                : 3
  const place = (f: Finding) => {
    const at = order.findIndex(code => code.test(f.code))
    return at < 0 ? order.length : at
  }
  const sorted = mostPressingFirst(findings).sort((a, b) => phase(a) - phase(b) || place(a) - place(b))
  return sorted.flatMap(f => openings.filter(o => o.code === f.code))
}
