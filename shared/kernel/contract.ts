import { z } from 'zod'
import type { HazardKind } from '#core/safety/hazards'
import type { WorkAsked } from '#core/stewardship/consent'
import type { PrivateWord } from '#core/sharing/private-words'
import type { Role } from './roles'

/**
 * How a chapter is declared: what people can do, what the history says of it, and what the sheet shows.
 * A chapter stands in `shared/chapters/<name>/` with the same few files in each: commands, entries, view, index.
 */

/** Something that people can do: one request, one transaction, and one entry or more in the history. */
export interface Command<S extends z.ZodType = z.ZodType> {
  /** Who may send it; beyond the role, the chapter may ask for a skill. */
  may: readonly Role[]
  /** The shape of its request, with a message at every field that says what would do. */
  input: S
  /** The largest request that it takes, where that is more than usual. */
  largestBodyBytes?: number
  /**
   * How it may open a gate. Most commands say what was found by what they are; `saying` has to say it in its field `found`; `choice` is no finding,
   * but the house's own decision.
   */
  opens?: 'saying' | 'choice'
  /** What the owner of a machine that is not ours is asked about before it: the same for all of it, or by what is asked for. */
  asks?: WorkAsked | ((input: never) => WorkAsked | null)
}
export const command = <S extends z.ZodType>(may: readonly Role[], input: S, more: Pick<Command, 'largestBodyBytes' | 'opens' | 'asks'> = {}): Command<S> => ({
  may,
  input,
  ...more,
})

/**
 * A kind of entry in the history, and the one sentence it reads as: on screen, in print, in exports. Every kind declares what of it anybody may
 * read: nothing is public because nobody thought of it.
 */
export interface Entry<D = unknown> {
  data: z.ZodType<D>
  reads: (data: D) => string
  /** The sentence that anybody may read on a passport; nothing for kinds that name donors, owners, places, people or trust. */
  tells: ((data: D) => string) | null
  /** A loss or a mishap of the bench: on a passport only where somebody chose so. */
  diary: boolean
  /** What it says stands in the place of what was said of its subject before. */
  corrects: boolean
  /** What was said wrongly elsewhere, and how it is said rightly: older sentences that quote it are read so. */
  replaces: ((data: D) => { from: string; to: string }[]) | null
  /** Names that are private where they are kept: they stand in no public sentence, of whatever kind. */
  names: ((data: D) => PrivateWord[]) | null
  /** What of it people wrote in their own words, to be read for dangers; nothing where it is the program's own, or read elsewhere. */
  written: ((data: D) => Written) | null
  /** An observation that a correction can take back. */
  strikeable: boolean
}
/** Texts as people wrote them, and the dangers that are not listened for in them. */
export type Written = string[] | { texts: string[]; deafTo: readonly HazardKind[] }
/** Words about cleaning speak of water and dirt all the time; what got in, and what dries, is heard by its own record. */
export const besideCleaning = (...texts: string[]): Written => ({ texts, deafTo: ['liquid', 'mould', 'conductive-dirt'] })
interface Declared<D> {
  /** Anybody may read it whole, a part of it that has a sentence of its own, or nothing. */
  open: boolean | ((data: D) => string)
  strikeable?: boolean
  diary?: boolean
  corrects?: boolean
  replaces?: Entry<D>['replaces']
  names?: Entry<D>['names']
}
export const entry = <D>(
  data: z.ZodType<D>,
  reads: (data: D) => string,
  { open, strikeable = false, diary = false, corrects = false, replaces = null, names = null }: Declared<NoInfer<D>>,
  written: Entry<NoInfer<D>>['written'] = null,
): Entry<D> => ({ data, reads, tells: open === true ? reads : open || null, diary, corrects, replaces, names, written, strikeable })
export const shown = { open: true }
export const closed = { open: false }
export const observed = { open: true, strikeable: true }
/** A mishap: what broke, what was lost. */
export const mishap = { open: true, diary: true }

export interface Chapter {
  name: string
  /** Commands on one machine, and on the collection as a whole. */
  onMachine?: Record<string, Command>
  onCollection?: Record<string, Command>
  // What an entry says differs from kind to kind; the list of chapters derives each.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  entries?: Record<string, Entry<any>>
  /** What the sheet of a machine shows of it. */
  view?: z.ZodObject
}
const nothing = { onMachine: {}, onCollection: {}, entries: {}, view: z.object({}) }
type Completed<C> = Omit<typeof nothing, keyof C> & C

/** Completes a chapter with nothing where it declares nothing, and keeps its types together while the list of chapters forgets them. */
export const chapter = <const C extends Chapter>(declared: C): Completed<C> => ({ ...nothing, ...declared })

export const quote = (text: string) => `“${text}”`
/** A sentence with its full stop. */
export const ending = (text: string) => (/[.?…]$/.test(text) ? text : `${text}.`)
