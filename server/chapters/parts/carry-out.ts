import type { CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { NotFound } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { partNeeds } from './schema'

export function wantPart({ tx, machine, at, write }: MachineWork, input: CommandInput<'want-part'>): void {
  tx.insert(partNeeds)
    .values({ machineId: machine.id, wantedAt: at, ...input })
    .run()
  write('part.wanted', input)
}

export function settlePart(work: MachineWork, { partId, version, outcome }: CommandInput<'settle-part'>): void {
  const { tx, machine, write } = work
  const part = tx
    .select()
    .from(partNeeds)
    .where(and(eq(partNeeds.id, partId), eq(partNeeds.machineId, machine.id)))
    .get()
  if (!part) throw new NotFound(`${machine.tag} wants no such part.`)
  expectVersion(work, part, version, part.version, ['name', 'outcome'])
  tx.update(partNeeds)
    .set({ outcome, version: part.version + 1 })
    .where(eq(partNeeds.id, partId))
    .run()
  write('part.settled', { name: part.name, outcome })
}
