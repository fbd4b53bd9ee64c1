import { getRouterParam } from 'h3'
import { faultsOfModel } from '../../../chapters/faults/index'

/** Faults of one model over the collection, and their causes. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return faultsOfModel(useBench().db, Number(getRouterParam(event, 'id')))
})
