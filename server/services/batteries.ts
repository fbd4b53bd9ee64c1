import { and, eq, isNull } from 'drizzle-orm'
import { InputError } from '#core/kernel/input-error'
import { type Battery, judgeBattery } from '#core/power/battery'
import type { CommandInput } from '#shared/contracts/commands'
import { batteries, powerAssessments } from '../db/schema'
import { practiceOf } from './practice'
import { NotFound } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork } from './work'

/** What the core is asked about one battery, with the practice and the year of the moment. @throws InputError as the core does */
export const judgedBattery = (battery: Battery, school: Parameters<typeof judgeBattery>[0]['school'], now: Date) => judgeBattery({ battery, school, yearNow: now.getUTCFullYear() })

/** Its sisters are warned once a battery was found leaking, whatever is cleaned later. */
function remember({ tx, machine }: MachineWork, state: Battery['state']) {
  if (state === 'leaking' || state === 'residue') tx.update(powerAssessments).set({ batteryHasLeaked: true }).where(eq(powerAssessments.machineId, machine.id)).run()
}

export function recordBattery(work: MachineWork, found: CommandInput<'record-battery'>): void {
  judgedBattery(found, practiceOf(work.tx).batterySchool, work.now)
  if (work.tx.select().from(batteries).where(and(eq(batteries.machineId, work.machine.id), eq(batteries.where, found.where), isNull(batteries.struckBy))).get()) throw new InputError('where', found.where, 'Where: a battery is on record there already. Change that one, or say where this one is.')
  const { id } = work.tx.insert(batteries).values({ machineId: work.machine.id, ...found }).returning().get()
  remember(work, found.state)
  work.write('battery.recorded', found, { subject: { table: 'batteries', id } })
}

export function changeBattery(work: MachineWork, { batteryId, version, replacement, ...found }: CommandInput<'change-battery'>): void {
  const { tx, machine, write } = work
  const before = tx.select().from(batteries).where(and(eq(batteries.id, batteryId), eq(batteries.machineId, machine.id), isNull(batteries.struckBy))).get()
  if (!before) throw new NotFound(`${machine.tag} has no such battery.`)
  expectVersion(work, before, version, before.version, [...Object.keys(found), 'replacement'])
  if (replacement && found.fitted) throw new InputError('fitted', found.fitted, 'It is still in: take the old one out before another is fitted.')
  judgedBattery({ ...found, replacement }, practiceOf(tx).batterySchool, work.now)
  tx.update(batteries).set({ ...found, replacement, version: before.version + 1 }).where(eq(batteries.id, batteryId)).run()
  remember(work, found.state)
  const was = { where: before.where, chemistry: before.chemistry, cells: before.cells, year: before.year, state: before.state, fitted: before.fitted, charging: before.charging }
  if (JSON.stringify(was) !== JSON.stringify({ ...was, ...found })) write('battery.changed', found)
  if (replacement && JSON.stringify(replacement) !== JSON.stringify(before.replacement)) write('battery.replaced', { where: found.where, ...replacement })
}
