import { getRouterParam, setResponseHeaders } from 'h3'
import { keptOf } from '../../../chapters/people/index'
import { NotAllowed, NotFound } from '../../../kernel/refusals'

/** Everything that is kept of a person: for them, and for a coordinator. */
export default defineAnswer(async event => {
  const person = await requirePerson(event)
  const id = Number(getRouterParam(event, 'id'))
  if (!Number.isSafeInteger(id)) throw new NotFound('There is no such person.')
  if (id !== person.id && person.role !== 'coordinator') throw new NotAllowed('Only a coordinator sees what is kept of others.')
  setResponseHeaders(event, { 'content-disposition': 'attachment; filename="kept.json"', 'cache-control': 'no-store' })
  return keptOf(useBench().db, id)
})
