import { type H3Event, getHeader } from 'h3'
import { type PersonRow, closeSession, openSession, sealOf } from '../chapters/people/index'

/** Signs somebody in at this browser. */
export async function signIn(event: H3Event, person: PersonRow): Promise<void> {
  const { db, now } = useBench()
  const session = openSession(db, person.id, getHeader(event, 'user-agent') ?? '', now())
  await replaceUserSession(event, { user: { id: person.id, seal: sealOf(person), session } })
}

export async function signOut(event: H3Event): Promise<void> {
  const { user } = await getUserSession(event)
  if (user?.session) closeSession(useBench().db, user.session)
  await clearUserSession(event)
}
