import { v7 as uuidv7 } from 'uuid'
import { type BoardPin, checkPins, mostPins, pinName } from '#core/continuity/board'
import { withPairs } from '#core/continuity/pairs'
import { InputError } from '#core/kernel/input-error'
import { pinOf, rowOf } from '#shared/chapters/continuity/index'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, sql } from 'drizzle-orm'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { Work } from '../../kernel/work'
import { models } from '../models/index'
import { prepareBoard } from './prepare-board'
import { boardStrikes, boards } from './schema'

/** More boards of one model nobody keeps apart. */
const mostBoards = 40

export function boardOf(tx: Tx, boardId: number) {
  const board = tx.select().from(boards).where(eq(boards.id, boardId)).get()
  if (!board) throw new NotFound('There is no such board.')
  return board
}

/** The pins of a board, without those that were struck. */
export function pinsOf(tx: Tx, board: typeof boards.$inferSelect): BoardPin[] {
  const struck = new Set(
    tx
      .select({ pin: boardStrikes.pin })
      .from(boardStrikes)
      .where(eq(boardStrikes.boardId, board.id))
      .all()
      .map(s => s.pin),
  )
  return board.rows.map(pinOf).filter(p => !struck.has(pinName(p)))
}

const netCount = (pins: readonly BoardPin[]) => new Set(pins.map(p => p.net)).size

function refuseTwice(tx: Tx, modelId: number, name: string, issue: string, except: number): void {
  const there = tx
    .select({ id: boards.id })
    .from(boards)
    .where(and(eq(boards.modelId, modelId), eq(boards.name, name), eq(boards.issue, issue)))
    .all()
  if (there.some(b => b.id !== except)) throw new InputError('name', name, `Board: ${name}${issue && `, issue ${issue},`} is known already.`)
}

export function addBoard({ tx, at, write }: Work, asked: CommandInput<'add-board'>): { boardId: number } {
  const { modelId, name, issue, fileName, format } = asked
  const model = tx.select().from(models).where(eq(models.id, modelId)).get()
  if (!model) throw new NotFound('There is no such model.')
  refuseTwice(tx, modelId, name, issue, 0)
  if (tx.select({ id: boards.id }).from(boards).where(eq(boards.modelId, modelId)).all().length >= mostBoards)
    throw new NotNow(`A model has up to ${mostBoards} boards.`)
  const { rows, pins, nets } = prepareBoard(asked).prepared
  const { id } = tx
    .insert(boards)
    .values({ uid: uuidv7(), modelId, name, issue, fileName, format, rows: sql`${rows}`, nets, pins, at })
    .returning({ id: boards.id })
    .get()
  write('board.added', { model: model.name, name, issue, pins, nets, file: fileName })
  return { boardId: id }
}

/** Pairs from the schematic join the nets of the board; what was two nets and is one now is told. */
export function addPairs(work: Work, { boardId, version, pairs }: CommandInput<'add-pairs'>): { merged: number } {
  const { tx, write } = work
  const board = boardOf(tx, boardId)
  expectVersion(work, board, version, board.version, ['name'])
  const { pins, merged } = withPairs(board.rows.map(pinOf), pairs)
  if (pins.length > mostPins) throw new NotNow(`A board has up to ${mostPins} pins.`)
  tx.update(boards)
    .set({ rows: pins.map(rowOf), pins: pins.length, nets: netCount(pins), version: board.version + 1 })
    .where(eq(boards.id, boardId))
    .run()
  write('board.pairs', { name: board.name, pairs: pairs.length })
  return { merged: merged.length }
}

/** Says that a pin is not as the file has it; the file stays as it came. */
export function strikeBoardPin({ tx, at, person, write }: Work, { boardId, pin, reason }: CommandInput<'strike-board-pin'>): void {
  const board = boardOf(tx, boardId)
  if (!board.rows.some(r => `${r[1]}.${r[2]}` === pin)) throw new InputError('pin', pin, `Pin: ${pin} is not on this board. Write it as U7.12.`)
  const there = tx
    .select()
    .from(boardStrikes)
    .where(and(eq(boardStrikes.boardId, boardId), eq(boardStrikes.pin, pin)))
    .get()
  if (there) throw new NotNow(`${pin} has been struck already, by ${there.by}.`)
  tx.insert(boardStrikes).values({ boardId, pin, reason, by: person.name, at }).run()
  write('board.pin-struck', { name: board.name, pin, reason })
}

export function changeBoard(work: Work, { boardId, version, ...said }: CommandInput<'change-board'>): void {
  const board = boardOf(work.tx, boardId)
  expectVersion(work, board, version, board.version, Object.keys(said))
  refuseTwice(work.tx, board.modelId, said.name, said.issue, boardId)
  work.tx
    .update(boards)
    .set({ ...said, version: board.version + 1 })
    .where(eq(boards.id, boardId))
    .run()
  work.write('board.changed', said)
}

/** Pins of one part, typed by hand: what the board says of them already has to agree. */
export function addPartPins(work: Work, { boardId, version, part, pins }: CommandInput<'add-part-pins'>): void {
  const { tx, write } = work
  const board = boardOf(tx, boardId)
  expectVersion(work, board, version, board.version, ['name'])
  const known = board.rows.map(pinOf)
  const there = new Map(known.map(p => [pinName(p), p.net]))
  pins.forEach(({ pin, net }, i) => {
    const before = there.get(pinName({ part, pin }))
    if (before !== undefined && before !== net)
      throw new InputError(`pins.${i}`, net, `${part}.${pin} stands in ${before} already. Strike it first, if the board is wrong.`)
  })
  const fresh = pins.filter(p => !there.has(pinName({ part, pin: p.pin }))).map(p => ({ part, ...p }))
  if (!fresh.length) throw new NotNow(`All of these pins of ${part} are on the board already.`)
  const all = [...known, ...fresh]
  checkPins(all, 'pins')
  tx.update(boards)
    .set({ rows: all.map(rowOf), pins: all.length, nets: netCount(all), version: board.version + 1 })
    .where(eq(boards.id, boardId))
    .run()
  write('board.part-typed', { name: board.name, part, pins: fresh.length })
}

export function setBoardNotes(work: Work, { boardId, version, functions, areas }: CommandInput<'set-board-notes'>): void {
  const board = boardOf(work.tx, boardId)
  expectVersion(work, board, version, board.version, ['functions', 'areas'])
  work.tx
    .update(boards)
    .set({ functions, areas, version: board.version + 1 })
    .where(eq(boards.id, boardId))
    .run()
  work.write('board.noted', { name: board.name, functions: functions.length, areas: areas.length })
}
