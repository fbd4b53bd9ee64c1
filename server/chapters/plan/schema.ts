import type { Stage } from '#core/kernel/stages'
import type { Skill } from '#core/kernel/skills'
import type { JobState } from '#shared/chapters/plan/words'
import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, uid, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** Who is here on an evening, and until when. */
export const eveningPeople = sqliteTable(
  'evening_people',
  {
    /** ISO date on the clocks of the collection. */
    day: text('day').notNull(),
    personId: integer('person_id').notNull(),
    since: text('since').notNull(),
    until: text('until').notNull(),
    leftAt: text('left_at'),
  },
  t => [primaryKey({ columns: [t.day, t.personId] })],
)

/** How an evening was dealt out last, and what was left over. */
export const evenings = sqliteTable('evenings', {
  day: text('day').primaryKey(),
  dealtAt: text('dealt_at').notNull(),
  left: text('left_over', { mode: 'json' }).$type<{ tag: string; name: string; says: string; why: string }[]>().notNull(),
})

/** A job that was dealt out, taken in hand, handed on or done. What was only dealt goes when the evening is dealt anew. */
export const eveningJobs = sqliteTable(
  'evening_jobs',
  {
    id: key(),
    machineId: machineId(),
    day: text('day').notNull(),
    code: text('code').notNull(),
    /** What jobs of its kind are timed under. */
    kind: text('kind').notNull(),
    stage: text('stage').$type<Stage>().notNull(),
    says: text('says').notNull(),
    why: words('why'),
    skill: text('skill').$type<Skill>(),
    pair: flag('pair').default(false),
    because: text('because', { mode: 'json' }).$type<string[]>().notNull().default([]),
    hands: text('hands', { mode: 'json' }).$type<{ id: number; name: string }[]>().notNull(),
    guessMinutes: integer('guess_minutes').notNull(),
    basis: words('basis'),
    startsAt: text('starts_at'),
    state: text('state').$type<JobState>().notNull(),
    startedAt: text('started_at'),
    endedAt: text('ended_at'),
    /** Minutes worked on it until now, by everybody who had it. */
    takenMinutes: integer('taken_minutes').notNull().default(0),
    note: words('note'),
    notedBy: words('noted_by'),
    notedAt: text('noted_at'),
  },
  t => [index('evening_jobs_machine').on(t.machineId, t.endedAt), index('evening_jobs_day').on(t.day), index('evening_jobs_state').on(t.state, t.id)],
)

/** The story of an evening, as it was written to somebody. */
export const eveningLetters = sqliteTable(
  'evening_letters',
  {
    id: key(),
    uid: uid(),
    day: text('day').notNull(),
    subject: text('subject').notNull(),
    lines: text('lines', { mode: 'json' }).$type<string[]>().notNull(),
    to: words('to_address'),
    at: text('at').notNull(),
    byWhom: text('by_whom').notNull(),
    /** When it was laid into the outbox. */
    sentAt: text('sent_at'),
  },
  t => [index('evening_letters_day').on(t.day)],
)
