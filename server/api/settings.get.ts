import { listPeople } from '../services/people'
import { practiceOf } from '../services/practice'

export default defineAnswer(async (event) => {
  await requirePerson(event)
  const { db } = useBench()
  return { practice: practiceOf(db), people: listPeople(db) }
})
