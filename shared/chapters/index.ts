import { z } from 'zod'
import type { Both } from '#core/kernel/both'
import { InputError } from '#core/kernel/input-error'
import type { WorkAsked } from '#core/stewardship/consent'
import type { PrivateWord } from '#core/sharing/private-words'
import type { Command, Entry, Written } from '../kernel/contract'
import { SheetHead } from '../kernel/machine'
import type { Role } from '../kernel/roles'
import { unknownKey } from '../kernel/unknown-key'
import { arrive } from './arrive/index'
import { cleaning } from './cleaning/index'
import { continuity } from './continuity/index'
import { custody } from './custody/index'
import { faults } from './faults/index'
import { home } from './home/index'
import { inventory } from './inventory/index'
import { lists } from './lists/index'
import { look } from './look/index'
import { meter } from './meter/index'
import { models } from './models/index'
import { opening } from './opening/index'
import { parts } from './parts/index'
import { recap } from './recap/index'
import { people } from './people/index'
import { plan } from './plan/index'
import { power } from './power/index'
import { practice } from './practice/index'
import { printing } from './printing/index'
import { proving } from './proving/index'
import { record } from './record/index'
import { setup } from './setup/index'
import { sharing } from './sharing/index'
import { sought } from './sought/index'
import { starts } from './starts/index'
import { stewardship } from './stewardship/index'
import { supplies } from './supplies/index'
import { waits } from './waits/index'
import { workshop } from './workshop/index'

/** Every chapter, in the order of the work. All names and types below follow from this list. */
export const chapters = {
  arrive,
  stewardship,
  look,
  inventory,
  setup,
  custody,
  opening,
  power,
  starts,
  waits,
  cleaning,
  workshop,
  faults,
  continuity,
  parts,
  recap,
  sought,
  proving,
  home,
  sharing,
  printing,
  plan,
  record,
  practice,
  meter,
  people,
  models,
  supplies,
  lists,
} as const
export type ChapterName = keyof typeof chapters
export const chapterNames = Object.keys(chapters) as ChapterName[]

type Chapters = (typeof chapters)[ChapterName]
type All<K extends 'onMachine' | 'onCollection' | 'entries'> = Flat<Both<Chapters[K]>>
type Flat<T> = { [K in keyof T]: T[K] }

const merged = <K extends 'onMachine' | 'onCollection' | 'entries'>(what: K): All<K> =>
  Object.assign({}, ...chapterNames.map(name => chapters[name][what])) as All<K>

const machineDeclared = merged('onMachine')
const collectionDeclared = merged('onCollection')
const declared = { ...machineDeclared, ...collectionDeclared }

export type MachineCommandName = keyof typeof machineDeclared
export type CollectionCommandName = keyof typeof collectionDeclared
export type CommandName = MachineCommandName | CollectionCommandName

/** The shape of every command's request, by its name. */
export const commands = Object.fromEntries(Object.entries(declared).map(([name, command]) => [name, command.input])) as {
  [N in CommandName]: (typeof declared)[N]['input']
}
/** The largest request that a command takes, where that is more than usual. */
export const largestBodyOf = (name: CommandName): number | undefined => (declared[name] as { largestBodyBytes?: number }).largestBodyBytes
/** What the owner of a machine that is not ours is asked about before a command; nothing for most. */
export function asksOwner(name: CommandName, input: object): WorkAsked | null {
  const { asks = null } = declared[name] as Command
  return typeof asks === 'function' ? asks(input as never) : asks
}
/** How a command may open a gate. */
export const opensBy = (name: CommandName): Command['opens'] => (declared[name] as Command).opens
export type CommandInput<N extends CommandName> = z.output<(typeof commands)[N]>
export type CommandRequest<N extends CommandName> = z.input<(typeof commands)[N]>
/**
 * Reads what a command is asked to do, by its contract. What the contract does not know is refused: a field that nobody reads is lost work.
 * @throws ZodError, InputError at the key that is not known
 */
