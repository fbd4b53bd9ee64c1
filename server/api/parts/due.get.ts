import { addDays, formatISO } from 'date-fns'
import { dueParts } from '../../chapters/parts/index'

/** How far ahead somebody wants to know, in days. */
const ahead = 7

/** What is lent, borrowed or ordered, and due. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return { due: dueParts(db, formatISO(addDays(now(), ahead), { representation: 'date' })) }
})
