import { and, eq } from 'drizzle-orm'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/contracts/commands'
import { assemblies } from '../db/schema'
import { NotFound } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork } from './work'

function assemblyOf({ tx, machine }: MachineWork, id: number) {
  const assembly = tx.select().from(assemblies).where(and(eq(assemblies.id, id), eq(assemblies.machineId, machine.id))).get()
  if (!assembly) throw new NotFound(`${machine.tag} has no such assembly.`)
  return assembly
}
/** The name of an assembly of this machine; empty for the machine as a whole. @throws NotFound */
export const assemblyName = (work: MachineWork, id: number | null) => (id === null ? '' : assemblyOf(work, id).name)

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
