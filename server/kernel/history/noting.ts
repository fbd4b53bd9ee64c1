import { millisecondsInHour } from 'date-fns/constants'
import { desc, eq } from 'drizzle-orm'
import { historyNoted, noteAfter, type Noted } from './chains'
import { journal } from '../trunk'
import type { Bench, Work } from '../work'

/** What is not noted for so long, or grows to so many entries, is noted. */
const everyMs = millisecondsInHour
const mostEntries = 5000

const lastNote = (tx: Pick<Work, 'tx'>['tx']) => tx.select().from(journal).where(eq(journal.kind, historyNoted)).orderBy(desc(journal.id)).limit(1).get()
const noted = (note: ReturnType<typeof lastNote>) => (note ? (JSON.parse(note.data) as Noted).to : 0)

/**
 * Notes in the collection's own chain what was written in every chain since it was last noted, so that an entry cut off together with its head is missed.
 * @returns whether more is left to note than goes into one entry
 */
export function noteHistory({ db, tx, write }: Work): boolean {
  const note = lastNote(tx)
  const next = noteAfter(db, noted(note), mostEntries)
  // Nothing was written but the last note itself.
  if (!next || (next.entries === 1 && next.to === note?.id)) return false
  write(historyNoted, next)
  return next.entries === mostEntries
}

/** Whether it is time to note. */
export function noteDue({ db, now }: Bench): boolean {
  const note = lastNote(db)
  const newest = db.select({ id: journal.id }).from(journal).orderBy(desc(journal.id)).limit(1).get()
  if (!newest || newest.id === note?.id) return false
  return newest.id - noted(note) > mostEntries || now().getTime() - Date.parse(note?.at ?? '1970-01-01') > everyMs
}
