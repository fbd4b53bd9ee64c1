import { and, desc, eq, gt, max } from 'drizzle-orm'
import { type Tx, collectionChain } from './journal'
import { journal } from '../trunk'

/** Clocks of computers are put right by seconds; beyond this one has been set back, or has lost its battery. */
const allowedMs = 60_000

/** The entry by which a coordinator says that the clock is right, and that earlier ones were written under a wrong one. */
export const clockConfirmed = 'clock.confirmed'

/**
 * How many minutes the clock stands behind the latest instant of the history; 0 where it does not. What is written meanwhile does not make it
 * right: only a clock that has caught up does, or a coordinator who says that what stands ahead was written under a wrong one.
 */
export function minutesBehind(tx: Tx, now: Date): number {
  const confirmed = tx
    .select({ id: max(journal.id) })
    .from(journal)
    .where(and(eq(journal.chain, collectionChain), eq(journal.kind, clockConfirmed)))
    .get()?.id
  // By the instants downwards: the first that was written since is the latest.
  const latest = tx
    .select({ at: journal.at })
    .from(journal)
    .where(confirmed ? gt(journal.id, confirmed) : undefined)
    .orderBy(desc(journal.at))
    .limit(1)
    .get()
  const behindMs = latest ? Date.parse(latest.at) - now.getTime() : 0
  return behindMs > allowedMs ? Math.ceil(behindMs / 60_000) : 0
}
