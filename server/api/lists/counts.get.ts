import { getQuery } from 'h3'
import { MachineNarrowing } from '#shared/kernel/machine'
import { listCounts } from '../../chapters/lists/index'

/** How many machines each narrowing of a list would leave. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return listCounts(db, MachineNarrowing.parse(getQuery(event)), now().toISOString())
})
