import type { CommandInput } from '#shared/chapters/index'
import { and, eq, isNull } from 'drizzle-orm'
import { NotNow } from '../../kernel/refusals'
import type { MachineWork } from '../../kernel/work'
import { signOffs } from './schema'

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
