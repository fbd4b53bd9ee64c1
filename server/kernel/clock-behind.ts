import { desc } from 'drizzle-orm'
import type { Tx } from './journal'
import { journal } from './trunk'

/** Clocks of computers are put right by seconds; beyond this one has been set back, or has lost its battery. */
const allowedMs = 60_000

/** How many minutes the clock stands behind the newest entry of the history; 0 where it does not. */
export function minutesBehind(tx: Tx, now: Date): number {
  const newest = tx.select({ at: journal.at }).from(journal).orderBy(desc(journal.id)).limit(1).get()
  const behindMs = newest ? Date.parse(newest.at) - now.getTime() : 0
  return behindMs > allowedMs ? Math.ceil(behindMs / 60_000) : 0
}
