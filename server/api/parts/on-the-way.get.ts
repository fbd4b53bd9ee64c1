import { formatISO } from 'date-fns'
import { onTheWay } from '../../chapters/parts/index'

/** What was ordered or promised and is not here, or came and nobody looked at. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return onTheWay(db, formatISO(now(), { representation: 'date' }))
})
