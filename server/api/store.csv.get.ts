import { getQuery, sendIterable } from 'h3'
import { MachineQuery } from '#shared/kernel/machine'
import { machinesAsCsv } from '../chapters/lists/index'

/** The machines of a list as CSV, narrowed and sorted as the list is. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  const query = MachineQuery.parse(getQuery(event))
  csvNamed(event, 'store', now())
  return sendIterable(event, machinesAsCsv(db, query, now().toISOString()))
})
