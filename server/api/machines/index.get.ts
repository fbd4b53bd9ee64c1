import { getQuery } from 'h3'
import { listMachines } from '../../services/queries'

export default defineAnswer(async (event) => {
  await requirePerson(event)
  const { db, now } = useBench()
  return { machines: listMachines(db, now(), String(getQuery(event).find ?? '')) }
})
