import { today } from '../chapters/lists/index'

/** What is urgent, what waits, and what to do next. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return today(useBench().db)
})
