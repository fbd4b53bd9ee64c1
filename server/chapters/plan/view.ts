import { and, eq, gte, inArray, lt, ne, or } from 'drizzle-orm'
import { eveningSpan } from '#core/planning/evening-day'
import { type EveningTold, eveningStory } from '#core/planning/evening-story'
import { findsSomething, guessAgainstOutcome } from '#core/planning/job-minutes'
import type { GateVerdict } from '#core/safety/gate-words'
import type { EveningJobView, EveningStory, EveningView } from '#shared/chapters/plan/index'
import type { MachineSummary, SheetHead } from '#shared/kernel/machine'
import type { MachineFile } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { journal, machineSummaries, machines } from '../../kernel/trunk'
import { practiceOf } from '../practice/index'
import { timedJobs } from './deal'
import { cameOn, dayOf } from './present'
import { eveningJobs, eveningLetters, evenings } from './schema'

/** The evening that it is now: who is here, what each does, and what was left over. */
export function eveningView(tx: Tx, at: string): EveningView {
  const day = dayOf(tx, at)
  const came = cameOn(tx, day)
  const dealt = tx.select().from(evenings).where(eq(evenings.day, day)).get()
  const rows = tx
    .select({ job: eveningJobs, card: machineSummaries.card })
    .from(eveningJobs)
    .innerJoin(machineSummaries, eq(machineSummaries.machineId, eveningJobs.machineId))
    .where(or(and(eq(eveningJobs.day, day), ne(eveningJobs.state, 'handed-on')), inArray(eveningJobs.state, ['in-hand', 'handed-on'])))
    .all()
    // What was dealt on an evening that is over, and not begun, is nobody's any more.
    .filter(({ job }) => job.state !== 'dealt' || job.day === day)
  const since = dealt?.dealtAt ?? ''
  const noted = rows.filter(({ job }) => job.note && job.state !== 'done').map(({ job }) => job)
  return {
    day,
    people: came.map(p => ({ id: p.id, name: p.name, until: p.until, gone: p.leftAt !== null || p.until <= at })),
    dealtAt: dealt?.dealtAt ?? null,
    changedSince: dealt ? came.filter(p => p.since > since || (p.leftAt ?? '') > since).map(p => p.name) : [],
    jobs: rows
      .map(({ job, card }) => ({
        ...jobView(job, JSON.parse(card) as MachineSummary),
        notesBeside: noted.filter(n => n.machineId === job.machineId && n.id !== job.id).map(({ says, note, notedBy }) => ({ says, note, by: notedBy })),
      }))
      .sort(inOrder),
    left: dealt?.left ?? [],
    ratio: guessAgainstOutcome(timedJobs(tx))?.says ?? '',
  }
}

const states = ['in-hand', 'dealt', 'handed-on', 'done']
const inOrder = (a: EveningJobView, b: EveningJobView) =>
  states.indexOf(a.state) - states.indexOf(b.state) || (a.startsAt ?? a.endedAt ?? '').localeCompare(b.startsAt ?? b.endedAt ?? '') || a.id - b.id

function jobView(job: typeof eveningJobs.$inferSelect, { tag, name, nickname, place, gate, overruled }: MachineSummary): Omit<EveningJobView, 'notesBeside'> {
  const { id, stage, code, says, why, because, hands, pair, guessMinutes, basis, startsAt, state, startedAt, endedAt, takenMinutes, note } = job
  const own = { id, stage, code, says, why, because, hands, pair, guessMinutes, basis, startsAt, state, startedAt, endedAt, takenMinutes, note }
  return { ...own, finds: findsSomething(code), tag, name, nickname, place, gate, overruled }
}

/** What is in hand on a machine, and what was handed on; for its head and its summary. */
export const inHandOn = ({ jobs }: MachineFile): SheetHead['inHand'] =>
  jobs
    .filter(j => j.state === 'in-hand')
    .map(j => ({ jobId: j.id, says: j.says, finds: findsSomething(j.code), by: j.hands.map(h => h.name).join(' and '), since: j.startedAt ?? '' }))
export const handedOnOf = ({ jobs }: MachineFile): SheetHead['handedOn'] =>
  jobs.filter(j => j.note && j.state !== 'in-hand').map(j => ({ jobId: j.id, code: j.code, says: j.says, note: j.note, by: j.notedBy, at: j.notedAt ?? '' }))

/** What was written between two instants. */
function written(tx: Tx, from: string, to: string) {
  return tx
    .select({ kind: journal.kind, by: journal.by, data: journal.data, nickname: machines.nickname, name: machines.name, tag: machines.tag })
    .from(journal)
    .leftJoin(machines, eq(machines.id, journal.machineId))
    .where(and(gte(journal.at, from), lt(journal.at, to)))
    .orderBy(journal.id)
    .all()
}

/** The story of a day's evening, from its history, and the letters that were written of it. */
export function eveningStoryOf(tx: Tx, day: string): EveningStory {
  const { from, to } = eveningSpan(day, practiceOf(tx).zone)
  const entries = written(tx, from, to).map(e => ({ ...e, data: JSON.parse(e.data) as Record<string, unknown>, machine: e.nickname || e.name || '' }))
  const of = (kind: string) => entries.filter(e => e.kind === kind)
  /** Done, and not taken back since. */
  const stillDone = (one: (typeof entries)[number]) =>
    !entries.slice(entries.indexOf(one)).some(e => e.kind === 'job.reopened' && e.tag === one.tag && e.data.says === one.data.says)
  const faults = (kind: string, keep: (data: Record<string, unknown>) => boolean = () => true) =>
    of(kind)
      .filter(e => keep(e.data))
      .map(e => ({ machine: e.machine, symptom: String(e.data.symptom) }))
  const told: EveningTold = {
    people: [...new Set(cameOn(tx, day).map(p => p.name))],
    bookedIn: of('machine.booked-in').map(e => e.machine),
    done: of('job.done')
      .filter(stillDone)
      .map(e => ({ who: (e.data.hands as string[]).join(' and '), says: String(e.data.says), machine: e.machine })),
    handedOn: of('job.handed-on').map(e => ({ says: String(e.data.says), machine: e.machine, note: String(e.data.note) })),
    gates: gatesOf(of('gate.changed')),
    faultsReported: faults('fault.reported'),
    faultsClosed: faults('fault.repaired', d => d.closes === true),
    signedOff: of('machine.signed-off').map(e => e.machine),
    readings: of('reading.taken').length + of('off-state.measured').length + of('temperature.taken').length,
    photographs: of('photograph.added').length,
    corrections: of('entry.struck').length,
    machines: [...new Set(entries.flatMap(e => (e.tag ? [e.tag] : [])))],
  }
  const letters = tx.select().from(eveningLetters).where(eq(eveningLetters.day, day)).orderBy(eveningLetters.id).all()
  return { day, lines: eveningStory(told), letters: letters.map(l => ({ uid: l.uid, at: l.at, by: l.byWhom, to: l.to, sent: l.sentAt !== null })) }
}

/** Of each machine the first verdict and the last; one that came back to where it was has not changed. */
function gatesOf(changes: { machine: string; data: Record<string, unknown> }[]): EveningTold['gates'] {
  const byMachine = new Map<string, { from: GateVerdict; to: GateVerdict }>()
  for (const { machine, data } of changes) {
    const before = byMachine.get(machine)
    byMachine.set(machine, { from: before?.from ?? (data.from as GateVerdict), to: data.to as GateVerdict })
  }
  return [...byMachine].filter(([, { from, to }]) => from !== to).map(([machine, change]) => ({ machine, ...change }))
}
