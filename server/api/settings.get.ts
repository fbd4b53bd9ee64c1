import { listPeople } from '../chapters/people/index'
import { practiceOf } from '../chapters/practice/index'

export default defineAnswer(async event => {
  await requirePerson(event)
  const { db } = useBench()
  return { practice: practiceOf(db), people: listPeople(db) }
})
