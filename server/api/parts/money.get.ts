import { moneyView } from '../../chapters/parts/index'

/** What was spent on each machine, and by the collection. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return moneyView(useBench().db)
})
