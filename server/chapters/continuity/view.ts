import { type BoardPin, pinName } from '#core/continuity/board'
import { byName } from '#core/kernel/places'
import { explained } from '#core/continuity/explained'
import { sameIssue } from '#core/continuity/sheet'
import type { BoardPlaces, BoardView, PartPins, ProbeSheet } from '#shared/chapters/continuity/index'
import type { ViewOf } from '#shared/chapters/index'
import { and, asc, desc, eq } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Db } from '../../kernel/db'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { machineByTag } from '../../kernel/sheet'
import { people } from '../people/index'
import { loadFile } from '../../kernel/load'
import { picturesOf, zonesOf } from './pictures'
import { boardStrikes, boards, patches, probeChecks, probeNets, probeSheets } from './schema'

/** Parts of a board that its page names, for whoever types them. */
const mostParts = 2000

const line = ({
  id,
  boardId,
  title,
  board,
  issue,
  otherIssue,
  total,
  answered,
  broken,
  doubtful,
  shorts,
  startedAt,
  endedAt,
}: MachineFile['probeSheets'][number]) => ({ id, boardId, title, board, issue, otherIssue, total, answered, broken, doubtful, shorts, startedAt, endedAt })
const wire = ({ id, sheetId, net, a, b, lengthMm, awg, afterOhm, contact, by, at }: typeof patches.$inferSelect) => ({
  id,
  sheetId,
  net,
  a,
  b,
  lengthMm,
  awg,
  afterOhm,
  contact,
  by,
  at,
})
const without = { id: boards.id, name: boards.name, issue: boards.issue, nets: boards.nets, pins: boards.pins }

/** Boards of its model, its probe sheets, and the wires that it keeps for life. */
export function continuityView({ tx, file }: ViewInput): ViewOf<'continuity'> {
  const { machine, probeSheets: sheets, patches: wires } = file
  const { photographs, pictures } = picturesOf(tx, file)
  const of =
    machine.modelId === null
      ? []
      : tx
          .select(without)
          .from(boards)
          .where(and(eq(boards.modelId, machine.modelId), eq(boards.active, true)))
          .orderBy(asc(boards.name))
          .all()
  return {
    continuity: {
      boards: of.map(b => ({ ...b, sameIssue: sameIssue(b.issue, machine.variant) })),
      sheets: sheets.map(line),
      patches: wires.map(wire),
      pictures,
      photographs,
      zones: zonesOf(file, pictures),
    },
  }
}

/** Every board of a model, with its parts and what was struck of it. */
export function boardsOf(tx: Tx, modelId: number): BoardView[] {
  return tx
    .select()
    .from(boards)
    .where(eq(boards.modelId, modelId))
    .orderBy(desc(boards.active), asc(boards.name))
    .all()
    .map(({ id, version, name, issue, nets, pins, fileName, format, active, at, rows, functions, areas }) => ({
      id,
      version,
      name,
      issue,
      nets,
      pins,
      fileName,
      format,
      active,
      at,
      functions,
      areas,
      parts: [...new Set(rows.map(r => r[1]))].sort(byName).slice(0, mostParts),
      struck: tx
        .select()
        .from(boardStrikes)
        .where(eq(boardStrikes.boardId, id))
        .all()
        .map(({ pin, reason, by, at: struckAt }) => ({ pin, reason, by, at: struckAt })),
    }))
}

/** What the nets of a board do, by its notes. */
export const functionsOf = (tx: Tx, boardId: number) =>
  tx.select({ functions: boards.functions }).from(boards).where(eq(boards.id, boardId)).get()?.functions ?? []

