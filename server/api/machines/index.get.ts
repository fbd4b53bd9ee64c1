import { getQuery } from 'h3'
import { MachineQuery } from '#shared/kernel/machine'
import { listMachines } from '../../kernel/lists'

/** A page of machines: `?find=&gate=&stage=&bench=&sort=&page=&size=`. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return listMachines(useBench().db, MachineQuery.parse(getQuery(event)))
})
