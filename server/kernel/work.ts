import type { Assessment } from '#core/planning/assess'
import type { Closing } from '#core/safety/closings'
import type { EntryData, EntryKind } from '#shared/chapters/index'
import type { LiveChange, Observed, Progress } from '#shared/kernel/answers'
import type { Db } from './db'
import type { MachineFile, MachineRow } from './file'
import type { Files } from './files'
import type { Tx } from './history/journal'

/** What many machines may rest on. */
export type Scope = { of: 'all' } | { of: 'model' | 'supply'; id: number }

export interface Person {
  id: number
  name: string
}
export interface Subject {
  table: string
  id: number
}

/** One command at work: its transaction, who asked, what time it is, and the pen for the history. */
export interface Work {
  db: Db
  tx: Tx
  /** What is kept of the machines that it has to do with. */
  files: Pick<Files, 'ofNow' | 'forget'>
  person: Person
  now: Date
  /** When it was said, as it is kept: ISO, UTC, with milliseconds. It is now, unless it had to wait before it could be sent. */
  at: string
  write: <K extends EntryKind>(kind: K, data: EntryData<K>, about?: { machine?: MachineRow; subject?: Subject; strikes?: number }) => number
  /** Says which machines rest on what was changed; they are settled in slices once this has been kept. */
  affects: (scope: Scope) => void
  /** Settles a machine now, within this transaction; those that were written about are settled at its end by themselves. */
  settle: (machineId: number) => void
  /** Refuses what would open a gate without the leave for it; nothing for the program's own work, and for what is chosen. */
  mayOpen?: (gone: readonly Closing[]) => void
  /** Says how far something that is worked off in slices has come; told with the change. */
  progress?: Progress
}

/** A command on one machine: the pen already knows which. */
export interface MachineWork extends Omit<Work, 'write'> {
  machine: MachineRow
  /** The same command's work, where another machine has to do with it too. */
  whole: Work
  write: <K extends EntryKind>(kind: K, data: EntryData<K>, about?: { subject?: Subject; strikes?: number }) => number
  /** All that is kept of it as it stood when the command came. */
  file: () => MachineFile
  /** What the core says of it as it stood when the command came, asked afresh. */
  assess: () => Assessment
}

export interface Bench {
  db: Db
  now: () => Date
  announce: (change: LiveChange) => void
  /** Wakes whoever settles machines in slices; nobody where there is none. */
  wake?: () => void
}

/** The id that a command brings along, and its name. */
export interface Told {
  id: string
  name: string
  /** A digest of what it asks; nothing where whoever sends it does not say. */
  asked?: string
  /** For how long it could not be sent. */
  waitedMs?: number
}
export interface CarriedOut<R> {
  result: R
  /** The one observation that it wrote; nothing where it wrote none, or several. */
  observed?: Observed
  /** Nothing where the command had been carried out before. */
  change: LiveChange | null
}