export function readCommandInput<N extends CommandName>(name: N, given: unknown): CommandInput<N> {
  const input = commands[name].parse(given) as CommandInput<N>
  const unknown = unknownKey(given, input)
  if (unknown)
    throw new InputError(unknown.join('.'), '', `“${unknown.at(-1)}” is nothing that can be said here. Leave it out, or spell it as the contract does.`)
  return input
}
export const commandNames = Object.keys(declared) as CommandName[]
/** Own names only: what every object has is no command. */
export const isMachineCommand = (name: string): name is MachineCommandName => Object.hasOwn(machineDeclared, name)
export const isCollectionCommand = (name: string): name is CollectionCommandName => Object.hasOwn(collectionDeclared, name)

/** Whether a role may send a command. Reading the collection needs any role; the passport, the instruments and the health page need none. */
export const may = (role: Role | undefined, name: CommandName): boolean => role !== undefined && declared[name].may.includes(role)
/** The commands that a role may use, for the interface to offer no others. */
export const commandsOf = (role: Role): CommandName[] => commandNames.filter(name => may(role, name))

/** Every kind of entry in the history. */
export const entries = merged('entries')
export type EntryKind = keyof typeof entries
export type EntryData<K extends EntryKind> = (typeof entries)[K] extends Entry<infer D> ? D : never

const known = (kind: string) => (Object.hasOwn(entries, kind) ? (entries[kind as EntryKind] as unknown as Entry<unknown>) : undefined)
/** What a kind makes of its data; nothing for data of another shape, or with words that nobody here knows. */
function madeOf<R>(kind: string, data: unknown, make: (entry: Entry<unknown>, data: unknown) => R): R | undefined {
  const entry = known(kind)
  const parsed = entry?.data.safeParse(data)
  if (!entry || !parsed?.success) return undefined
  try {
    return make(entry, parsed.data)
  } catch {
    return undefined
  }
}
/** The sentence of an entry. Data of an older shape reads as its kind, rather than not at all. */
export const sentenceOf = (kind: string, data: unknown): string => madeOf(kind, data, (entry, d) => entry.reads(d)) ?? `${kind}.`
/**
 * What of an entry anybody may read, with private words still in what people typed. @param diary with losses and mishaps
 * @returns nothing where it is private, or of a shape that nobody here knows
 */
export const publicSentenceOf = (kind: string, data: unknown, diary: boolean): string | null =>
  madeOf(kind, data, (entry, d) => (entry.diary && !diary ? null : (entry.tells?.(d) ?? null))) ?? null
/** Whether anybody may read something of it. */
export const isOpen = (kind: string) => Boolean(known(kind)?.tells)
/** Whether it stands in the place of what was said of its subject before. */
export const corrects = (kind: string) => known(kind)?.corrects ?? false
/** The private names that stand in an entry. */
export const namesIn = (kind: string, data: unknown): PrivateWord[] => madeOf(kind, data, (entry, d) => entry.names?.(d)) ?? []
/** What people wrote in it, to be read for dangers. */
export const writtenIn = (kind: string, data: unknown): Written => madeOf(kind, data, (entry, d) => entry.written?.(d)) ?? []
/** What it puts right in older sentences that quote it. */
export const replacementsOf = (kind: string, data: unknown): { from: string; to: string }[] => madeOf(kind, data, (entry, d) => entry.replaces?.(d)) ?? []
export const isStrikeable = (kind: string) => known(kind)?.strikeable ?? false

/** What the sheet of a machine can show: its head, and the views of the chapters that are asked for. */
export type ViewOf<C extends ChapterName> = z.infer<(typeof chapters)[C]['view']>
export type SheetOf<C extends ChapterName> = Flat<SheetHead & Both<C extends unknown ? ViewOf<C> : never>>
export type MachineSheet = SheetOf<ChapterName>
/** The shape of a whole sheet, for checking answers against. */
export const sheetShape = z.object(Object.assign({ ...SheetHead.shape }, ...chapterNames.map(name => chapters[name].view.shape)) as z.ZodRawShape)
