import { and, asc, eq, inArray } from 'drizzle-orm'
import type { LifeEvent } from '#core/planning/life-line'
import { sentenceOf } from '#shared/chapters/index'
import type { Tx } from './journal'
import { journal } from '../trunk'

/** What of the history stands on a machine's line of time. */
const kinds = {
  'gate.changed': 'gate',
  'stage.moved': 'stage',
  'start.ended': 'start',
  'fault.reported': 'fault',
  'fault.repaired': 'repair',
  'machine.signed-off': 'signed-off',
  'sign-off.ended': 'sign-off-ended',
  'life.chosen': 'life',
} as const satisfies Record<string, LifeEvent['what']>
const kindNames = Object.keys(kinds) as (keyof typeof kinds)[]
/** A line says no more with more on it. */
const mostEvents = 400

/** What happened to a machine since it came, in its order; what was struck is left out. */
export function lifeOf(tx: Tx, machineId: number): LifeEvent[] {
  const told = tx
    .select({ id: journal.id, at: journal.at, kind: journal.kind, data: journal.data })
    .from(journal)
    .where(and(eq(journal.machineId, machineId), inArray(journal.kind, kindNames)))
    .orderBy(asc(journal.seq))
    .limit(mostEvents)
    .all()
  const struck = new Set(
    tx
      .select({ strikes: journal.strikes })
      .from(journal)
      .where(and(eq(journal.machineId, machineId), eq(journal.kind, 'entry.struck')))
      .all()
      .map(e => e.strikes),
  )
  return told
    .filter(e => !struck.has(e.id))
    .map(({ at, kind, data }) => {
      const said = JSON.parse(data) as { to?: LifeEvent['to'] }
      const what = kinds[kind as keyof typeof kinds]
      return { at, what, ...(what === 'gate' || what === 'stage' ? { to: said.to } : {}), says: sentenceOf(kind, said) }
    })
}
