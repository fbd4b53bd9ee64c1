import { type BoardPin, byName, pinName } from '#core/continuity/board'
import { sameIssue } from '#core/continuity/sheet'
import type { BoardView, ProbeSheet } from '#shared/chapters/continuity/index'
import type { ViewOf } from '#shared/chapters/index'
import { and, asc, desc, eq } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Db } from '../../db/connection'
import type { Tx } from '../../kernel/journal'
import { NotFound } from '../../kernel/refusals'
import { machineByTag } from '../../kernel/sheet'
import { people } from '../people/index'
import { loadFile } from '../../kernel/load'
import { picturesOf, zonesOf } from './pictures'
import { boardStrikes, boards, patches, probeChecks, probeNets, probeSheets } from './schema'

/** Parts of a board that its page names, for whoever types them. */
const mostParts = 2000

const line = ({ id, title, board, issue, otherIssue, total, answered, broken, doubtful, shorts, startedAt, endedAt }: MachineFile['probeSheets'][number]) => ({
  id,
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
})
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
    .map(({ id, version, name, issue, nets, pins, fileName, format, active, at, rows }) => ({
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
      parts: [...new Set(rows.map(r => r[1]))].sort(byName).slice(0, mostParts),
      struck: tx
        .select()
        .from(boardStrikes)
        .where(eq(boardStrikes.boardId, id))
        .all()
        .map(({ pin, reason, by, at: struckAt }) => ({ pin, reason, by, at: struckAt })),
    }))
}

/** A probe sheet with all its checks, and what its nets are by now. @throws NotFound */
export function probeSheetOf(tx: Db, tag: string, sheetId: number, personId: number): ProbeSheet {
  const machine = machineByTag(tx, tag)
  const sheet = tx
    .select()
    .from(probeSheets)
    .where(and(eq(probeSheets.id, sheetId), eq(probeSheets.machineId, machine.id)))
    .get()
  if (!sheet) throw new NotFound(`${tag} has no such probe sheet.`)
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
  }
}
const endOf = (p: BoardPin) => ({ name: pinName(p), xMm: p.xMm ?? null, yMm: p.yMm ?? null, side: p.side ?? ('both' as const), socketed: p.socketed ?? false })
