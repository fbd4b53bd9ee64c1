import { millisecondsInDay } from 'date-fns/constants'
import { asc, eq, lt } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { SessionPlace } from '#shared/chapters/people/index'
import type { CommandInput } from '#shared/chapters/index'
import type { Tx } from '../../kernel/history/journal'
import { NotAllowed, NotFound } from '../../kernel/refusals'
import type { Work } from '../../kernel/work'
import { findPerson } from './carry-out'
import { people, sessions } from './schema'

/** Longer than a cookie lives nobody is signed in. */
const longestMs = 14 * millisecondsInDay
/** So often is it written down that somebody is still there. */
const seenEveryMs = 5 * 60 * 1000
const mostBrowser = 300

/** Somebody has signed in. @returns what the session is known by */
export function openSession(tx: Tx, personId: number, browser: string, now: Date): string {
  const uid = uuidv7()
  const at = now.toISOString()
  tx.delete(sessions)
    .where(lt(sessions.seenAt, new Date(now.getTime() - longestMs).toISOString()))
    .run()
  tx.insert(sessions)
    .values({ uid, personId, browser: browser.slice(0, mostBrowser), openedAt: at, seenAt: at })
    .run()
  return uid
}

/** Whether a session still stands; somebody whose session was ended is not signed in any more. */
export function sessionStands(tx: Tx, uid: string, personId: number, now: Date): boolean {
  const row = tx.select().from(sessions).where(eq(sessions.uid, uid)).get()
  const unseenMs = row ? now.getTime() - Date.parse(row.seenAt) : 0
  if (row?.personId !== personId || unseenMs > longestMs) return false
  if (unseenMs > seenEveryMs) tx.update(sessions).set({ seenAt: now.toISOString() }).where(eq(sessions.uid, uid)).run()
  return true
}

export const closeSession = (tx: Tx, uid: string) => tx.delete(sessions).where(eq(sessions.uid, uid)).run()
/** Ends all of somebody's sessions. */
export const closeAll = (tx: Tx, personId: number) => tx.delete(sessions).where(eq(sessions.personId, personId)).run()

/** Where somebody is signed in; for a coordinator, where everybody is. */
export function sessionsOf(tx: Tx, person: { id: number; role: string }, own: string): SessionPlace[] {
  return tx
    .select({
      uid: sessions.uid,
      personId: sessions.personId,
      name: people.name,
      browser: sessions.browser,
      openedAt: sessions.openedAt,
      seenAt: sessions.seenAt,
    })
    .from(sessions)
    .innerJoin(people, eq(people.id, sessions.personId))
    .where(person.role === 'coordinator' ? undefined : eq(sessions.personId, person.id))
    .orderBy(asc(people.name), asc(sessions.openedAt))
    .all()
    .map(row => ({ ...row, here: row.uid === own }))
}

/** Ends a session: one's own anywhere, or, for a coordinator, anybody's. @throws NotFound, NotAllowed */
export function endSession({ tx, person, write }: Work, { session }: CommandInput<'end-session'>): void {
  const row = tx.select().from(sessions).where(eq(sessions.uid, session)).get()
  if (!row) throw new NotFound('That session has ended already.')
  if (row.personId !== person.id && findPerson(tx, person.id)?.role !== 'coordinator') throw new NotAllowed('Only a coordinator ends the sessions of others.')
  closeSession(tx, session)
  write('session.ended', { name: findPerson(tx, row.personId)?.name ?? '' })
}
