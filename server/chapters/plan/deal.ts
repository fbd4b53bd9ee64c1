import { and, asc, desc, eq, gt, inArray, isNull, lte, or, sql } from 'drizzle-orm'
import { type EveningOffer, eveningOffers } from '#core/planning/evening-jobs'
import { kindOfJob } from '#core/planning/job-minutes'
import { type Hand, dealTonight } from '#core/planning/tonight'
import type { MachineSummary } from '#shared/kernel/machine'
import type { Tx } from '../../kernel/journal'
import { NotNow } from '../../kernel/refusals'
import { journal, machineSummaries } from '../../kernel/trunk'
import type { Work } from '../../kernel/work'
import { waits } from '../waits/index'
import { dayOf, hereNow } from './present'
import { type evenings, eveningJobs, evenings as eveningsTable } from './schema'

const minuteMs = 60_000
/** So many machines are looked at for one evening: what is most pressing of the bench, and of the whole store what gets worse. */
const mostMachines = 60
/** So many finished jobs are enough to know how long such jobs take. */
const mostTimed = 400

const minutesBetween = (from: string, to: string) => Math.max(0, Math.round((Date.parse(to) - Date.parse(from)) / minuteMs))
const laterBy = (at: string, minutes: number) => new Date(Date.parse(at) + minutes * minuteMs).toISOString()

/** Finished jobs, newest first, with what was guessed and what they took. */
export const timedJobs = (tx: Tx) =>
  tx
    .select({ kind: eveningJobs.kind, guessMinutes: eveningJobs.guessMinutes, takenMinutes: eveningJobs.takenMinutes })
    .from(eveningJobs)
    .where(eq(eveningJobs.state, 'done'))
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
  const nameOf = ({ card }: (typeof machines)[number]) => card.nickname || card.name
  const taken = takenBy(tx)
  const ids = here.map(p => p.id)
  const offers = machines.flatMap(({ id, card }) => {
    const running = tx
      .select({ what: waits.what, until: waits.until })
      .from(waits)
      .where(and(eq(waits.machineId, id), isNull(waits.endedAt)))
      .all()
    const own = open.filter(j => j.machineId === id)
    const elsewhere = own.find(j => j.state === 'in-hand' && !j.hands.some(h => ids.includes(h.id)))
    return eveningOffers(
      {
        ...card,
        harmRank: card.harm.rank,
        waits: running.map(w => ({ what: w.what, minutesLeft: Math.ceil((Date.parse(w.until) - Date.parse(at)) / minuteMs) })),
        handedOn: own.filter(j => j.state === 'handed-on').map(j => j.code),
        knownTo: lastHandOn(tx, id, ids),
      },
      taken,
      minutesBetween(at, until),
    )
      .filter(o => !own.some(j => j.state === 'in-hand' && j.code === o.move.code && j.says === o.move.says))
      .map(o => (elsewhere ? { ...o, waitsFor: `${elsewhere.hands.map(h => h.name).join(' and ')} has it in hand.` } : o))
  })
  // What was handed on and is nobody's next move any more, such as a job of one's own, is dealt all the same.
  const loose = open.filter(j => j.state === 'handed-on' && !offers.some(o => o.tag === tagOf(machines, j.machineId) && o.move.code === j.code))
  const all = [...loose.flatMap(j => looseOffer(machines, j)), ...offers]
  const hands: Hand[] = here.map(p => ({
    id: p.id,
    skills: p.skills,
    coordinator: p.role === 'coordinator',
    minutes: minutesBetween(at, p.until),
    inHand: open
      .filter(j => j.state === 'in-hand' && j.hands.some(h => h.id === p.id))
      .map(j => ({ tag: tagOf(machines, j.machineId), minutes: Math.max(5, j.guessMinutes - minutesBetween(j.startedAt!, at)) })),
  }))
  const { dealt, left } = dealTonight({ hands, jobs: all })
  const byKey = new Map(all.map(o => [o.key, o]))
  for (const one of dealt) {
    const offer = byKey.get(one.key)!
    const machineId = machines.find(m => m.card.tag === offer.tag)!.id
    const row = {
      day,
      hands: one.hands.map(id => ({ id, name: here.find(p => p.id === id)!.name })),
      because: one.because,
      guessMinutes: offer.minutes,
      basis: offer.basis,
      pair: one.hands.length > 1,
      startsAt: laterBy(at, one.atMinute),
      state: 'dealt' as const,
    }
    const before = open.find(j => j.state === 'handed-on' && j.machineId === machineId && j.code === offer.move.code && j.says === offer.move.says)
    const { code, stage, says, why, skill } = offer.move
    if (before) tx.update(eveningJobs).set(row).where(eq(eveningJobs.id, before.id)).run()
    else
      tx.insert(eveningJobs)
        .values({ ...row, machineId, code, kind: kindOfJob(code), stage, says, why, skill })
        .run()
  }
  const rest: (typeof evenings.$inferSelect)['left'] = left.map(({ key, why }) => {
    const { tag, move } = byKey.get(key)!
    return { tag, name: nameOf(machines.find(m => m.card.tag === tag)!), says: move.says, why }
  })
  const row = { dealtAt: at, left: rest }
  tx.insert(eveningsTable)
    .values({ day, ...row })
    .onConflictDoUpdate({ target: eveningsTable.day, set: row })
    .run()
  work.write('evening.dealt', { day, people: here.length, jobs: dealt.length })
  return { jobs: dealt.length, left: left.length }
}

const tagOf = (machines: readonly { id: number; card: MachineSummary }[], id: number) => machines.find(m => m.id === id)?.card.tag ?? ''

/** Jobs that were dealt and not begun: gone, but for those that somebody had begun before and handed on. */
export function putBack(tx: Tx): void {
  tx.delete(eveningJobs)
    .where(and(eq(eveningJobs.state, 'dealt'), eq(eveningJobs.note, '')))
    .run()
  tx.update(eveningJobs).set({ state: 'handed-on', hands: [], startsAt: null }).where(eq(eveningJobs.state, 'dealt')).run()
}

function looseOffer(machines: readonly { id: number; card: MachineSummary }[], job: typeof eveningJobs.$inferSelect): EveningOffer[] {
  const machine = machines.find(m => m.id === job.machineId)
  if (!machine) return []
  const { tag, place, harm } = machine.card
  return [
    {
      key: `${tag}/${job.code}/${job.says}`,
      tag,
      place,
      band: 'open-fault',
      harmRank: harm.rank,
      minutes: Math.max(10, job.guessMinutes - job.takenMinutes),
      basis: 'what was left of its guess',
      handedOn: true,
      move: { band: 'open-fault', code: job.code, says: job.says, why: job.why, who: 'a bench volunteer', stage: job.stage, skill: job.skill ?? undefined },
      ...(job.skill ? { skill: job.skill } : {}),
    },
  ]
}
