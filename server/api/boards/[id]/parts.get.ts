import { getQuery, getRouterParam } from 'h3'
import { partPinsOf } from '../../../chapters/continuity/index'

/** The pins of parts of a board, named with commas between them. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const names = String(getQuery(event).names ?? '')
    .slice(0, 4000)
    .split(',')
    .map(n => n.trim())
    .filter(Boolean)
  return partPinsOf(useBench().db, Number(getRouterParam(event, 'id')), names)
})
