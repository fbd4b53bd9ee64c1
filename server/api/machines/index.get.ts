import { getQuery } from 'h3'
import { MachineQuery } from '#shared/kernel/machine'
import { listMachines } from '../../chapters/lists/index'

/** A page of machines, narrowed and sorted: by `find`, `gate`, `stage`, `bench`, `place`, `model`, `owner`, `acquired`, `life` and others. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return listMachines(db, MachineQuery.parse(getQuery(event)), now().toISOString())
})
