import { placesOfParts } from '../../chapters/parts/index'

/** Where parts lie. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return { places: placesOfParts(useBench().db) }
})
