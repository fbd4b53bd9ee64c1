import { driesInWait } from '#core/cleaning/rules'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import type { MachineWork } from '../../kernel/work'
import { waits } from './schema'

const hourMs = 3_600_000

export function startWait(work: MachineWork, { what, until }: CommandInput<'start-wait'>): void {
  if (until <= work.at) throw new InputError('until', until, 'Until: that time has passed already. Choose one in the future.')
  begin(work, what, until)
}

/** What is wet dries: the wait begins at once, and the gate hears of it. */
export const beginDrying = (work: MachineWork, what: string, hours: number): void =>
  begin(work, what, new Date(work.now.getTime() + hours * hourMs).toISOString())

function begin({ tx, machine, at, write }: MachineWork, what: string, until: string): void {
  tx.insert(waits).values({ machineId: machine.id, what, until, startedAt: at }).run()
  write('wait.started', { what, until })
}

/** Ends a wait. What is wet, hot or away until then ends early only with a reason, and is wet until somebody has looked. */
export function endWait({ tx, machine, at, write }: MachineWork, { waitId, found = '' }: { waitId: number; found?: string }): void {
  const wait = tx
    .select()
    .from(waits)
    .where(and(eq(waits.id, waitId), eq(waits.machineId, machine.id)))
    .get()
  if (!wait) throw new NotFound(`${machine.tag} has no such wait.`)
  if (wait.endedAt) throw new NotNow('Somebody has ended this wait already.')
  const early = at < wait.until
  const wet = early && driesInWait(wait.what)
  if (wet && !found) throw new InputError('found', '', 'Why it ends early: say what was found, for it counts as wet until then.')
  tx.update(waits).set({ endedAt: at }).where(eq(waits.id, waitId)).run()
  write('wait.ended', { what: wait.what, early, ...(found ? { found } : {}), ...(wet ? { wet } : {}) })
}
