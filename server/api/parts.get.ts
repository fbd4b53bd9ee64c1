import { wantedParts } from '../services/queries'

export default defineAnswer(async (event) => {
  await requirePerson(event)
  return { parts: wantedParts(useBench().db) }
})
