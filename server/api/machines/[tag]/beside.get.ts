import { getQuery, getRouterParam } from 'h3'
import { inventoriesBeside } from '../../../chapters/inventory/index'

/** What a machine is made of beside another one of its model, place by place. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return inventoriesBeside(useBench().db, getRouterParam(event, 'tag', { decode: true }) ?? '', String(getQuery(event).other ?? ''))
})
