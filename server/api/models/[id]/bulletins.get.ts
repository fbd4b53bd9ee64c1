import { getRouterParam } from 'h3'
import { bulletinsOf } from '../../../chapters/sharing/index'

/** What was learned of one model. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return bulletinsOf(useBench().db, Number(getRouterParam(event, 'id')))
})
