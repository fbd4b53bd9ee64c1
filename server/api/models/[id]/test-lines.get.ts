import { getRouterParam } from 'h3'
import { linesOfModel } from '../../../chapters/proving/index'

/** What machines of one model are tried with; none where nobody has said. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return linesOfModel(useBench().db, Number(getRouterParam(event, 'id')))
})
