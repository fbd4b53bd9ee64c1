import type { CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { randomBytes } from 'node:crypto'
import { NotFound, NotNow } from '../../kernel/refusals'
import { machines } from '../../kernel/trunk'
import type { MachineWork } from '../../kernel/work'
import { questions } from './schema'

export function chooseLife({ tx, machine, write }: MachineWork, { life }: CommandInput<'choose-life'>): void {
  if (machine.life === life) throw new NotNow('That is its life already.')
  tx.update(machines).set({ life }).where(eq(machines.id, machine.id)).run()
  write('life.chosen', { life })
}

/** Switches the public passport; its link stays the same once made, and cannot be guessed. */
export function switchPassport({ tx, machine, write }: MachineWork, { on }: CommandInput<'switch-passport'>): void {
  if (machine.passportOn === on) return
  const passportToken = machine.passportToken ?? randomBytes(24).toString('base64url')
  tx.update(machines).set({ passportOn: on, passportToken }).where(eq(machines.id, machine.id)).run()
  write('passport.switched', { on })
}

export function askQuestion({ tx, machine, write }: MachineWork, { question }: CommandInput<'ask-question'>): void {
  tx.insert(questions).values({ machineId: machine.id, question }).run()
  write('question.asked', { question })
}

export function settleQuestion({ tx, machine, at, write }: MachineWork, { questionId, answer }: CommandInput<'settle-question'>): void {
  const row = tx
    .select()
    .from(questions)
    .where(and(eq(questions.id, questionId), eq(questions.machineId, machine.id)))
    .get()
  if (!row) throw new NotFound(`${machine.tag} has no such question.`)
  if (row.settledAt) throw new NotNow('Somebody has settled this question already.')
  tx.update(questions).set({ answer, settledAt: at }).where(eq(questions.id, questionId)).run()
  write('question.settled', { question: row.question, answer })
}
