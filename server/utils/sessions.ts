import { type H3Event, getHeader } from 'h3'
import { v7 as uuidv7 } from 'uuid'
import { type PersonRow, closeSession, openSession } from '../chapters/people/index'

/** Signs somebody in at this browser. */
export async function signIn(event: H3Event, person: PersonRow): Promise<void> {
  const { db, now } = useBench()
  // Whoever signs in over somebody's session ends that one.
  const { user } = await getUserSession(event)
  if (user?.session) closeSession(db, user.session)
  const session = openSession(db, person.id, getHeader(event, 'user-agent') ?? '', now())
  await replaceUserSession(event, { user: { id: person.id, session } })
}

/**
 * Whichever way a browser's session is cleared, what stands here under it is ended too, and whatever else is open under it hears of that.
 * Called once, at the start.
 */
export function endClearedSessions(): void {
  sessionHooks.hook('clear', session => {
    const { db, now, announce } = useBench()
    if (!session.user?.session) return
    closeSession(db, session.user.session)
    announce({ id: uuidv7(), at: now().toISOString(), by: '', kinds: ['session.closed'], tags: [], collection: false, machines: [] })
  })
}

export async function signOut(event: H3Event): Promise<void> {
  await clearUserSession(event)
}
