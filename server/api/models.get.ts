import { listModels } from '../services/queries'

export default defineAnswer(async (event) => {
  await requirePerson(event)
  const { db, now } = useBench()
  return { models: listModels(db, now()) }
})
