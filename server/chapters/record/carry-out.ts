import { isStrikeable, type CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { assembled } from '../../kernel/assembled'
import { journal, sayings } from '../../kernel/trunk'
import type { MachineWork } from '../../kernel/work'
import { prepareJudgement } from './judged'

/** Runs an instrument once more and keeps what it says in the history of the machine. */
export function pinResult({ write }: MachineWork, asked: CommandInput<'pin-result'>): void {
  const { tool, title, says } = prepareJudgement(asked).prepared
  write('result.pinned', { tool, title, says })
}

export function strikeEntry({ tx, machine, write }: MachineWork, { entryId, reason }: CommandInput<'strike-entry'>): void {
  const entry = tx
    .select()
    .from(journal)
    .where(and(eq(journal.id, entryId), eq(journal.machineId, machine.id)))
    .get()
  if (!entry) throw new NotFound(`The history of ${machine.tag} has no such entry.`)
  const table = assembled().strikeable[entry.subject ?? '']
  if (!isStrikeable(entry.kind) || !table || entry.subjectId === null)
    throw new NotNow('Only observations can be struck. Change what the entry is about instead; the history keeps both.')
  if (tx.select().from(journal).where(eq(journal.strikes, entryId)).get()) throw new NotNow('Somebody has struck this entry already.')
  const by = write('entry.struck', { entryId: entry.seq, reason }, { strikes: entryId })
  tx.update(sayings).set({ struckBy: by }).where(eq(sayings.entryId, entryId)).run()
  tx.update(table).set({ struckBy: by }).where(eq(table.id, entry.subjectId)).run()
}
