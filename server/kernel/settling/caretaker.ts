import { millisecondsInDay, millisecondsInHour } from 'date-fns/constants'
import { and, asc, eq, isNotNull, lt, lte, sql } from 'drizzle-orm'
import { assembled } from '../assembled'
import { noteDue, noteHistory } from '../history/noting'
import { type SettlingRow, firstSettling, nextOf } from './settlings'
import { commandsDone, machineSummaries, machines, settlings } from '../trunk'
import { carryOut } from '../carry-out'
import type { Bench, Person } from '../work'

/** Entries of what time alone has changed are in the program's own name. */
const program: Person = { id: 0, name: 'Jolly Bench' }
/** So long a slice may hold the request loop; then requests have their turn. */
export const sliceMs = 8
/** How many machines are looked up for one slice. */
const mostAtOnce = 50
/** So long a repeated command is recognised. */
const rememberedMs = 7 * millisecondsInDay

/** Settles machines whose due instant has come. @returns whether there were any */
function settleDue(bench: Bench): boolean {
  const now = bench.now().toISOString()
  const due = bench.db
    .select({ id: machineSummaries.machineId })
    .from(machineSummaries)
    .where(and(isNotNull(machineSummaries.dueAt), lte(machineSummaries.dueAt, now)))
    .orderBy(asc(machineSummaries.dueAt))
    .limit(mostAtOnce)
    .all()
  if (!due.length) return false
  carryOut(bench, program, work => {
    const until = performance.now() + sliceMs
    for (const { id } of due) {
      work.settle(id)
      if (performance.now() > until) break
    }
  })
  return true
}

/** Settles the next machines of a scope, in the name of whoever changed what they rest on. */
function settleScope(bench: Bench, row: SettlingRow): void {
  carryOut(bench, { id: row.personId, name: row.by }, work => {
    const until = performance.now() + sliceMs
    const next = nextOf(work.tx, row, mostAtOnce)
    let seen = 0
    for (const { id } of next) {
      work.settle(id)
      seen++
      if (performance.now() > until) break
    }
    const done = row.done + seen
    const over = !next.length || (seen === next.length && next.length < mostAtOnce)
    if (over) work.tx.delete(settlings).where(eq(settlings.id, row.id)).run()
    else
      work.tx
        .update(settlings)
        .set({ cursor: next[seen - 1]!.id, done })
        .where(eq(settlings.id, row.id))
        .run()
    work.progress = { uid: row.uid, what: 'settling', done: over ? row.total : Math.min(done, row.total), of: row.total, trouble: '' }
  })
}

/** One slice of whatever waits. @returns whether more may be waiting */
function workSlice(bench: Bench): boolean {
  const sliced = assembled().chapters.map(c => c.slice?.(bench) ?? false)
  const scope = firstSettling(bench.db)
  if (scope) settleScope(bench, scope)
  const due = settleDue(bench)
  return sliced.includes(true) || Boolean(scope) || due
}

/** Works everything off at once, for programs that nobody waits for. */
export function workOff(bench: Bench): void {
  while (workSlice(bench)) {
    /* slice by slice */
  }
}

/**
 * Settles machines that were booked in before there were summaries: without one they would be in no list.
 * @returns how many
 */
export function settleMissing(bench: Bench): number {
  const missing = bench.db
    .select({ id: machines.id })
    .from(machines)
    .where(sql`${machines.id} NOT IN (SELECT ${machineSummaries.machineId} FROM ${machineSummaries})`)
    .all()
  for (let from = 0; from < missing.length; from += mostAtOnce) {
    carryOut(bench, program, work => missing.slice(from, from + mostAtOnce).forEach(({ id }) => work.settle(id)))
  }
  return missing.length
}

/** Forgets the ids of commands that nobody repeats any more. */
const forget = (bench: Bench) =>
  bench.db
    .delete(commandsDone)
    .where(lt(commandsDone.at, new Date(bench.now().getTime() - rememberedMs).toISOString()))
    .run()

/** The next instant at which time alone changes something. */
const nextDue = (bench: Bench) =>
  bench.db
    .select({ at: machineSummaries.dueAt })
    .from(machineSummaries)
    .where(isNotNull(machineSummaries.dueAt))
    .orderBy(asc(machineSummaries.dueAt))
    .limit(1)
    .get()?.at

const longestSleepMs = millisecondsInHour
/** Between two slices requests have their turn: as long again, for one request takes several turns of the loop. */
const pauseMs = 8

/** Whoever sees to what changes by time alone, and to what is worked off in slices: sleeps until the next due instant, or until it is woken. */
export class Caretaker {
  private timer: ReturnType<typeof setTimeout> | undefined
  private stopped = false

  constructor(private readonly bench: Bench) {}

  wake(): void {
    this.sleep(0)
  }

  private sleep(ms: number): void {
    if (this.stopped) return
    clearTimeout(this.timer)
    this.timer = setTimeout(() => this.turn(), ms)
  }

  private turn(): void {
    try {
      if (workSlice(this.bench)) return this.sleep(pauseMs)
      if (noteDue(this.bench) && carryOut(this.bench, program, noteHistory)) return this.sleep(pauseMs)
      forget(this.bench)
      const at = nextDue(this.bench)
      const left = at === undefined || at === null ? longestSleepMs : Date.parse(at) - this.bench.now().getTime()
      this.sleep(Math.min(longestSleepMs, Math.max(left + 1, 10)))
    } catch (error) {
      console.error('The caretaker could not go on:', error)
      this.sleep(10_000)
    }
  }

  stop(): void {
    this.stopped = true
    clearTimeout(this.timer)
  }
}
