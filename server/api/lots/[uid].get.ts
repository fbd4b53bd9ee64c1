import { getRouterParam } from 'h3'
import { lotOf } from '../../chapters/arrive/index'

/** How far a job lot has been booked in, with what its machines became so far. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return lotOf(useBench().db, getRouterParam(event, 'uid') ?? '')
})