/** A probe sheet with all its checks, and what its nets are by now. @throws NotFound */
export function probeSheetOf(tx: Db, tag: string, sheetId: number, personId: number): ProbeSheet {
  const machine = machineByTag(tx, tag)
  const sheet = tx
    .select()
    .from(probeSheets)
    .where(and(eq(probeSheets.id, sheetId), eq(probeSheets.machineId, machine.id)))
    .get()
  if (!sheet) throw new NotFound(`${tag} has no such probe sheet.`)
  const notes = tx.select({ functions: boards.functions, areas: boards.areas }).from(boards).where(eq(boards.id, sheet.boardId)).get()
  const nets = tx.select().from(probeNets).where(eq(probeNets.sheetId, sheetId)).all()
  const ends = new Map(nets.flatMap(n => n.ends.map(p => [pinName(p), endOf(p)] as const)))
  const end = (name: string) => ends.get(name) ?? { name, xMm: null, yMm: null, side: 'both' as const, socketed: false }
  const checks = tx.select().from(probeChecks).where(eq(probeChecks.sheetId, sheetId)).orderBy(asc(probeChecks.id)).all()
  const names = new Map(
    tx
      .select({ id: people.id, name: people.name })
      .from(people)
      .all()
      .map(p => [p.id, p.name]),
  )
  return {
    ...line(sheet),
    leadsOhm: sheet.leadsOhm,
    pictures: picturesOf(tx, loadFile(tx, machine.id)).pictures.filter(p => p.boardId === sheet.boardId),
    checks: checks.map(({ id, kind, a, b, netA, netB, expectOhm, beyond, why, contact, ohm, by, at, takenBy }) => ({
      id,
      kind,
      a: end(a),
      b: end(b),
      netA,
      netB,
      expectOhm,
      beyond,
      why,
      contact,
      ohm,
      by,
      at,
      takenBy: contact === null && takenBy !== null && takenBy !== personId ? (names.get(takenBy) ?? '') : '',
    })),
    nets: nets
      .map(n => ({
        net: n.net,
        supply: n.supply,
        state: n.state,
        pieces: (n.pieces.length ? n.pieces : [n.ends.map(pinName)]).map(p => p.map(end)),
        breaks: n.breaks,
      }))
      .sort((a, b) => byName(a.net, b.net)),
    patches: tx.select().from(patches).where(eq(patches.sheetId, sheetId)).orderBy(asc(patches.id)).all().map(wire),
    explains: explained([...sheet.broken, ...sheet.doubtful], notes?.functions ?? []),
    areas: notes?.areas ?? [],
  }
}
const endOf = (p: BoardPin) => ({ name: pinName(p), xMm: p.xMm ?? null, yMm: p.yMm ?? null, side: p.side ?? ('both' as const), socketed: p.socketed ?? false })

/** Parts that a person asks charts of at a time. */
const mostCharts = 40

/** The pins of some parts of a board, for their charts. @throws NotFound */
export function partPinsOf(tx: Db, boardId: number, parts: readonly string[]): PartPins {
  const board = tx.select().from(boards).where(eq(boards.id, boardId)).get()
  if (!board) throw new NotFound('There is no such board.')
  const struck = new Set(
    tx
      .select({ pin: boardStrikes.pin })
      .from(boardStrikes)
      .where(eq(boardStrikes.boardId, boardId))
      .all()
      .map(s => s.pin),
  )
  const of = new Map<string, { pin: string; net: string; struck: boolean }[]>(parts.slice(0, mostCharts).map(p => [p, []]))
  for (const [net, part, pin] of board.rows) of.get(part)?.push({ pin, net, struck: struck.has(pinName({ part, pin })) })
  return { board: board.name, issue: board.issue, parts: [...of].filter(([, pins]) => pins.length).map(([part, pins]) => ({ part, pins })) }
}

/** Where the probes of a check stand, and the nets of its sheet: for a simulated board. @throws NotFound */
export function probesOf(tx: Db, checkId: number) {
  const check = tx.select().from(probeChecks).where(eq(probeChecks.id, checkId)).get()
  if (!check) throw new NotFound('There is no such check.')
  return {
    sheetId: check.sheetId,
    a: check.a,
    b: check.b,
    nets: () =>
      tx
        .select()
        .from(probeNets)
        .where(eq(probeNets.sheetId, check.sheetId))
        .all()
        .map(n => ({ name: n.net, supply: n.supply, pins: n.ends.map(pinName) })),
  }
}

/** Dots that a drawing of a board shows; of larger boards each second, third… pin. */
const mostDots = 3000

/** Where the parts and pins of a board lie, seen from the front. @throws NotFound */
export function placesOf(tx: Db, boardId: number): BoardPlaces {
  const board = tx.select({ rows: boards.rows }).from(boards).where(eq(boards.id, boardId)).get()
  if (!board) throw new NotFound('There is no such board.')
  const placed = board.rows.flatMap(([, part, , x, y]) => (x === null || y === null ? [] : [{ part, x, y }]))
  const boxes = new Map<string, BoardPlaces['parts'][number]>()
  for (const { part, x, y } of placed) {
    const box = boxes.get(part)
    if (!box) boxes.set(part, { part, left: x, top: y, right: x, bottom: y })
    else [box.left, box.top, box.right, box.bottom] = [Math.min(box.left, x), Math.min(box.top, y), Math.max(box.right, x), Math.max(box.bottom, y)]
  }
  const each = Math.ceil(placed.length / mostDots)
  return { parts: [...boxes.values()].slice(0, mostParts), pins: placed.filter((_, i) => i % each === 0).map(({ x, y }): [number, number] => [x, y]) }
}
