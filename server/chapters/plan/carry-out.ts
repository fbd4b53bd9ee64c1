import { writtenDay } from '#core/kernel/days'
import { millisecondsInHour } from 'date-fns/constants'
import { and, eq, inArray } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { minutesAtIt } from '#core/planning/evening-day'
import { guessMinutes, kindOfJob } from '#core/planning/job-minutes'
import type { CommandInput } from '#shared/chapters/index'
import { ownJob } from '#shared/chapters/plan/words'
import { NotAllowed, NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import type { MachineWork, Work } from '../../kernel/work'
import { findPerson } from '../people/index'
import { practiceOf } from '../practice/index'
import { takenBy } from './deal'
import { dayOf, isHere } from './present'
import { eveningJobs, eveningLetters, eveningPeople } from './schema'

const longestStayMs = 18 * millisecondsInHour

/** Whoever is named; a volunteer speaks for nobody else. @throws NotFound, NotAllowed */
function personNamed({ tx, person }: Work, personId: number) {
  const named = findPerson(tx, personId)
  if (!named?.active) throw new NotFound('There is no such person.')
  if (named.role === 'reader') throw new NotAllowed('Readers do not work at the bench.')
  if (person.id !== personId && findPerson(tx, person.id)?.role !== 'coordinator')
    throw new NotAllowed('Say it for yourself; a coordinator can say it for others.')
  return named
}

/** Somebody says that they are here, or a coordinator does for them, and until when. */
export function beHere(work: Work, { personId, until }: CommandInput<'be-here'>): void {
  const { tx, at, now } = work
  const named = personNamed(work, personId)
  if (until <= at) throw new InputError('until', until, 'Until: that time has passed already. Choose one later tonight.')
  if (Date.parse(until) - now.getTime() > longestStayMs) throw new InputError('until', until, 'Until: that is not tonight any more.')
  const day = dayOf(tx, at)
  const key = and(eq(eveningPeople.day, day), eq(eveningPeople.personId, personId))
  const before = tx.select().from(eveningPeople).where(key).get()
  if (before?.until === until && before.leftAt === null) return
  if (before)
    tx.update(eveningPeople)
      .set({ until, leftAt: null, since: before.leftAt === null ? before.since : at })
      .where(key)
      .run()
  else tx.insert(eveningPeople).values({ day, personId, since: at, until }).run()
  work.write('evening.here', { name: named.name, day, until })
}

/** Somebody goes home. @throws NotNow while they have something in hand */
export function goHome(work: Work, { personId }: CommandInput<'go-home'>): void {
  const { tx, at } = work
  const named = personNamed(work, personId)
  if (!isHere(tx, personId, at)) throw new NotNow(`${named.name} is not here any more.`)
  const inHand = tx
    .select()
    .from(eveningJobs)
    .where(eq(eveningJobs.state, 'in-hand'))
    .all()
    .filter(j => j.hands.some(h => h.id === personId))
  if (inHand.length)
    throw new NotNow(
      `${named.name} still has something in hand: finish it, or hand it on with a note.`,
      inHand.map(j => j.says),
    )
  const day = dayOf(tx, at)
  tx.update(eveningPeople)
    .set({ leftAt: at })
    .where(and(eq(eveningPeople.day, day), eq(eveningPeople.personId, personId)))
    .run()
  work.write('evening.left', { name: named.name, day })
}

/** Takes a job in hand: one that was dealt or handed on, a next move of the machine, or one of one's own. */
export function startJob(work: MachineWork, { code, says, withId }: CommandInput<'start-job'>): { jobId: number } {
  const { tx, at, machine, person } = work
  const open = tx
    .select()
    .from(eveningJobs)
    .where(and(eq(eveningJobs.machineId, machine.id), inArray(eveningJobs.state, ['dealt', 'handed-on', 'in-hand'])))
    .all()
  const row = open.find(j => j.code === code && j.says === says)
  const busy = open.find(j => j.state === 'in-hand' && !j.hands.some(h => h.id === person.id))
  if (busy) throw new NotNow(`${busy.hands.map(h => h.name).join(' and ')} has this machine in hand: ${busy.says}. Ask first, or have it handed on.`)
  if (row?.state === 'in-hand') throw new NotNow('You have this in hand already.')
  const asked = work.assess().moves.find(m => m.code === code && m.says === says)
  if (!asked && !row && code !== ownJob) throw new NotNow('This is no longer a next move of the machine. Look at what is.')
  const dealtTo = row?.hands.some(h => h.id === person.id) ? row.hands.filter(h => h.id !== person.id).map(h => h.id) : []
  const others = withId === null ? dealtTo : [withId]
  const hands = [person.id, ...others].map(id => {
    const one = findPerson(tx, id)
    if (!one?.active) throw new InputError('withId', id, 'With: there is no such person.')
    return { id, name: one.name }
  })
  if (asked?.pair && hands.length < 2)
    throw new InputError('withId', null, 'With: a start takes two, one at the switch and one at the probe. Say who is with you.')
  const guess = row ? { minutes: row.guessMinutes, basis: row.basis } : guessMinutes(code, takenBy(tx)(kindOfJob(code)))
  const begun = { state: 'in-hand' as const, startedAt: at, hands, pair: hands.length > 1, day: dayOf(tx, at) }
  const told = asked ?? row
  const jobId = row
    ? row.id
    : tx
        .insert(eveningJobs)
        .values({
          ...begun,
          machineId: machine.id,
          code,
          kind: kindOfJob(code),
          says,
          stage: told?.stage ?? machine.stage,
          why: told?.why ?? '',
          skill: told?.skill,
          guessMinutes: guess.minutes,
          basis: guess.basis,
        })
        .returning()
        .get().id
  if (row) tx.update(eveningJobs).set(begun).where(eq(eveningJobs.id, row.id)).run()
  work.write('job.started', { says, hands: hands.map(h => h.name), guessMinutes: guess.minutes })
  return { jobId }
}

/** @throws NotFound, NotNow where nobody has it in hand */
function inHandOf({ tx, machine }: MachineWork, jobId: number) {
  const job = rowOf({ tx, machine }, eveningJobs, jobId, 'job any more')
  if (job.state !== 'in-hand') throw new NotNow(job.state === 'done' ? 'This is already marked as done.' : 'Nobody has started this job. Start it first.')
  return job
}

export function finishJob(work: MachineWork, { jobId, did }: CommandInput<'finish-job'>): void {
  const job = inHandOf(work, jobId)
  const takenMinutes = job.takenMinutes + minutesAtIt(job.startedAt!, work.at, practiceOf(work.tx).zone)
  work.tx.update(eveningJobs).set({ state: 'done', endedAt: work.at, takenMinutes }).where(eq(eveningJobs.id, jobId)).run()
  work.write('job.done', { says: job.says, hands: job.hands.map(h => h.name), minutes: takenMinutes, did })
}

/** Takes *Done* back: it is in hand again from now on, with the minutes it had. @throws NotFound, NotNow where it is not done */
export function reopenJob(work: MachineWork, { jobId }: CommandInput<'reopen-job'>): void {
  const job = rowOf(work, eveningJobs, jobId, 'job any more')
  if (job.state !== 'done') throw new NotNow('This job is not marked as done.')
  work.tx.update(eveningJobs).set({ state: 'in-hand', startedAt: work.at, endedAt: null }).where(eq(eveningJobs.id, jobId)).run()
  work.write('job.reopened', { says: job.says })
}

/** Hands a job on, with a note for whoever comes next; it stays with the machine until somebody takes it up. */
export function handOnJob(work: MachineWork, { jobId, note }: CommandInput<'hand-on-job'>): void {
  const { at, person } = work
  const job = inHandOf(work, jobId)
  const takenMinutes = job.takenMinutes + minutesAtIt(job.startedAt!, at, practiceOf(work.tx).zone)
  work.tx
    .update(eveningJobs)
    .set({ state: 'handed-on', hands: [], startedAt: null, startsAt: null, takenMinutes, note, notedBy: person.name, notedAt: at })
    .where(eq(eveningJobs.id, jobId))
    .run()
  work.write('job.handed-on', { says: job.says, note })
}

/** Writes the story of an evening as a letter, which is laid into the outbox. */
export function tellEvening(work: Work, { day, lines, to }: CommandInput<'tell-evening'>): { uid: string } {
  const { tx, at, person } = work
  const uid = uuidv7()
  tx.insert(eveningLetters)
    .values({ uid, day, subject: `${practiceOf(tx).name}: the evening of ${writtenDay(day)}`, lines, to, at, byWhom: person.name })
    .run()
  work.write('evening.told', { day, to })
  return { uid }
}
