import { today } from '../kernel/lists'

/** What is urgent, what waits, and what to do next. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return today(useBench().db)
})
