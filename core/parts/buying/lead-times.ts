import { differenceInCalendarDays, parseISO } from 'date-fns'
import { quantile } from 'simple-statistics'
import { wordsOf } from '../offers'

/** An order that came: from whom, and when. Instants in UTC. */
export interface CameIn {
  source: string
  orderedAt: string
  arrivedAt: string
}
export interface LeadTime {
  /** In half of all cases it is here after so many days, in three of four after so many. */
  usualDays: number
  lateDays: number
  /** From how many orders that was learned; none where it is a first guess. */
  orders: number
}

/** So many orders tell more than a guess. */
const fewest = 3
/** What is guessed before anything was learned, by a word of the part's name. Common practice, no source. */
const guesses: readonly (readonly [string, number, number])[] = [
  ['membrane', 14, 28],
  ['clip', 21, 35],
]
const otherwise = { usualDays: 7, lateDays: 28 } as const
/** A parcel from abroad can take so long. Common practice, no source. */
const longestPostDays = 120

/**
 * What an order takes, as a rule and when it is late: from what came of this source before, and a first guess until three did.
 * @param name what is ordered
 */
export function leadTimeOf(source: string, name: string, came: readonly CameIn[]): LeadTime {
  const same = source.trim().toLowerCase()
  const days = came
    .filter(one => one.source.trim().toLowerCase() === same)
    .map(one => differenceInCalendarDays(parseISO(one.arrivedAt), parseISO(one.orderedAt)))
    .filter(n => n >= 0)
  if (days.length >= fewest) return { usualDays: Math.ceil(quantile(days, 0.5)), lateDays: Math.ceil(quantile(days, 0.75)), orders: days.length }
  const words = wordsOf(name)
  const [, usualDays, lateDays] = guesses.find(([word]) => words.includes(word)) ?? ['', otherwise.usualDays, otherwise.lateDays]
  return { usualDays, lateDays, orders: 0 }
}

/** The same in a sentence. */
export const leadTimeSays = ({ usualDays, lateDays, orders }: LeadTime): string =>
  orders
    ? `Half of ${orders} orders came within ${usualDays} days, three of four within ${lateDays}.`
    : `A first guess: ${usualDays} days, or ${lateDays}; from abroad up to ${longestPostDays}. It is learned from what arrives.`
