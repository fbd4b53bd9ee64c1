import { addDays, formatISO } from 'date-fns'
import { dueBack } from '../../chapters/custody/index'

/** How far ahead somebody wants to know, in days. */
const ahead = 7

/** Assemblies that somebody took along and that are due back. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return { due: dueBack(db, formatISO(addDays(now(), ahead), { representation: 'date' })) }
})
