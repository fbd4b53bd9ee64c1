import { getRouterParam } from 'h3'
import { offersForCapacitor } from '../../../chapters/recap/index'

/** What of the shelf would go into the place of a capacitor. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return { offers: offersForCapacitor(useBench().db, Number(getRouterParam(event, 'id'))) }
})
