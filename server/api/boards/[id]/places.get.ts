import { getRouterParam } from 'h3'
import { placesOf } from '../../../chapters/continuity/index'

/** Where the pins and parts of a board lie, for whoever draws on it. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return placesOf(useBench().db, Number(getRouterParam(event, 'id')))
})
