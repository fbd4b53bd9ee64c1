import { and, asc, eq, ne } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { labelWords, matchSupply } from '#core/power/supply-match'
import type { CommandInput } from '#shared/contracts/commands'
import { machines, powerAssessments, supplies } from '../db/schema'
import type { Tx } from './journal'
import { inletOf, loadMachine } from './machine-file'
import { NotFound, NotNow } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork, Work } from './work'

export const listSupplies = (tx: Tx) => tx.select().from(supplies).orderBy(asc(supplies.name)).all()

function refuseTwice(tx: Tx, name: string, except = 0) {
  if (tx.select().from(supplies).where(and(eq(supplies.name, name), ne(supplies.id, except))).get()) throw new InputError('name', name, `Name: ${name} is on another supply already.`)
}

export function addSupply({ tx, write }: Work, supply: CommandInput<'add-supply'>): { supplyId: number } {
  refuseTwice(tx, supply.name)
  const { id } = tx.insert(supplies).values({ ...supply, uid: uuidv7() }).returning().get()
  write('supply.added', { name: supply.name, says: labelWords(supply.label) })
  return { supplyId: id }
}

export function changeSupply(work: Work, { supplyId, version, ...supply }: CommandInput<'change-supply'>): void {
  const before = work.tx.select().from(supplies).where(eq(supplies.id, supplyId)).get()
  if (!before) throw new NotFound('There is no such supply.')
  expectVersion(work, before, version, before.version, Object.keys(supply))
  refuseTwice(work.tx, supply.name, supplyId)
  work.tx.update(supplies).set({ ...supply, version: before.version + 1 }).where(eq(supplies.id, supplyId)).run()
  work.write('supply.changed', { name: supply.name, says: labelWords(supply.label), active: supply.active })
}

export function expectInlet({ tx, machine, write }: MachineWork, { inlet }: CommandInput<'expect-inlet'>): void {
  tx.update(machines).set({ ownInlet: inlet }).where(eq(machines.id, machine.id)).run()
  write('inlet.expected', { says: inlet ? labelWords(inlet) : 'what its model says' })
}

/** Says from which supply it runs. @throws NotNow for one that would harm it, with the reasons */
export function assignSupply({ tx, machine, write }: MachineWork, { supplyId }: CommandInput<'assign-supply'>): void {
  const supply = supplyId === null ? null : tx.select().from(supplies).where(and(eq(supplies.id, supplyId), eq(supplies.active, true))).get()
  if (supply === undefined) throw new NotFound('There is no such supply.')
  const inlet = inletOf(loadMachine(tx, machine))
  if (supply && !inlet) throw new NotNow('It is not known what its inlet wants. Say that first.')
  const match = supply && matchSupply({ needs: inlet!, supply: supply.label })
  if (match?.suits === 'no') throw new NotNow(`${supply!.name} does not suit ${machine.tag}.`, match.findings.filter(f => f.level === 'stop').map(f => f.says))
  tx.update(powerAssessments).set({ supplyId }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('supply.assigned', { name: supply?.name ?? '', says: supply ? labelWords(supply.label) : '' })
}
