import type { LifeEvent } from '#core/planning/life-line'
import type { MachineSummary } from './machine'

/** A page of a list, and how many there are in all. */
export interface Page<T> {
  rows: T[]
  total: number
  /** Whether there are more than `total` says, because counting was not worth it. */
  atLeast?: boolean
}

/** One transaction, as pages that are open hear of it. */
export interface LiveChange {
  /** The command that made it; a page knows its own. */
  id: string
  at: string
  by: string
  /** Kinds of the entries it wrote. */
  kinds: string[]
  /** Machines whose sheet may have changed, by tag. */
  tags: string[]
  /** Whether something of the collection as a whole has changed. */
  collection: boolean
  /** Their summaries, as lists show them; those beyond the first hundred are fetched. */
  machines: MachineSummary[]
  /** How far the machines of a job lot, or those that a change of the collection affects, have been seen to. */
  progress?: Progress
}

/** What a machine's line of time is drawn from. */
export interface LifeView {
  bookedInAt: string
  /** Days between which it was made, as far as its parts tell. */
  made: { notBefore: string; notAfter: string } | null
  events: LifeEvent[]
}

/** So many summaries go with one change; whoever shows more fetches them. */
export const mostCards = 100

export interface Progress {
  /** What is worked off, by its own id. */
  uid: string
  what: 'lot' | 'settling'
  done: number
  of: number
  /** Why it stopped before its end; empty while it goes on and once it is done. */
  trouble: string
}

/** What a command that was carried out is answered with. */
/** One observation that a command has just written; a correction can take it back. */
export interface Observed {
  entryId: number
  says: string
}

export interface CommandAnswer {
  done: string
  result: unknown
  /** What it wrote, where that is a single observation: whoever sent it may think better of it at once. */
  observed?: Observed
  /** The same as every page hears, so that the one that asked need not wait for it. */
  change: LiveChange | null
}

/** How a refused request is answered. */
export interface ErrorAnswer {
  error: {
    code: string
    field?: string
    message: string
    fields?: Record<string, string>
    because?: string[]
    /** What a letter to the owner would ask, where they have to be asked first. */
    question?: string
    current?: Record<string, unknown>
    changedBy?: string
    changedAt?: string
  }
}

/** The headers of a command: its id, and for how long it could not be sent, in ms. */
export const commandIdHeader = 'command-id'
export const commandWaitedHeader = 'command-waited'
/** The header that carries the time of the server. */
export const serverTimeHeader = 'server-time'
