import { and, eq } from 'drizzle-orm'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/contracts/commands'
import { isStrikeable } from '#shared/journal/kinds'
import { toolById } from '#shared/tools/index'
import { accessories, batteries, checksDone, claims, cleanings, corrosions, damages, dateCodes, interventions, journal, observations, offReadings, photographs, questions, readings, spendings, temperatures } from '../db/schema'
import { NotFound, NotNow } from './refusals'
import type { MachineWork } from './work'

export function askQuestion({ tx, machine, write }: MachineWork, { question }: CommandInput<'ask-question'>): void {
  tx.insert(questions).values({ machineId: machine.id, question }).run()
  write('question.asked', { question })
}

export function settleQuestion({ tx, machine, at, write }: MachineWork, { questionId, answer }: CommandInput<'settle-question'>): void {
  const row = tx.select().from(questions).where(and(eq(questions.id, questionId), eq(questions.machineId, machine.id))).get()
  if (!row) throw new NotFound(`${machine.tag} has no such question.`)
  if (row.settledAt) throw new NotNow('Somebody has settled this question already.')
  tx.update(questions).set({ answer, settledAt: at }).where(eq(questions.id, questionId)).run()
  write('question.settled', { question: row.question, answer })
}

/** Runs an instrument once more and keeps what it says in the history of the machine. */
export function pinResult({ write }: MachineWork, { tool: toolId, input }: CommandInput<'pin-result'>): void {
  const tool = toolById(toolId)
  if (!tool) throw new InputError('tool', toolId, `There is no instrument ${toolId}.`)
  if ('work' in tool) throw new NotNow('Keep this measurement with its photograph, on the sheet of the machine.')
  const parsed = tool.input.safeParse(input)
  if (!parsed.success) throw new InputError(`input.${parsed.error.issues[0]?.path.join('.')}`, input, parsed.error.issues[0]?.message ?? 'The input does not fit the instrument.')
  const findings = tool.findings(tool.run(parsed.data))
  write('result.pinned', { tool: tool.id, title: tool.title, says: findings.map(f => f.says).slice(0, 3).join(' ') })
}

/** Observations that a correction can take back; what they say stays in the history, struck. */
const strikeableTables = { claims, accessories, date_codes: dateCodes, damages, cleanings, observations, readings, off_readings: offReadings, batteries, temperatures, photographs, corrosions, checks_done: checksDone, interventions, spendings }

export function strikeEntry({ tx, machine, write }: MachineWork, { entryId, reason }: CommandInput<'strike-entry'>): void {
  const entry = tx.select().from(journal).where(and(eq(journal.id, entryId), eq(journal.machineId, machine.id))).get()
  if (!entry) throw new NotFound(`The history of ${machine.tag} has no such entry.`)
  const table = strikeableTables[entry.subject as keyof typeof strikeableTables]
  if (!isStrikeable(entry.kind) || !table || entry.subjectId === null) throw new NotNow('Only observations can be struck. Change what the entry is about instead; the history keeps both.')
  if (tx.select().from(journal).where(eq(journal.strikes, entryId)).get()) throw new NotNow('Somebody has struck this entry already.')
  const by = write('entry.struck', { entryId: entry.seq, reason }, { strikes: entryId })
  tx.update(table).set({ struckBy: by }).where(eq(table.id, entry.subjectId)).run()
}
