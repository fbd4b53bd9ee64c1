import { InputError } from '../kernel/input-error'

/**
 * The ledger of parts. Every unit is in just one place at any instant; like units that lie together are one line of it, and a move takes some of them
 * to another place. Whose a part is stands beside its place: one that is borrowed lies on a shelf or is fitted like any other, and goes back from there.
 * Common practice, no source.
 */
export const heldPlaces = {
  ordered: 'Ordered',
  pledged: 'Promised to us',
  arrived: 'Arrived, not looked at',
  shelf: 'On the shelf',
  promised: 'Set aside',
  donor: 'Still in a donor',
  fitted: 'Fitted',
  lent: 'Lent out',
  returned: 'Gone back',
  given: 'Given away',
  scrapped: 'Scrapped',
  missed: 'Never came',
} as const
export type HeldPlace = keyof typeof heldPlaces
export const heldPlaceNames = Object.keys(heldPlaces) as [HeldPlace, ...HeldPlace[]]

/** How a part is, as somebody looked at it; new ones arrive dead too. */
export const partConditions = {
  'new': 'New',
  'tested': 'Used, tested good',
  'used': 'Used, not tested',
  'not-looked-at': 'Not looked at',
  'bad': 'Known bad',
} as const
export type PartCondition = keyof typeof partConditions
export const partConditionNames = Object.keys(partConditions) as [PartCondition, ...PartCondition[]]

export interface Held {
  count: number
  at: HeldPlace
  condition: PartCondition
  /** The machine that it is in, or set aside for. */
  machineId: number | null
  /** What it is wanted for there. */
  needId: number | null
  /** Who has it. */
  holder: string
  /** When it should be back, or here. */
  dueBy: string | null
  /** Where it lies. */
  lies: string
  /** Whose it is; nothing where it is ours. */
  lender: string
}
/** Some of a line, taken to another place. */
export interface HeldMove {
  count: number
  to: HeldPlace
  machineId?: number | null
  needId?: number | null
  holder?: string
  dueBy?: string | null
  lies?: string
  condition?: PartCondition
  /** What was looked at or tested, and what came of it. */
  tested?: string
}

const ways: Record<HeldPlace, readonly HeldPlace[]> = {
  ordered: ['arrived', 'missed'],
  pledged: ['arrived', 'missed'],
  arrived: ['shelf', 'promised', 'fitted', 'returned', 'scrapped'],
  shelf: ['promised', 'fitted', 'lent', 'returned', 'given', 'scrapped'],
  promised: ['fitted', 'shelf', 'returned', 'scrapped'],
  donor: ['shelf', 'promised', 'fitted', 'scrapped'],
  fitted: ['shelf', 'returned', 'scrapped'],
  lent: ['shelf', 'scrapped'],
  returned: [],
  given: [],
  scrapped: [],
  missed: [],
}
/** Where it may go from where it is. What is borrowed is neither lent on nor given away; what is ours goes back only where it came just now. */
export function waysOf({ at, lender }: Pick<Held, 'at' | 'lender'>): HeldPlace[] {
  return ways[at].filter(to => (to === 'lent' || to === 'given' ? !lender : to === 'returned' ? lender !== '' || at === 'arrived' : true))
}
/** Gone for good: it is nowhere that anybody could take it from. */
export const gonePlaces = heldPlaceNames.filter(at => !ways[at].length)
/** It was bought or promised, and is not here yet. */
export const isOnItsWay = ({ at }: Pick<Held, 'at'>): boolean => at === 'ordered' || at === 'pledged'
/** Whoever writes a loan off, or gives a part away for good, answers for it: it takes a coordinator. */
export const takesCoordinator = ({ at }: Pick<Held, 'at'>, to: HeldPlace): boolean => (at === 'lent' && to === 'scrapped') || to === 'given'
/** It can be offered to others: ours, on the shelf, and not known bad. */
export const maySpare = ({ at, lender, condition }: Pick<Held, 'at' | 'lender' | 'condition'>): boolean => at === 'shelf' && !lender && condition !== 'bad'
/** It counts as a part that can be given: looked at, and not known bad. */
export const countsAsGood = ({ condition }: Pick<Held, 'condition'>): boolean => condition === 'new' || condition === 'tested'
/** Where a part can still be had from. */
export const isAtHand = ({ at }: Pick<Held, 'at'>): boolean => at === 'shelf' || at === 'arrived' || at === 'donor'

/**
 * Whether somebody looks at it, or tests it, on this way, and says what came of it: on arrival, whenever it leaves the house or comes back, and before
 * it is fitted where nobody ever did.
 */
export const isTestedOn = ({ at, condition }: Pick<Held, 'at' | 'condition'>, to: HeldPlace): boolean =>
  (condition === 'not-looked-at' && to === 'fitted') ||
  (at === 'arrived' && to !== 'returned' && to !== 'scrapped') ||
  to === 'lent' ||
  to === 'given' ||
  (at === 'lent' && to === 'shelf')

/**
 * Takes some of a line to another place.
 * @returns what stays behind, nothing where all of it went, and what went; together they are as many as before
 * @throws InputError at the field that does not do
 */
export function moveHeld(held: Held, move: HeldMove): { stays: Held | null; goes: Held } {
  const { count, to } = move
  if (!Number.isInteger(count) || count < 1 || count > held.count)
    throw new InputError('count', count, `How many: from 1 up to ${held.count}, which is all of it.`)
  if (!waysOf(held).includes(to)) throw new InputError('to', to, `${heldPlaces[held.at]}: it does not go from there to “${heldPlaces[to].toLowerCase()}”.`)
  const condition = move.condition ?? held.condition
  const machineId = to === 'fitted' || to === 'promised' ? (move.machineId ?? held.machineId) : null
  if ((to === 'fitted' || to === 'promised') && (machineId === null || (held.at === 'donor' && machineId === held.machineId)))
    throw new InputError('tag', '', held.at === 'donor' ? 'Which machine: another than the donor, please.' : 'Which machine: say it.')
  if (isTestedOn(held, to)) {
    if (!move.tested?.trim()) throw new InputError('tested', '', 'What was looked at or tested: say it in a few words.')
    if (condition === 'not-looked-at') throw new InputError('condition', condition, 'How it is: somebody has looked at it now; choose what was found.')
  }
  const leaves = to === 'lent' || to === 'given'
  if (condition === 'bad' && (to === 'fitted' || to === 'promised' || leaves))
    throw new InputError('condition', condition, 'How it is: what is known bad goes into no machine and to nobody.')
  if (leaves && !move.holder?.trim()) throw new InputError('holder', '', 'To whom: say who has it.')
  if (to === 'lent' && !move.dueBy) throw new InputError('dueBy', null, 'Back by: choose a day; it can be put off.')
  const goes: Held = {
    ...held,
    count,
    at: to,
    condition,
    machineId,
    needId: machineId === null ? null : (move.needId ?? (machineId === held.machineId ? held.needId : null)),
    holder: leaves ? move.holder!.trim() : '',
    dueBy: to === 'lent' ? move.dueBy! : null,
    lies: to === 'fitted' || to === 'lent' || gonePlaces.includes(to) ? '' : move.lies?.trim() || (held.at === 'donor' ? '' : held.lies),
  }
  return { stays: count === held.count ? null : { ...held, count: held.count - count }, goes }
}
