import { millisecondsInMinute } from 'date-fns/constants'
import { and, asc, desc, eq, gt, inArray, isNull, lte, or, sql } from 'drizzle-orm'
import { type EveningOffer, eveningOffers } from '#core/planning/evening-jobs'
import { kindOfJob } from '#core/planning/job-minutes'
import { type DealtJob, type Hand, dealTonight } from '#core/planning/tonight'
import type { MachineSummary } from '#shared/kernel/machine'
import type { Tx } from '../../kernel/history/journal'
import { NotNow } from '../../kernel/refusals'
import { journal, machineSummaries } from '../../kernel/trunk'
import type { Work } from '../../kernel/work'
import { waits } from '../waits/index'
import { dayOf, hereNow } from './present'
import { eveningJobs, evenings } from './schema'

/** So many machines are looked at for one evening: what is most pressing of the bench, and of the whole store what gets worse. */
const mostMachines = 60
/** So many finished jobs are enough to know how long such jobs take. */
const mostTimed = 400

const minutesBetween = (from: string, to: string) => Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / millisecondsInMinute))
const laterBy = (at: string, minutes: number) => new Date(Date.parse(at) + minutes * millisecondsInMinute).toISOString()

/** Finished jobs, newest first, with what was guessed and what they took. */
export const timedJobs = (tx: Tx) =>
  tx
    .select({ kind: eveningJobs.kind, guessMinutes: eveningJobs.guessMinutes, takenMinutes: eveningJobs.takenMinutes })
    .from(eveningJobs)
    // Of one that was left open over a night nobody knows how long it took.
    .where(and(eq(eveningJobs.state, 'done'), gt(eveningJobs.takenMinutes, 0)))
    .orderBy(desc(eveningJobs.id))
    .limit(mostTimed)
    .all()

/** Minutes of jobs of one kind, from what was timed. */
export function takenBy(tx: Tx): (kind: string) => number[] {
  const timed = timedJobs(tx)
  return kind => timed.filter(t => t.kind === kind).map(t => t.takenMinutes)
}

/** Machines that something could be done with tonight, most pressing first. */
function candidates(tx: Tx, at: string, until: string) {
  const ending = tx
    .select({ id: waits.machineId })
    .from(waits)
    .where(and(isNull(waits.endedAt), gt(waits.until, at), lte(waits.until, until)))
  const open = tx
    .select({ id: eveningJobs.machineId })
    .from(eveningJobs)
    .where(inArray(eveningJobs.state, ['handed-on', 'in-hand']))
  const id = machineSummaries.machineId
  return tx
    .select({ id, card: machineSummaries.card })
    .from(machineSummaries)
    .where(
      or(
        and(eq(machineSummaries.onBench, true), eq(machineSummaries.hasMove, true)),
        and(gt(machineSummaries.harmRank, 0), eq(machineSummaries.hasMove, true)),
        inArray(id, ending),
        inArray(id, open),
      ),
    )
    .orderBy(sql`${id} IN ${open} DESC`, sql`${id} IN ${ending} DESC`, desc(machineSummaries.harmRank), desc(machineSummaries.tag))
    .limit(mostMachines)
    .all()
    .map(({ id, card }) => ({ id, card: JSON.parse(card) as MachineSummary }))
}

/** Whoever of these people wrote to a machine last. */
const lastHandOn = (tx: Tx, machineId: number, ids: number[]) =>
  tx
    .select({ personId: journal.personId })
    .from(journal)
    .where(and(eq(journal.machineId, machineId), inArray(journal.personId, ids)))
    .orderBy(desc(journal.id))
    .limit(1)
    .get()?.personId ?? undefined

type Candidate = ReturnType<typeof candidates>[number]
type Job = typeof eveningJobs.$inferSelect
type Here = ReturnType<typeof hereNow>[number]

interface Asked {
  at: string
  /** Until the last one leaves. */
  minutes: number
  taken: (kind: string) => number[]
}

/** What could be done with one machine tonight, with what is known of it at this moment. */
function offersOf(tx: Tx, { id, card }: Candidate, open: readonly Job[], here: readonly Here[], { at, minutes, taken }: Asked) {
  const running = tx
    .select({ what: waits.what, until: waits.until })
    .from(waits)
    .where(and(eq(waits.machineId, id), isNull(waits.endedAt)))
    .all()
  const ids = here.map(p => p.id)
  const own = open.filter(j => j.machineId === id)
  const elsewhere = own.find(j => j.state === 'in-hand' && !j.hands.some(h => ids.includes(h.id)))
  const machine = {
    ...card,
    harmRank: card.harm.rank,
    waits: running.map(w => ({ what: w.what, minutesLeft: Math.ceil((Date.parse(w.until) - Date.parse(at)) / millisecondsInMinute) })),
    handedOn: own.filter(j => j.state === 'handed-on').map(({ code, says, why, stage, skill }) => ({ code, says, why, stage, ...(skill ? { skill } : {}) })),
    knownTo: lastHandOn(tx, id, ids),
  }
  return eveningOffers(machine, taken, minutes)
    .filter(o => !own.some(j => j.state === 'in-hand' && j.code === o.move.code && j.says === o.move.says))
    .map(o => (elsewhere ? { ...o, waitsFor: `${elsewhere.hands.map(h => h.name).join(' and ')} has it in hand.` } : o))
}

