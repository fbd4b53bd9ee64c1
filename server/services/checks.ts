import { and, eq, isNull } from 'drizzle-orm'
import { type ImpliedCheck, impliedChecks } from '#core/condition/implied-checks'
import { assemblies, checksDone, damages } from '../db/schema'
import type { Tx } from './journal'

type DamageRow = Pick<typeof damages.$inferSelect, 'kind' | 'severity' | 'where' | 'assemblyId'>

/** The checks that the damage of one machine implies. */
export const checksFor = (found: DamageRow[], parts: { id: number, name: string }[]): ImpliedCheck[] =>
  impliedChecks(found.map(({ kind, severity, where, assemblyId }) => ({ kind, severity, where, assembly: parts.find(a => a.id === assemblyId)?.name ?? '' })))

/** Those that nobody has done yet. */
export function openChecks(tx: Tx, machineId: number): ImpliedCheck[] {
  const done = tx.select({ code: checksDone.code }).from(checksDone).where(and(eq(checksDone.machineId, machineId), isNull(checksDone.struckBy))).all().map(c => c.code)
  const found = tx.select().from(damages).where(and(eq(damages.machineId, machineId), isNull(damages.struckBy))).all()
  return checksFor(found, tx.select().from(assemblies).where(eq(assemblies.machineId, machineId)).all()).filter(c => !done.includes(c.code))
}
