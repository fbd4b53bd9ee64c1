import { getQuery } from 'h3'
import { placesOnBoards } from '../../chapters/recap/index'

/** The capacitors of a machine's boards by their nets, as the boards of its model have them. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return { boards: placesOnBoards(useBench().db, String(getQuery(event).tag ?? '')) }
})
