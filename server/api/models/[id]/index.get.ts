import { getRouterParam } from 'h3'
import { modelPage } from '../../../chapters/sharing/index'

/** One model, with the machines of it that are kept here. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return modelPage(useBench().db, Number(getRouterParam(event, 'id')))
})
