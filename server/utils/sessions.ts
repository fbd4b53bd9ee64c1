import { type H3Event, getHeader } from 'h3'
import { v7 as uuidv7 } from 'uuid'
import { type PersonRow, closeSession, openSession } from '../chapters/people/index'

/** Signs somebody in at this browser. */
export async function signIn(event: H3Event, person: PersonRow): Promise<void> {
  const { db, now } = useBench()
  const session = openSession(db, person.id, getHeader(event, 'user-agent') ?? '', now())
  await replaceUserSession(event, { user: { id: person.id, session } })
}

export async function signOut(event: H3Event): Promise<void> {
  const { user } = await getUserSession(event)
  const { db, now, announce } = useBench()
  if (user?.session) closeSession(db, user.session)
  await clearUserSession(event)
  // Whatever else is open under it hears of that.
  announce({ id: uuidv7(), at: now().toISOString(), by: '', kinds: ['session.closed'], tags: [], collection: false, machines: [] })
}
