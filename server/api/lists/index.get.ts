import { keptListsOf } from '../../chapters/lists/index'

/** The lists that are kept under a name. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  return { lists: keptListsOf(db, now().toISOString()) }
})
