import type { CommandInput } from '#shared/contracts/commands'
import { signOffs } from '../db/schema'
import { endSignOffs } from './consequences'
import { assess, loadMachine } from './machine-file'
import { NotNow } from './refusals'
import type { MachineWork } from './work'

/** Signs a machine off as proved. @throws NotNow with every reason that stands against it */
export function signOff(work: MachineWork, { statement }: CommandInput<'sign-off'>): void {
  const { tx, machine, at, person, write } = work
  const { signOff: judged } = assess(loadMachine(tx, machine), work.now)
  if (!judged.allowed) throw new NotNow('It cannot be signed off yet.', judged.findings.filter(f => f.level === 'stop').map(f => f.says))
  endSignOffs(work)
  tx.insert(signOffs).values({ machineId: machine.id, statement, byWhom: person.name, at }).run()
  write('machine.signed-off', { statement })
}
