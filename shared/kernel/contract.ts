import type { z } from 'zod'
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
}
export const command = <S extends z.ZodType>(may: readonly Role[], input: S, more: Pick<Command, 'largestBodyBytes'> = {}): Command<S> => ({
  may,
  input,
  ...more,
})

/**
 * A kind of entry in the history, and the one sentence it reads as: on screen, in print, in exports.
 * `open` entries may be shown to anybody on a passport; the others name donors, owners, places, people or trust.
 * `strikeable` entries are observations that a correction can take back.
 */
export interface Entry<D = unknown> {
  data: z.ZodType<D>
  reads: (data: D) => string
  open: boolean
  strikeable: boolean
}
export const entry = <D>(data: z.ZodType<D>, reads: (data: D) => string, { open = true, strikeable = false } = {}): Entry<D> => ({
  data,
  reads,
  open,
  strikeable,
})
export const closed = { open: false }
export const observed = { strikeable: true }

export interface Chapter {
  name: string
  /** Commands on one machine, and on the collection as a whole. */
  onMachine: Record<string, Command>
  onCollection: Record<string, Command>
  // What an entry says differs from kind to kind; the list of chapters derives each.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  entries: Record<string, Entry<any>>
  /** What the sheet of a machine shows of it. */
  view: z.ZodObject
}

/** Keeps the types of one chapter together while the list of chapters forgets them. */
export const chapter = <const C extends Chapter>(declared: C): C => declared

export const quote = (text: string) => `“${text}”`
/** A sentence with its full stop. */
export const ending = (text: string) => (/[.?…]$/.test(text) ? text : `${text}.`)
