import { InputError } from '#core/kernel/input-error'
import { isStrikeable, type CommandInput } from '#shared/chapters/index'
import { toolById } from '#shared/tools/index'
import { readToolInput } from '#shared/tools/tool'
import { and, eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { strikeable } from '../index'
import { journal } from '../../kernel/trunk'
import type { MachineWork } from '../../kernel/work'

/** What an instrument says of an input that came from outside, in up to three sentences. @throws InputError, NotNow */
export function judgedBy(toolId: string, input: unknown): { tool: string; title: string; says: string } {
  const tool = toolById(toolId)
  if (!tool) throw new InputError('tool', toolId, `There is no instrument ${toolId}.`)
  if ('work' in tool) throw new NotNow('Keep this measurement with its photograph, on the sheet of the machine.')
  const parsed = tool.input.safeParse(input)
  if (!parsed.success)
    throw new InputError(`input.${parsed.error.issues[0]?.path.join('.')}`, input, parsed.error.issues[0]?.message ?? 'The input does not fit the instrument.')
  const findings = tool.findings(tool.run(readToolInput(tool.input, input)))
  return {
    tool: tool.id,
    title: tool.title,
    says: findings
      .map(f => f.says)
      .slice(0, 3)
      .join(' '),
  }
}

/** Runs an instrument once more and keeps what it says in the history of the machine. */
export function pinResult({ write }: MachineWork, { tool, input }: CommandInput<'pin-result'>): void {
  write('result.pinned', judgedBy(tool, input))
}

export function strikeEntry({ tx, machine, write }: MachineWork, { entryId, reason }: CommandInput<'strike-entry'>): void {
  const entry = tx
    .select()
    .from(journal)
    .where(and(eq(journal.id, entryId), eq(journal.machineId, machine.id)))
    .get()
  if (!entry) throw new NotFound(`The history of ${machine.tag} has no such entry.`)
  const table = strikeable()[entry.subject ?? '']
  if (!isStrikeable(entry.kind) || !table || entry.subjectId === null)
    throw new NotNow('Only observations can be struck. Change what the entry is about instead; the history keeps both.')
  if (tx.select().from(journal).where(eq(journal.strikes, entryId)).get()) throw new NotNow('Somebody has struck this entry already.')
  const by = write('entry.struck', { entryId: entry.seq, reason }, { strikes: entryId })
  tx.update(table).set({ struckBy: by }).where(eq(table.id, entry.subjectId)).run()
}
