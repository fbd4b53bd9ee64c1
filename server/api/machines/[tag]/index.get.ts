import { getRouterParam } from 'h3'
import { machineSheet } from '../../../services/queries'

export default defineAnswer(async (event) => {
  await requirePerson(event)
  const { db, now } = useBench()
  return machineSheet(db, now(), getRouterParam(event, 'tag', { decode: true }) ?? '')
})
