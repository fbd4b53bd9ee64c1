import { getQuery, sendIterable } from 'h3'
import { HeldQuery } from '#shared/chapters/parts/index'
import { heldAsCsv } from '../../chapters/parts/index'

/** The ledger of parts as CSV, narrowed as the list is. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  csvNamed(event, 'held', now())
  return sendIterable(event, heldAsCsv(db, HeldQuery.parse(getQuery(event))))
})
