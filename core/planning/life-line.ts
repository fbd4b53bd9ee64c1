import type { Stage } from '../kernel/stages'
import type { GateVerdict } from '../safety/gate-words'

/**
 * A machine's life as a line of time, for drawing: the years before it came on the first part of the line, the time since on the rest, each even in
 * itself, since forty years and four months are not seen on one scale. Places run from 0 to 1.
 */

/** What happened to it since it came. */
export interface LifeEvent {
  /** An instant, as ISO 8601 in UTC. */
  at: string
  what: 'gate' | 'stage' | 'start' | 'fault' | 'repair' | 'signed-off' | 'sign-off-ended' | 'life'
  /** What it came to: the gate's verdict, or the stage. */
  to?: GateVerdict | Stage
  says: string
}

export interface LifeLine {
  /** Where it came: to the left lie the years before. */
  cameAt: number
  /** When it was made, as far as its parts tell. */
  made: { from: number; to: number; says: string } | null
  /** What the gate said, without a gap from the day it came until now. */
  bands: { from: number; to: number; gate: GateVerdict }[]
  stages: { at: number; stage: Stage }[]
  /** What is worth a mark; those too near to be told apart share one. */
  marks: { at: number; what: LifeEvent['what']; says: string[] }[]
}

/** The share of the line that the years before take, where anything is known of them. */
const beforeShare = 0.22
/** Marks nearer than this, as a share of the line, would lie on each other. */
const apart = 0.03
const marked = ['start', 'fault', 'repair', 'signed-off', 'sign-off-ended', 'life'] as const satisfies readonly LifeEvent['what'][]

export interface LifeInput {
  /** Days between which it was made. */
  made: { notBefore: string; notAfter: string } | null
  bookedInAt: string
  now: string
  /** In any order; what lies before it came or after now is drawn at that end. */
  events: readonly LifeEvent[]
}

/** @returns the line; everything at its end where it came just now */
export function lifeLine({ made, bookedInAt, now, events }: LifeInput): LifeLine {
  const [came, end] = [Date.parse(bookedInAt), Math.max(Date.parse(now), Date.parse(bookedInAt) + 1)]
  const madeMs = made && Date.parse(made.notBefore) < came ? { from: Date.parse(made.notBefore), to: Math.min(Date.parse(made.notAfter), came) } : null
  const cameAt = madeMs ? beforeShare : 0
  const since = (at: string) => cameAt + (1 - cameAt) * Math.min(1, Math.max(0, (Date.parse(at) - came) / (end - came)))
  const before = (ms: number) => (madeMs ? (cameAt * (ms - madeMs.from)) / (came - madeMs.from) : 0)
  const inOrder = [...events].sort((a, b) => a.at.localeCompare(b.at))

  const bands: LifeLine['bands'] = [{ from: cameAt, to: 1, gate: 'not-yet-assessed' }]
  for (const event of inOrder.filter(e => e.what === 'gate')) {
    const from = since(event.at)
    bands.at(-1)!.to = from
    bands.push({ from, to: 1, gate: event.to as GateVerdict })
  }
  const marks: LifeLine['marks'] = []
  for (const { at, what, says } of inOrder.filter(e => (marked as readonly string[]).includes(e.what))) {
    const place = since(at)
    const near = marks.findLast(m => place - m.at < apart)
    // What ends or signs a machine is not hidden under a start.
    if (near && near.what === what) near.says.push(says)
    else marks.push({ at: near ? Math.min(1, near.at + apart) : place, what, says: [says] })
  }
  return {
    cameAt,
    made: madeMs && made && { from: before(madeMs.from), to: before(madeMs.to), says: saidYears(made) },
    bands: bands.filter(b => b.to > b.from),
    stages: inOrder.filter(e => e.what === 'stage').map(e => ({ at: since(e.at), stage: e.to as Stage })),
    marks,
  }
}

const saidYears = ({ notBefore, notAfter }: { notBefore: string; notAfter: string }) => {
  const [from, to] = [notBefore.slice(0, 4), notAfter.slice(0, 4)]
  return from === to ? from : `${from} to ${to}`
}
