import { and, asc, eq, gt, isNull, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { assembled } from '../assembled'
import type { Tx } from '../history/journal'
import { machines, settlings } from '../trunk'
import type { Scope } from '../work'

export type SettlingRow = typeof settlings.$inferSelect

const inScope = (scope: Scope, after: number) => and(gt(machines.id, after), scope.of === 'all' ? undefined : assembled().scopes[scope.of]!(scope.id))

/** Puts a scope down to be settled, in the name of whoever changed what it rests on. Done by a cursor, so that this costs the same for any number. */
export function enqueue(tx: Tx, scope: Scope, person: { id: number; name: string }, at: string): void {
  const total = tx
    .select({ n: sql<number>`count(*)` })
    .from(machines)
    .where(inScope(scope, 0))
    .get()!.n
  if (!total) return
  const scopeId = scope.of === 'all' ? null : scope.id
  const told = { total, personId: person.id, by: person.name, at, cursor: 0, done: 0 }
  // A scope that waits already begins anew: whatever it has seen to until now may rest on what has just changed.
  const waits = tx
    .select()
    .from(settlings)
    .where(and(eq(settlings.scope, scope.of), scopeId === null ? isNull(settlings.scopeId) : eq(settlings.scopeId, scopeId)))
    .get()
  if (waits) tx.update(settlings).set(told).where(eq(settlings.id, waits.id)).run()
  else
    tx.insert(settlings)
      .values({ uid: uuidv7(), scope: scope.of, scopeId, ...told })
      .run()
}

/** The scope that has waited longest. */
export const firstSettling = (tx: Tx) => tx.select().from(settlings).orderBy(asc(settlings.id)).limit(1).get()

/** The next machines of it. */
export function nextOf(tx: Tx, row: SettlingRow, most: number): { id: number; tag: string }[] {
  const scope: Scope = row.scope === 'all' ? { of: 'all' } : { of: row.scope, id: row.scopeId! }
  return tx.select({ id: machines.id, tag: machines.tag }).from(machines).where(inScope(scope, row.cursor)).orderBy(asc(machines.id)).limit(most).all()
}
