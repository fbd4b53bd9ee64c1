import { and, eq, gt, isNull, sql } from 'drizzle-orm'
import { eveningDay } from '#core/planning/evening-day'
import type { Tx } from '../../kernel/history/journal'
import { people } from '../people/index'
import { practiceOf } from '../practice/index'
import { eveningPeople } from './schema'

/** The day of the evening that it is now, on the clocks of the collection. */
export const dayOf = (tx: Tx, at: string): string => eveningDay(at, practiceOf(tx).zone)

/** Whoever has come on a day, in the order in which they came. */
export const cameOn = (tx: Tx, day: string) =>
  tx
    .select({
      id: people.id,
      name: people.name,
      role: people.role,
      skills: people.skills,
      since: eveningPeople.since,
      until: eveningPeople.until,
      leftAt: eveningPeople.leftAt,
    })
    .from(eveningPeople)
    .innerJoin(people, eq(people.id, eveningPeople.personId))
    .where(eq(eveningPeople.day, day))
    .orderBy(eveningPeople.since, sql`${eveningPeople}.rowid`)
    .all()

/** Whoever is here at this moment. */
export const hereNow = (tx: Tx, at: string) => cameOn(tx, dayOf(tx, at)).filter(p => p.leftAt === null && p.until > at)

/** Whether somebody has said that they are here, and has not left. */
export const isHere = (tx: Tx, personId: number, at: string) =>
  tx
    .select({ until: eveningPeople.until })
    .from(eveningPeople)
    .where(and(eq(eveningPeople.day, dayOf(tx, at)), eq(eveningPeople.personId, personId), isNull(eveningPeople.leftAt), gt(eveningPeople.until, at)))
    .get() !== undefined
