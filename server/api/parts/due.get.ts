import { addDays, formatISO } from 'date-fns'
import { may } from '#shared/chapters/index'
import { dueParts } from '../../chapters/parts/index'
import { offersWaiting } from '../../chapters/sought/index'

/** How far ahead somebody wants to know, in days. */
const ahead = 7

/** What is lent, borrowed or ordered, and due; and how many offers wait, for whoever takes them up. */
export default defineAnswer(async event => {
  const person = await requirePerson(event)
  const { db, now } = useBench()
  return { due: dueParts(db, formatISO(addDays(now(), ahead), { representation: 'date' })), offers: may(person.role, 'take-up-offer') ? offersWaiting(db) : 0 }
})
