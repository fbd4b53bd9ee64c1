import { wantedParts } from '../services/queries'
import { listSupplies } from '../services/supplies'

export default defineAnswer(async (event) => {
  await requirePerson(event)
  const { db } = useBench()
  return { parts: wantedParts(db), supplies: listSupplies(db).map(({ uid: _, ...supply }) => supply) }
})
