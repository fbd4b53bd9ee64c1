import { sessionsOf } from '../chapters/people/index'
import { openStreams } from '../live/streams'

/** Where one is signed in; for a coordinator, where everybody is. */
export default defineAnswer(async event => {
  const person = await requirePerson(event)
  const { user } = await getUserSession(event)
  return { sessions: sessionsOf(useBench().db, person, user?.session ?? ''), openPages: openStreams() }
})
