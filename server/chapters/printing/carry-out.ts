import type { CommandInput } from '#shared/chapters/index'
import { count, eq, inArray, ne } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { machineByTag } from '../../kernel/sheet'
import { heldByUid } from '../parts/index'
import { expectVersion } from '../../kernel/versions'
import type { Work } from '../../kernel/work'
import type { Tx } from '../../kernel/history/journal'
import { printJobs, printers } from './schema'

/** More than these wait for no printer. */
const mostWaiting = 400

export const printerOf = (tx: Tx): { uri: string; version: number } => tx.select().from(printers).where(eq(printers.id, 1)).get() ?? { uri: '', version: 0 }

export function setPrinter(work: Work, { version, uri }: CommandInput<'set-printer'>): void {
  const before = printerOf(work.tx)
  expectVersion(work, before, version, before.version, ['uri'])
  const now = { uri, version: before.version + 1 }
  work.tx
    .insert(printers)
    .values({ id: 1, ...now })
    .onConflictDoUpdate({ target: printers.id, set: now })
    .run()
  if (before.uri && before.uri !== uri)
    work.tx
      .update(printJobs)
      .set({ state: 'held', printerJob: null, says: 'It was at a printer that is not asked any more. See whether it came out.' })
      .where(inArray(printJobs.state, ['sent', 'sending']))
      .run()
  work.write('printer.set', { uri })
}

export function printLabels({ tx, db, at, person, write }: Work, { kind, tags, origin }: CommandInput<'print-labels'>): void {
  if (!printerOf(tx).uri) throw new NotNow('No printer is known. A coordinator says where it is, under Settings; or print the page.')
  const waiting = tx.select({ n: count() }).from(printJobs).where(ne(printJobs.state, 'printed')).get()!.n
  if (waiting + tags.length > mostWaiting) throw new NotNow(`${waiting} labels wait already. Print those first, or take them out of the queue.`)
  for (const tag of tags) {
    if (kind === 'part') heldByUid(tx, tag)
    else if (kind !== 'place') machineByTag(db, tag)
    tx.insert(printJobs).values({ kind, tag, origin, at, by: person.name }).run()
  }
  write('labels.queued', { kind, tags: [...tags] })
}

function jobOf(tx: Tx, jobId: number) {
  const job = tx.select().from(printJobs).where(eq(printJobs.id, jobId)).get()
  if (!job) throw new NotFound('There is no such label in the queue.')
  return job
}

export function printAgain({ tx, write }: Work, { jobId }: CommandInput<'print-again'>): void {
  const job = jobOf(tx, jobId)
  if (job.state !== 'held') throw new NotNow('This label is on its way already.')
  tx.update(printJobs).set({ state: 'waiting', says: '', printerJob: null, sentAt: null }).where(eq(printJobs.id, jobId)).run()
  write('label.again', { tag: job.tag })
}

export function dropLabel({ tx, write }: Work, { jobId }: CommandInput<'drop-label'>): void {
  const { tag } = jobOf(tx, jobId)
  tx.delete(printJobs).where(eq(printJobs.id, jobId)).run()
  write('label.dropped', { tag })
}