/** Somebody who is here, with how long they stay and what they have in hand already. */
const handOf = ({ id, skills, role, until }: Here, open: readonly Job[], machines: readonly Candidate[], at: string): Hand => ({
  id,
  skills,
  coordinator: role === 'coordinator',
  minutes: minutesBetween(at, until),
  inHand: open
    .filter(j => j.state === 'in-hand' && j.hands.some(h => h.id === id))
    .map(j => ({ tag: tagOf(machines, j.machineId), minutes: Math.max(5, j.guessMinutes - minutesBetween(j.startedAt!, at)) })),
})

/**
 * Deals the evening out to whoever is here: what was dealt before and not begun is dealt anew, what is in hand stays there.
 * @throws NotNow while nobody is here
 */
export function dealEvening(work: Work): { jobs: number; left: number } {
  const { tx, at } = work
  const here = hereNow(tx, at)
  if (!here.length) throw new NotNow('Nobody is here yet. Say first who is, and until when.')
  const day = dayOf(tx, at)
  const until = here
    .map(p => p.until)
    .sort()
    .at(-1)!
  putBack(tx)
  const open = tx
    .select()
    .from(eveningJobs)
    .where(inArray(eveningJobs.state, ['in-hand', 'handed-on']))
    .orderBy(asc(eveningJobs.id))
    .all()
  const machines = candidates(tx, at, until)
  const asked = { at, minutes: minutesBetween(at, until), taken: takenBy(tx) }
  const offers = machines.flatMap(m => offersOf(tx, m, open, here, asked))
  const hands = here.map(p => handOf(p, open, machines, at))
  const { dealt, left } = dealTonight({ hands, jobs: offers })
  const byKey = new Map(offers.map(o => [o.key, o]))
  for (const one of dealt) keepDealt(tx, one, byKey.get(one.key)!, { day, at, here, open, machines })
  const rest = left.map(({ key, why }) => {
    const { tag, move } = byKey.get(key)!
    const { card } = machines.find(m => m.card.tag === tag)!
    return { tag, name: card.nickname || card.name, says: move.says, why }
  })
  const row = { dealtAt: at, left: rest }
  tx.insert(evenings)
    .values({ day, ...row })
    .onConflictDoUpdate({ target: evenings.day, set: row })
    .run()
  work.write('evening.dealt', { day, people: here.length, jobs: dealt.length })
  return { jobs: dealt.length, left: left.length }
}

interface Dealing {
  day: string
  at: string
  here: readonly Here[]
  open: readonly Job[]
  machines: readonly Candidate[]
}

/** Writes one dealt job down; one that somebody had begun before goes on as the same job, with its note. */
function keepDealt(tx: Tx, dealt: DealtJob, offer: EveningOffer, { day, at, here, open, machines }: Dealing): void {
  const machineId = machines.find(m => m.card.tag === offer.tag)!.id
  const { code, stage, says, why, skill } = offer.move
  const row = {
    day,
    hands: dealt.hands.map(id => ({ id, name: here.find(p => p.id === id)!.name })),
    because: dealt.because,
    guessMinutes: offer.minutes,
    basis: offer.basis,
    pair: dealt.hands.length > 1,
    startsAt: laterBy(at, dealt.atMinute),
    state: 'dealt' as const,
  }
  const before = open.find(j => j.state === 'handed-on' && j.machineId === machineId && j.code === code && j.says === says)
  if (before) tx.update(eveningJobs).set(row).where(eq(eveningJobs.id, before.id)).run()
  else
    tx.insert(eveningJobs)
      .values({ ...row, machineId, code, kind: kindOfJob(code), stage, says, why, skill })
      .run()
}

const tagOf = (machines: readonly { id: number; card: MachineSummary }[], id: number) => machines.find(m => m.id === id)?.card.tag ?? ''

/** Jobs that were dealt and not begun: gone, but for those that somebody had begun before and handed on. */
export function putBack(tx: Tx): void {
  tx.delete(eveningJobs)
    .where(and(eq(eveningJobs.state, 'dealt'), eq(eveningJobs.note, '')))
    .run()
  tx.update(eveningJobs).set({ state: 'handed-on', hands: [], startsAt: null }).where(eq(eveningJobs.state, 'dealt')).run()
}
