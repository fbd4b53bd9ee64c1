import type { Relations, SQL } from 'drizzle-orm'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import type { z } from 'zod'
import type { MachineRecord } from '#core/kernel/machine'
import type { Skill } from '#core/kernel/skills'
import type { Consequences } from '#core/planning/consequences'
import type { PrivateWord } from '#core/sharing/private-words'
import type {
  ChapterName,
  CollectionCommandName,
  CommandInput,
  CommandName,
  EntryData,
  EntryKind,
  MachineCommandName,
  ViewOf,
  chapters,
} from '#shared/chapters/index'
import type { MachineSummary, SheetHead } from '#shared/kernel/machine'
import type { MachineFile, ViewInput } from './file'
import type { Tx } from './history/journal'
import type { Loaded } from './rows'
import type { Bench, MachineWork, Work } from './work'

/** Passwords arrive hashed: hashing takes its time and must not hold a transaction open. */
export type Hashed<I> = I extends { password: string } ? Omit<I, 'password' | 'oldPassword'> & { passwordHash: string } : I
export type CollectionInput<N extends CollectionCommandName> = Hashed<CommandInput<N>>

/** What of a machine is searched, by the weight it has: its names before its faults and claims, these before notes. */
export interface Searched {
  names?: string[]
  claims?: string[]
  notes?: string[]
  faults?: string[]
}

/** A table with one row that a machine rests on, beside its own rows: its model, its supply, the practice. */
export interface RestsOn {
  table: SQLiteTable & { id: SQLiteColumn }
  /** The row's id; nothing where it rests on none. */
  of: (file: MachineFile) => number | null
}

/** What of a sheet's head, of a summary and of its columns the kernel does not know by itself: some chapter has to tell each. */
export const headParts = ['portrait', 'waits', 'inHand', 'handedOn', 'questions'] as const
export const cardParts = ['portrait', 'nextWaitAt', 'waits', 'inHand', 'openFaults'] as const
export const columnParts = ['batteryLeaked'] as const
export type HeadPart = (typeof headParts)[number]
export type CardPart = (typeof cardParts)[number]
export interface ColumnsTold {
  batteryLeaked: boolean
}

/** Whatever of a chapter does not follow from its contract. */
interface Beside<F> {
  /** Its tables, and how they hang together beyond their machine. */
  schema?: Record<string, unknown>
  relations?: Relations[]
  /** What is loaded with a machine, and what it rests on. */
  rows?: Record<string, Loaded>
  rests?: Record<string, RestsOn>
  /** What it tells the core. */
  facts?: (file: MachineFile) => F
  /** What stands in the head of every sheet, and in every summary. */
  head?: { [P in HeadPart]?: (input: ViewInput) => SheetHead[P] }
  card?: { [P in CardPart]?: (file: MachineFile) => MachineSummary[P] }
  columns?: { [P in keyof ColumnsTold]?: (file: MachineFile) => ColumnsTold[P] }
  search?: (file: MachineFile) => Searched
  /** Is asked before any command on a machine, and refuses what may not be. */
  before?: (work: MachineWork, name: MachineCommandName, input: object) => void
  /** Refuses whoever has not the leave that a step takes; one chapter knows. */
  leave?: (work: Pick<Work, 'tx' | 'person'>, skill: Skill | undefined, step: string) => void
  /** What follows when an entry of some kind is written, by whatever chapter. */
  hears?: { [K in EntryKind]?: (on: MachineWork, data: EntryData<K>) => void }
  /** What of its own was paid for a machine, in the currency of the collection, beside what was noted as spent on it. */
  costs?: (tx: Tx, machineId: number) => number
  /** What follows from what a settling found. */
  reacts?: (on: MachineWork, consequences: Consequences) => void
  /** Which machines rest on one of its rows, as a condition on `machines`, by the name of the scope. */
  scopes?: { [S in 'model' | 'supply']?: (id: number) => SQL }
  /** Commands whose input is prepared in a thread, however small the request. */
  preparations?: { [N in CommandName]?: (input: CommandInput<N>) => unknown }
  /** Works off the next slice of what waits. @returns whether there was any */
  slice?: (bench: Bench) => boolean
  /** Names that it keeps and that are nobody's outside. */
  privateWords?: (file: MachineFile) => PrivateWord[]
  /** Tables of observations that a correction can take back, by the name that the history knows them under. */
  strikeable?: Record<string, SQLiteTable & { id: SQLiteColumn; struckBy: SQLiteColumn }>
}

type Contract<N extends ChapterName> = (typeof chapters)[N]
type Input<C> = C extends { input: infer S extends z.ZodType } ? z.output<S> : never
type OnMachine<N extends ChapterName> = { [K in keyof Contract<N>['onMachine']]: (work: MachineWork, input: Input<Contract<N>['onMachine'][K]>) => unknown }
type OnCollection<N extends ChapterName> = {
  [K in keyof Contract<N>['onCollection']]: (work: Work, input: Hashed<Input<Contract<N>['onCollection'][K]>>) => unknown
}
/** Asked for where the contract says that there is something of it, and nowhere else. */
type Where<Something, P> = [keyof Something] extends [never] ? unknown : P

/**
 * A chapter on the server, wholly declared: every command of its contract carried out, its view where the contract shows one, and
 * whatever it has to say besides. It stands in the same few files: `schema` its tables, `rows` what is loaded with a machine,
 * `carry-out` its commands, `facts` what it tells the core, `view` what the sheet shows, `search` what of it is found.
 */
export type ServerChapter<N extends ChapterName = ChapterName, F = Partial<MachineRecord>> = Beside<F> & { name: N } & Where<
    Contract<N>['onMachine'],
    { onMachine: OnMachine<N> }
  > &
  Where<Contract<N>['onCollection'], { onCollection: OnCollection<N> }> &
  Where<Contract<N>['view']['shape'], { view: (input: ViewInput) => ViewOf<N> }>

/** Declares one; what it tells the core stays in its type, so that the list of chapters can be held against what the core asks. */
export const serverChapter = <const N extends ChapterName, F extends Partial<MachineRecord> = object>(declared: ServerChapter<N, F>): ServerChapter<N, F> =>
  declared

/** A chapter as the kernel sees it: any of them. */
export interface AnyChapter extends Beside<Partial<MachineRecord>> {
  name: ChapterName
  onMachine?: Record<string, (work: MachineWork, input: never) => unknown>
  onCollection?: Record<string, (work: Work, input: never) => unknown>
  view?: (input: ViewInput) => object
}
