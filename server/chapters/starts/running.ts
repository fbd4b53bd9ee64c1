import type { RunDone } from '#core/power/noticed'
import { type StartEvent, type StartRun, beginRun, runDone, stepStart } from '#core/power/start-ritual'
import type { SampleKind } from '#core/power/start-watch'
import type { StartFrame } from '#shared/chapters/starts/index'
import type { starts } from './schema'

/**
 * Starts that are running just now. They live here and not in the database: readings come several times a second,
 * and what counts of them is kept when the start ends. A start that the program did not outlive is ended as broken off.
 */
interface Running {
  row: typeof starts.$inferSelect
  tag: string
  run: StartRun
  latest: { kind: SampleKind; value: number | null } | null
  /** Samples that were shown already. */
  shown: number
}
const running = new Map<number, Running>()
const watchers = new Map<string, Set<(frame: StartFrame) => void>>()

export const runningOn = (tag: string) => [...running.values()].find(r => r.tag === tag)
export const runningById = (startId: number) => running.get(startId)
export const allRunning = () => [...running.values()]

export function open(row: Running['row'], tag: string): Running {
  const there = running.get(row.id)
  if (there) return there
  const opened = { row, tag, run: beginRun(row.plan), latest: null, shown: 0 }
  running.set(row.id, opened)
  return opened
}

/** Something happened at the machine, or the clock moved on; everybody who watches sees it. @throws InputError */
export function happen(startId: number, event: StartEvent, nowMs: number): void {
  const one = running.get(startId)
  if (!one) return
  const before = one.run
  one.run = stepStart(before, event, nowMs)
  if (event.do === 'sample') one.latest = { kind: event.kind, value: event.value }
  if (event.do === 'probe') one.latest = null
  if (one.run.samples.length < one.shown) one.shown = one.run.samples.length
  tell(one, frameOf(one, nowMs))
  one.shown = one.run.samples.length
}

/** The start is over; pages that watch it are told once more. */
export function close(startId: number, nowMs: number): void {
  const one = running.get(startId)
  if (!one) return
  running.delete(startId)
  tell(one, { ...frameOf(one, nowMs), ended: true })
}

const tell = ({ tag }: Running, frame: StartFrame) => watchers.get(tag)?.forEach(watch => watch(frame))

/** Watches the starts of one machine: the whole picture now, then whatever changes. @returns how to stop */
export function watch(tag: string, told: (frame: StartFrame) => void, nowMs: number): () => void {
  const others = watchers.get(tag) ?? new Set()
  watchers.set(tag, others.add(told))
  const one = runningOn(tag)
  if (one) told({ ...frameOf(one, nowMs), fresh: one.run.samples, first: true })
  return () => {
    others.delete(told)
    if (!others.size) watchers.delete(tag)
  }
}

/** What was kept of each rail over all runs of a start, the newest counting. */
const keptOf = ({ before, kept }: StartRun): Record<string, number> => Object.assign({}, ...before.map(b => b.kept), kept) as Record<string, number>

function frameOf({ row, tag, run, latest, shown }: Running, nowMs: number): StartFrame {
  const { plan, phase, rail, meter, switchAtMs, offAtMs, judgement, called, samples } = run
  return {
    tag,
    startId: row.id,
    plan,
    atProbe: row.atProbe,
    atSwitch: row.atSwitch,
    phase,
    rail,
    meter,
    nowMs,
    switchAtMs,
    offAtMs,
    latest,
    judgement,
    called,
    noticed: run.noticed,
    before: run.before.map(({ onSeconds, called, noticed }) => ({ onSeconds, called, noticed })),
    // A value that was kept stays on its point in the next run.
    kept: keptOf(run),
    fresh: samples.slice(shown),
    count: samples.length,
    first: false,
    ended: false,
  }
}

/** What a start leaves behind: its runs, oldest first, each with the readings that count; where it stands; and whether its last run read every rail. */
export function harvest(startId: number, nowMs: number): { runs: (RunDone & { read: Record<string, number> })[]; phase: StartRun['phase']; all: boolean } {
  const one = running.get(startId)
  if (!one) return { runs: [], phase: 'ready', all: false }
  const { phase, plan, before, switchAtMs } = one.run
  const kept = keptOf(one.run)
  const runs = [...before, ...(switchAtMs === null ? [] : [runDone(one.run, nowMs)])]
  return { runs: runs.map(run => ({ ...run, read: readingsOf(run) })), phase, all: plan.points.every(p => kept[p.rail] !== undefined) }
}

/** A rail that called it off by its own voltage may never have stood still: its last reading until then is what the gate has to hear. */
function readingsOf({ kept, called, calledAtSeconds, samples }: RunDone): Record<string, number> {
  const caller = called?.heard === 'elsewhere' ? samples.findLast(s => s.kind === 'dc-volts' && s.value !== null && s.atSeconds <= calledAtSeconds!) : undefined
  return caller ? { ...kept, [caller.rail!]: caller.value! } : kept
}
