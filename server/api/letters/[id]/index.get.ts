import { getRouterParam } from 'h3'
import { letterOf } from '../../../chapters/stewardship/index'

/** A letter as it was written, for the screen and the printer. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return letterOf(useBench().db, Number(getRouterParam(event, 'id')))
})
