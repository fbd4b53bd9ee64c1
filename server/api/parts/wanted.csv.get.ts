import { sendIterable } from 'h3'
import { wantedAsCsv } from '../../chapters/parts/index'

/** What is wanted as CSV: a list for the shop. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  csvNamed(event, 'wanted', now())
  return sendIterable(event, wantedAsCsv(db))
})
