import { listModels, spelledOtherwise } from '../../chapters/models/index'

export default defineAnswer(async event => {
  await requirePerson(event)
  const { db } = useBench()
  return { models: listModels(db), spelledOtherwise: spelledOtherwise(db) }
})
