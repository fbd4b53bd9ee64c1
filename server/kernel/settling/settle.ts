import { and, desc, eq, sql } from 'drizzle-orm'
import { assess } from '#core/planning/assess'
import { consequencesOf } from '#core/planning/consequences'
import { type Closing, closingsOf, opened } from '#core/safety/closings'
import type { GateVerdict } from '#core/safety/gate-words'
import type { MachineSummary } from '#shared/kernel/machine'
import { assembled, recordOf } from '../assembled'
import type { Db } from '../db'
import type { Tx } from '../history/journal'
import { prepared } from '../prepared'
import { searchTextOf, writeSearch } from './search'
import { summaryOf } from './summary'
import { journal, machineSummaries } from '../trunk'
import type { Work } from '../work'
import { workOn } from '../work-on'

const stored = (db: Db) =>
  db
    .select()
    .from(machineSummaries)
    .where(eq(machineSummaries.machineId, sql.placeholder('id')))
    .prepare()

/** The verdict that held last by the history, for a machine that has no summary yet. */
function lastVerdict(tx: Tx, machineId: number): GateVerdict {
  const last = tx
    .select({ data: journal.data })
    .from(journal)
    .where(and(eq(journal.machineId, machineId), eq(journal.kind, 'gate.changed')))
    .orderBy(desc(journal.seq))
    .limit(1)
    .get()
  return last ? (JSON.parse(last.data) as { to: GateVerdict }).to : 'not-yet-assessed'
}

/**
 * Settles one machine at the end of a transaction: assesses it once as it stands now, compares that with what stood, writes the
 * consequences (gate, overrule, sign-off), and stores its summary and what can be found of it.
 * @returns its tag, and its summary where that has changed
 */
export function settle(work: Work, machineId: number): { tag: string; summary: MachineSummary | null } {
  const { db, tx, at, files } = work
  const file = files.ofNow(machineId)
  const assessment = assess(recordOf(file), at)
  const before = prepared(db, 'summary', stored).get({ id: machineId })
  const standing = { gate: before?.gate ?? lastVerdict(tx, machineId), overruled: file.power.overruleVerdict !== null }
  // Only who may close it may open it, by whatever act.
  const gone = before && work.mayOpen ? opened(JSON.parse(before.closedBy) as Closing[], closingsOf(assessment.known.gate)) : []
  if (gone.length) work.mayOpen!(gone)
  const consequences = consequencesOf(standing, assessment)
  const on = workOn(work, file.machine)
  for (const { reacts } of assembled().chapters) reacts?.(on, consequences)

  const { card, ...columns } = summaryOf(file, assessment)
  const text = searchTextOf(file)
  if (text.hash !== before?.searchHash) writeSearch(tx, machineId, text)
  const row = { ...columns, card: JSON.stringify(card), searchHash: text.hash }
  const changed = !before || Object.entries(row).some(([name, value]) => before[name as keyof typeof row] !== value)
  if (changed) {
    tx.insert(machineSummaries)
      .values({ machineId, ...row })
      .onConflictDoUpdate({ target: machineSummaries.machineId, set: row })
      .run()
  }
  // A leak warns the sisters, and so does a machine that turns out to be one of them, or none.
  const leakMoved = before && (before.batteryLeaked || row.batteryLeaked) && (before.batteryLeaked !== row.batteryLeaked || before.modelId !== row.modelId)
  const leakCame = !before && row.batteryLeaked
  if (leakMoved || leakCame) {
    for (const id of new Set([before?.modelId ?? null, row.modelId])) if (id !== null) work.affects({ of: 'model', id })
  }
  return { tag: file.machine.tag, summary: changed && (!before || before.card !== row.card) ? card : null }
}
