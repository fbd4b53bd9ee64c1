import { eveningView } from '../chapters/plan/index'

/** Tonight: who is here, what each does, and what was left over. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return eveningView(db, now().toISOString())
})
