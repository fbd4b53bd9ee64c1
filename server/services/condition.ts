import { and, eq } from 'drizzle-orm'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/contracts/commands'
import { assemblies, damages } from '../db/schema'
import { NotFound } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork } from './work'

function assemblyOf({ tx, machine }: MachineWork, id: number) {
  const assembly = tx.select().from(assemblies).where(and(eq(assemblies.id, id), eq(assemblies.machineId, machine.id))).get()
  if (!assembly) throw new NotFound(`${machine.tag} has no such assembly.`)
  return assembly
}

export function addAssembly({ tx, machine, write }: MachineWork, { name }: CommandInput<'add-assembly'>): void {
  const there = tx.select().from(assemblies).where(and(eq(assemblies.machineId, machine.id), eq(assemblies.name, name))).get()
  if (there) throw new InputError('name', name, `Assembly: ${name} is in the list already. Give this one a name of its own, such as ${name} 2.`)
  tx.insert(assemblies).values({ machineId: machine.id, name }).run()
  write('assembly.added', { name })
}

export function gradeAssembly(work: MachineWork, { assemblyId, version, ...found }: CommandInput<'grade-assembly'>): void {
  const assembly = assemblyOf(work, assemblyId)
  expectVersion(work, assembly, version, assembly.version, ['presence', 'grade', 'note'])
  work.tx.update(assemblies).set({ ...found, version: assembly.version + 1 }).where(eq(assemblies.id, assembly.id)).run()
  work.write('assembly.graded', { name: assembly.name, ...found })
}

export function recordDamage(work: MachineWork, input: CommandInput<'record-damage'>): void {
  const assembly = input.assemblyId === null ? '' : assemblyOf(work, input.assemblyId).name
  const { id } = work.tx.insert(damages).values({ machineId: work.machine.id, ...input }).returning().get()
  const { kind, where, extent, severity } = input
  work.write('damage.recorded', { assembly, kind, where, extent, severity }, { subject: { table: 'damages', id } })
}
