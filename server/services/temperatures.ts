import { judgeTemperature } from '#core/power/temperature'
import type { CommandInput } from '#shared/contracts/commands'
import { temperatures } from '../db/schema'
import type { MachineWork } from './work'

function keep({ tx, machine, at, person, write }: MachineWork, { part, where, samples }: CommandInput<'import-temperatures'>) {
  const judged = judgeTemperature({ part, samples })
  const { id } = tx.insert(temperatures).values({ machineId: machine.id, part, where, samples, at, byWhom: person.name }).returning().get()
  write('temperature.taken', { part, where, celsius: judged.highestC, readings: samples.length, says: judged.findings[0]!.says }, { subject: { table: 'temperatures', id } })
}

export const takeTemperature = (work: MachineWork, { celsius, ...where }: CommandInput<'take-temperature'>): void => keep(work, { ...where, samples: [{ atSeconds: 0, celsius }] })
export const importTemperatures = (work: MachineWork, log: CommandInput<'import-temperatures'>): void => keep(work, log)
