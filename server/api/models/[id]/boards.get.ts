import { getRouterParam } from 'h3'
import { boardsOf } from '../../../chapters/continuity/index'

/** The boards of one model. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return boardsOf(useBench().db, Number(getRouterParam(event, 'id')))
})
