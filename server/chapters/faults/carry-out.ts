import type { CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { faults, observations, repairs } from './schema'

function faultOf({ tx, machine }: MachineWork, id: number) {
  const fault = tx
    .select()
    .from(faults)
    .where(and(eq(faults.id, id), eq(faults.machineId, machine.id)))
    .get()
  if (!fault) throw new NotFound(`${machine.tag} has no such fault.`)
  return fault
}

export function reportFault(work: MachineWork, input: CommandInput<'report-fault'>): void {
  work.tx
    .insert(faults)
    .values({ machineId: work.machine.id, ...input })
    .run()
  work.write('fault.reported', input)
}

export function changeFault(work: MachineWork, { faultId, version, symptom, stopsMachine }: CommandInput<'change-fault'>): void {
  const fault = faultOf(work, faultId)
  expectVersion(work, fault, version, fault.version, ['symptom', 'stopsMachine'])
  if (fault.symptom === symptom && fault.stopsMachine === stopsMachine) return
  work.tx
    .update(faults)
    .set({ symptom, stopsMachine, version: fault.version + 1 })
    .where(eq(faults.id, faultId))
    .run()
  work.write('fault.changed', { from: fault.symptom, to: symptom, stopsMachine })
}

export function observeFault(work: MachineWork, { faultId, says }: CommandInput<'observe-fault'>): void {
  const fault = faultOf(work, faultId)
  const { id } = work.tx.insert(observations).values({ faultId, says, at: work.at }).returning().get()
  work.write('fault.observed', { symptom: fault.symptom, says }, { subject: { table: 'observations', id } })
}

export function repairFault(work: MachineWork, { faultId, did, closes }: CommandInput<'repair-fault'>): void {
  const fault = faultOf(work, faultId)
  if (!fault.open) throw new NotNow('This fault has been closed already. Report it anew if it came back.')
  work.tx.insert(repairs).values({ faultId, did, closes, at: work.at }).run()
  work.tx
    .update(faults)
    .set({ open: !closes, version: fault.version + 1 })
    .where(eq(faults.id, faultId))
    .run()
  work.write('fault.repaired', { symptom: fault.symptom, did, closes })
}
