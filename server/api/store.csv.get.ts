import { getQuery, sendIterable, setResponseHeaders } from 'h3'
import { MachineQuery } from '#shared/kernel/machine'
import { machinesAsCsv } from '../chapters/lists/index'

/** The machines of a list as CSV, narrowed and sorted as the list is. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  const query = MachineQuery.parse(getQuery(event))
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="store-${now().toISOString().slice(0, 10)}.csv"`,
  })
  return sendIterable(event, machinesAsCsv(db, query, now().toISOString()))
})
