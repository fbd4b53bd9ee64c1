/** What hangs on a part that is wanted, the most pressing first: where one list serves many machines, it goes by this. Common practice, no source. */
export const needs = {
  'start': { title: 'A start', says: 'Cannot be started without it', group: 'A start depends on them' },
  'function': { title: 'One function', says: 'Does not do all it could without it', group: 'One function waits for them' },
  'no-start': { title: 'Not a start; more is not known', says: 'Can be started without it', group: 'Can be started without' },
  'looks': { title: 'How it looks', says: 'Only its looks want it', group: 'For the looks' },
  'nothing': { title: 'Nothing', says: 'Nothing hangs on it', group: 'Nothing hangs on them' },
} as const
export type NeedStops = keyof typeof needs
export const needStops = Object.keys(needs) as [NeedStops, ...NeedStops[]]

export interface Need {
  stops: NeedStops
  /** Which function, where it is one. */
  affects: string
  /** How it is lived with until the part is there; empty where it is not. */
  workaround: string
}

/** Whether something that runs hangs on it, a start or a function; else it is wanted for its own sake. */
export const isMissed = ({ stops }: Pick<Need, 'stops'>): boolean => stops === 'start' || stops === 'function'

/** Whether a start waits for it: not while something else will do. */
export const holdsUpStart = ({ stops, workaround }: Need): boolean => stops === 'start' && !workaround

/** What is missing while it is, in a line of its own. */
export const missesWithout = (affects: string): string => `Without it there is no ${affects.charAt(0).toLowerCase()}${affects.slice(1)}`

/** What hangs on it, in a line, and how it is lived with. */
export function needSays({ stops, affects, workaround }: Need): string {
  const says = stops === 'function' && affects ? missesWithout(affects) : needs[stops].says
  return workaround ? `${says}; until then: ${workaround}` : says
}

/** Which of two needs comes first: what holds up a start, then a start that something else will do for, then by what hangs on it. */
export const needRank = (need: Need): number => needStops.indexOf(need.stops) * 2 + Number(need.workaround !== '')
