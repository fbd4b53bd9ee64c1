import { millisecondsInHour } from 'date-fns/constants'
import { type WaitKind, keepsOff, waitKindOf } from '#core/cleaning/wait-kinds'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, isNull } from 'drizzle-orm'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import type { MachineWork } from '../../kernel/work'
import { waits } from './schema'

export function startWait(work: MachineWork, { what, until, kind = null }: { what: string; until: string; kind?: WaitKind | null }): void {
  if (until <= work.at) throw new InputError('until', until, 'Until: that time has passed already. Choose one in the future.')
  const { tx, machine, at, write } = work
  tx.insert(waits).values({ machineId: machine.id, what, until, kind, startedAt: at }).run()
  write('wait.started', { what, until, ...(kind ? { kind } : {}) })
}

/** A wait that follows from what was done: it begins at once, and the gate hears of it. */
export const waitFor = (work: MachineWork, kind: WaitKind, what: string, hours: number): void =>
  startWait(work, { what, kind, until: new Date(work.now.getTime() + hours * millisecondsInHour).toISOString() })

/** @throws NotFound, NotNow where it has ended */
function waitOf({ tx, machine }: MachineWork, waitId: number): typeof waits.$inferSelect {
  const wait = rowOf({ tx, machine }, waits, waitId, 'wait')
  if (wait.endedAt) throw new NotNow('Somebody has ended this wait already.')
  return wait
}

/**
 * A wait that a press had begun, where that press is taken back: it never was. @returns whether there was one, begun at that instant and running still
 */
export function takeBackWait({ tx, machine }: MachineWork, what: string, startedAt: string): boolean {
  const begun = and(eq(waits.machineId, machine.id), eq(waits.what, what), eq(waits.startedAt, startedAt), isNull(waits.endedAt))
  return tx.delete(waits).where(begun).run().changes > 0
}

/** Somebody says what kind of wait it is; until then words did. */
export function setWaitKind(work: MachineWork, { waitId, kind, found }: CommandInput<'set-wait-kind'>): void {
  const wait = waitOf(work, waitId)
  work.tx.update(waits).set({ kind }).where(eq(waits.id, waitId)).run()
  work.write('wait.kind-said', { what: wait.what, kind, ...(found ? { found } : {}) })
}

/** Takes the end of a wait back. @throws NotFound, NotNow while it goes on */
export function resumeWait(work: MachineWork, { waitId }: CommandInput<'resume-wait'>): void {
  const wait = rowOf(work, waits, waitId, 'wait')
  if (!wait.endedAt) throw new NotNow('This wait goes on already.')
  work.tx.update(waits).set({ endedAt: null }).where(eq(waits.id, waitId)).run()
  work.write('wait.resumed', { what: wait.what })
}

/** Ends a wait. What is wet, hot or away until then ends early only with a reason, and is wet until somebody has looked. */
export function endWait(work: MachineWork, { waitId, found = '' }: { waitId: number; found?: string }): void {
  const { tx, at, write } = work
  const wait = waitOf(work, waitId)
  const early = at < wait.until
  const wet = early && keepsOff(waitKindOf(wait))
  if (wet && !found) throw new InputError('found', '', 'Why it ends early: say what was found, for it counts as wet until then.')
  tx.update(waits).set({ endedAt: at }).where(eq(waits.id, waitId)).run()
  write('wait.ended', { what: wait.what, early, ...(found ? { found } : {}), ...(wet ? { wet } : {}) })
}
