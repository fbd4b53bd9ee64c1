import { and, eq, isNull } from 'drizzle-orm'
import { checkMark } from '#core/condition/marks'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/contracts/commands'
import { checksDone, damages, interventions } from '../db/schema'
import { assemblyName } from './assemblies'
import { openChecks } from './checks'
import { photographOf } from './photographs'
import { NotFound, NotNow } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork } from './work'

export function recordDamage(work: MachineWork, input: CommandInput<'record-damage'>): void {
  const assembly = assemblyName(work, input.assemblyId)
  if ((input.mark === null) !== (input.photographId === null)) throw new InputError('mark', input.mark, 'A mark needs its photograph, and the other way round.')
  if (input.mark && input.photographId !== null) {
    photographOf(work, input.photographId)
    checkMark(input.mark)
  }
  const { id } = work.tx.insert(damages).values({ machineId: work.machine.id, ...input }).returning().get()
  const { kind, where, extent, severity } = input
  work.write('damage.recorded', { assembly, kind, where, extent, severity }, { subject: { table: 'damages', id } })
}

export function changeDamage(work: MachineWork, { damageId, version, ...found }: CommandInput<'change-damage'>): void {
  const damage = work.tx.select().from(damages).where(and(eq(damages.id, damageId), eq(damages.machineId, work.machine.id), isNull(damages.struckBy))).get()
  if (!damage) throw new NotFound(`${work.machine.tag} has no such damage.`)
  expectVersion(work, damage, version, damage.version, ['assemblyId', 'kind', 'where', 'extent', 'severity'])
  work.tx.update(damages).set({ ...found, version: damage.version + 1 }).where(eq(damages.id, damageId)).run()
  const { assemblyId, ...rest } = found
  work.write('damage.changed', { assembly: assemblyName(work, assemblyId), ...rest })
}

/** Says what came of a check that damage implied. @throws NotNow when nothing implies it any more, or somebody has done it */
export function settleCheck(work: MachineWork, { code, outcome, note }: CommandInput<'settle-check'>): void {
  const { tx, machine, at, person, write } = work
  const check = openChecks(tx, machine.id).find(c => c.code === code)
  if (!check) throw new NotNow('Somebody has done this check already, or nothing asks for it any more.')
  const { id } = tx.insert(checksDone).values({ machineId: machine.id, code, outcome, note, at, byWhom: person.name }).returning().get()
  write('check.settled', { says: check.says, outcome, note }, { subject: { table: 'checks_done', id } })
}

export function logIntervention(work: MachineWork, { understood, ...found }: CommandInput<'log-intervention'>): void {
  const assembly = assemblyName(work, found.assemblyId)
  if (found.photographId !== null) photographOf(work, found.photographId)
  const { id } = work.tx.insert(interventions).values({ machineId: work.machine.id, ...found, state: understood ? 'understood' : 'not-understood' }).returning().get()
  work.write('intervention.logged', { kind: found.kind, assembly, where: found.where, note: found.note, understood }, { subject: { table: 'interventions', id } })
}

/** What somebody before us did is understood, or undone; either way it says why. */
export function settleIntervention(work: MachineWork, { interventionId, version, state, note }: CommandInput<'settle-intervention'>): void {
  const row = work.tx.select().from(interventions).where(and(eq(interventions.id, interventionId), eq(interventions.machineId, work.machine.id), isNull(interventions.struckBy))).get()
  if (!row) throw new NotFound(`${work.machine.tag} has no such intervention.`)
  expectVersion(work, row, version, row.version, ['state', 'note'])
  work.tx.update(interventions).set({ state, note, version: row.version + 1 }).where(eq(interventions.id, interventionId)).run()
  work.write('intervention.settled', { kind: row.kind, where: row.where, state, note })
}
