import { InputError } from '#core/kernel/input-error'
import { planSoak } from '#core/retest/soak'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, isNull } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import type { MachineWork } from '../../kernel/work'
import { signOffs, soaks } from './schema'

/** Signs a machine off as proved. @throws NotNow with every reason that stands against it */
export function signOff(work: MachineWork, { statement }: CommandInput<'sign-off'>): void {
  const { tx, machine, at, person, write } = work
  const { signOff: judged } = work.assess().known
  if (!judged.allowed)
    throw new NotNow(
      'It cannot be signed off yet.',
      judged.findings.filter(f => f.level === 'stop').map(f => f.says),
    )
  endSignOffs(work)
  tx.insert(signOffs).values({ machineId: machine.id, statement, byWhom: person.name, at }).run()
  write('machine.signed-off', { statement })
}

/** @returns how many sign-offs stood until now */
export function endSignOffs({ tx, machine, at }: MachineWork): number {
  return tx
    .update(signOffs)
    .set({ endedAt: at })
    .where(and(eq(signOffs.machineId, machine.id), isNull(signOffs.endedAt)))
    .run().changes
}

function soakOf({ tx, machine }: MachineWork, soakId: number) {
  const soak = tx
    .select()
    .from(soaks)
    .where(and(eq(soaks.id, soakId), eq(soaks.machineId, machine.id)))
    .get()
  if (!soak) throw new NotFound(`${machine.tag} has no such soak.`)
  if (soak.endedAt) throw new NotNow('This soak has ended. Begin another.')
  return soak
}

/** Begins a soak; what was seen before says how many passes are wanted. @throws InputError for counts that rule nothing out */
export function beginSoak({ tx, machine, at, write }: MachineWork, { confidencePct, ...soak }: CommandInput<'begin-soak'>): { soakId: number } {
  const confidence = confidencePct / 100
  const { wantedPasses } = planSoak({ ...soak, confidence, secondsAPass: soak.secondsAPass ?? undefined })
  const { id } = tx
    .insert(soaks)
    .values({ machineId: machine.id, ...soak, confidence, startedAt: at })
    .returning({ id: soaks.id })
    .get()
  write('soak.begun', { what: soak.what, failures: soak.seenFailures, passes: soak.seenPasses, wanted: wantedPasses, confidencePct })
  return { soakId: id }
}

/** Passes that have ended since the last tally. */
export function tallySoak(work: MachineWork, { soakId, passes, failures }: CommandInput<'tally-soak'>): void {
  const soak = soakOf(work, soakId)
  if (failures > passes) throw new InputError('failures', failures, `Of them failed: no more than the ${passes} passes.`)
  const now = { passes: soak.passes + passes, failures: soak.failures + failures }
  work.tx
    .update(soaks)
    .set({ ...now, lastAt: work.at })
    .where(eq(soaks.id, soakId))
    .run()
  const { verdict } = planSoak({ ...soak, secondsAPass: undefined, ...now })
  work.write('soak.tallied', { what: soak.what, passes, failures, all: now.passes, allFailures: now.failures, verdict })
}

export function endSoak(work: MachineWork, { soakId, note }: CommandInput<'end-soak'>): void {
  const soak = soakOf(work, soakId)
  const { verdict } = planSoak({ ...soak, secondsAPass: undefined })
  if (verdict === 'go-on' && note.length < 5) throw new InputError('note', note, 'Why it ends: it is not decided yet. Say why it is given up.')
  work.tx.update(soaks).set({ endedAt: work.at, note }).where(eq(soaks.id, soakId)).run()
  work.write('soak.ended', { what: soak.what, passes: soak.passes, failures: soak.failures, verdict, note })
}
