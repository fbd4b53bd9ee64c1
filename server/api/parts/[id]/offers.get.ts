import { getRouterParam } from 'h3'
import { offersForNeed } from '../../../chapters/parts/index'

/** What is at hand for a part that is wanted. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return { offers: offersForNeed(useBench().db, Number(getRouterParam(event, 'id'))) }
})
