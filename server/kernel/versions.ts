import { desc, eq } from 'drizzle-orm'
import { collectionChain } from './history/journal'
import { Stale } from './refusals'
import { journal } from './trunk'
import type { MachineWork, Work } from './work'

/**
 * Refuses a change that was made to an older version of a row.
 * @param fields the fields that both sides need to see
 * @throws Stale with what the row says now, and who changed something last on the machine or in the collection
 */
export function expectVersion(
  work: Pick<Work | MachineWork, 'tx' | 'at'> & { machine?: MachineWork['machine'] },
  row: object,
  given: number,
  current: number,
  fields: string[],
): void {
  if (given === current) return
  const last = work.tx
    .select()
    .from(journal)
    .where(eq(journal.chain, work.machine?.uid ?? collectionChain))
    .orderBy(desc(journal.seq))
    .limit(1)
    .get()
  const values = row as Record<string, unknown>
  throw new Stale({ ...Object.fromEntries(fields.map(f => [f, values[f]])), version: current }, last?.by ?? 'Somebody', last?.at ?? work.at)
}
