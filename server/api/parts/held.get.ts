import { getQuery } from 'h3'
import { HeldQuery } from '#shared/chapters/parts/index'
import { listHeld } from '../../chapters/parts/index'

/** The ledger of parts, page by page. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return { held: listHeld(useBench().db, HeldQuery.parse(getQuery(event))) }
})
