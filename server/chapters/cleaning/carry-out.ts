import type { CommandInput } from '#shared/chapters/index'
import type { MachineWork } from '../../kernel/work'
import { cleanings } from './schema'

export function recordCleaning({ tx, machine, at, write }: MachineWork, input: CommandInput<'record-cleaning'>): void {
  const { id } = tx
    .insert(cleanings)
    .values({ machineId: machine.id, at, ...input })
    .returning()
    .get()
  write('cleaning.done', input, { subject: { table: 'cleanings', id } })
}
