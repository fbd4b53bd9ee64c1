import { z } from 'zod'
import { contacts } from '#core/continuity/contact'
import { netStates } from '#core/continuity/net-state'
import { probeKinds } from '#core/continuity/probe-plan'
import { Area } from './commands'
import { Board } from './rows'

const id = z.number()
const n = z.number()
const s = z.string()
const b = z.boolean()

const BoardLine = z.object({ id, ...Board.seen, nets: n, pins: n })
const Short = z.object({ nets: z.tuple([s, s]), supply: b })
const SheetLine = z.object({
  id,
  boardId: n,
  title: s,
  board: s,
  issue: s,
  otherIssue: b,
  total: n,
  answered: n,
  broken: z.array(s),
  doubtful: z.array(s),
  shorts: z.array(Short),
  startedAt: s,
  endedAt: s.nullable(),
})
const Does = z.object({ net: s, does: s })
const Patch = z.object({ id, sheetId: n, net: s, a: s, b: s, lengthMm: n, awg: n, afterOhm: n.nullable(), contact: z.enum(contacts), by: s, at: s })

/** A photograph on which a board has been found. */
export const BoardPicture = z.object({
  id,
  boardId: n,
  photographId: n,
  hash: s,
  caption: s,
  widthPx: n,
  heightPx: n,
  /** Photograph in pixels from board in mm, row by row. */
  matrix: z.array(n),
  residualMm: n.nullable(),
  mirrored: b,
})
export type BoardPicture = z.infer<typeof BoardPicture>

export const view = z.object({
  continuity: z.object({
    /** Boards of its model; `sameIssue` where the file is of the issue that this machine is said to have. */
    boards: z.array(BoardLine.extend({ sameIssue: b })),
    sheets: z.array(SheetLine),
    patches: z.array(Patch),
    pictures: z.array(BoardPicture),
    /** Damage that is outlined on such a photograph, as its outline on the board in mm. */
    zones: z.array(z.object({ boardId: n, says: s, outline: z.array(z.tuple([n, n])) })),
    /** Photographs that a board may be found on. */
    photographs: z.array(z.object({ id, hash: s, caption: s, widthPx: n, heightPx: n })),
  }),
})

/** A board as its model's page shows it. */
export const BoardView = BoardLine.extend({
  version: n,
  fileName: s,
  format: s,
  active: b,
  at: s,
  parts: z.array(s),
  struck: z.array(z.object({ pin: s, reason: s, by: s, at: s })),
  functions: z.array(Does),
  areas: z.array(Area),
})
export type BoardView = z.infer<typeof BoardView>

const End = z.object({ name: s, xMm: n.nullable(), yMm: n.nullable(), side: z.enum(['front', 'back', 'both']), socketed: b })
export const ProbeCheck = z.object({
  id,
  kind: z.enum(probeKinds),
  a: End,
  b: End,
  netA: s,
  netB: s,
  expectOhm: n.nullable(),
  beyond: b,
  why: s,
  contact: z.enum(contacts).nullable(),
  ohm: n.nullable(),
  by: s,
  at: s,
  /** Who is at it just now, where somebody else is. */
  takenBy: s,
})
export type ProbeCheck = z.infer<typeof ProbeCheck>
export const ProbeSheet = SheetLine.extend({
  leadsOhm: n,
  pictures: z.array(BoardPicture),
  checks: z.array(ProbeCheck),
  nets: z.array(z.object({ net: s, supply: b, state: z.enum(netStates), pieces: z.array(z.array(End)), breaks: z.array(z.object({ a: s, b: s })) })),
  patches: z.array(Patch),
  /** What hangs on its broken and doubtful nets, by the notes of the board. */
  explains: z.array(Does),
  areas: z.array(Area),
})
export type ProbeSheet = z.infer<typeof ProbeSheet>

/** Parts of a board, each with its pins and their nets. */
export const PartPins = z.object({ board: s, issue: s, parts: z.array(z.object({ part: s, pins: z.array(z.object({ pin: s, net: s, struck: b })) })) })
export type PartPins = z.infer<typeof PartPins>

/** Where the parts and pins of a board lie, in mm seen from the front. */
export const BoardPlaces = z.object({ parts: z.array(z.object({ part: s, left: n, top: n, right: n, bottom: n })), pins: z.array(z.tuple([n, n])) })
export type BoardPlaces = z.infer<typeof BoardPlaces>
