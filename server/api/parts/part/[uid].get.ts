import { getRouterParam } from 'h3'
import { heldByUid } from '../../../chapters/parts/index'

/** A line of the ledger by its code. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return { held: heldByUid(useBench().db, getRouterParam(event, 'uid') ?? '') }
})
