import type { BoardArea } from '#core/continuity/areas'
import type { BoardPin } from '#core/continuity/board'
import type { Contact } from '#core/continuity/contact'
import type { NetFunction } from '#core/continuity/explained'
import type { NetState } from '#core/continuity/net-state'
import type { ProbeKind } from '#core/continuity/probe-plan'
import type { PinRow } from '#shared/chapters/continuity/index'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, uid, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** Boards of a model, shared by its sisters, as their files have them; corrections stand beside. */
export const boards = sqliteTable(
  'boards',
  {
    id: key(),
    uid: uid(),
    version: version(),
    modelId: integer('model_id').notNull(),
    name: text('name').notNull(),
    issue: words('issue'),
    fileName: words('file_name'),
    format: words('format'),
    rows: text('rows', { mode: 'json' }).$type<PinRow[]>().notNull(),
    nets: integer('nets').notNull(),
    pins: integer('pins').notNull(),
    active: flag('active').default(true),
    functions: text('functions', { mode: 'json' }).$type<NetFunction[]>().notNull().default([]),
    areas: text('areas', { mode: 'json' }).$type<BoardArea[]>().notNull().default([]),
    at: text('at').notNull(),
  },
  t => [index('boards_model').on(t.modelId)],
)

/** Pins that are not as the file has them; left out of every sheet from then on. */
export const boardStrikes = sqliteTable(
  'board_strikes',
  {
    id: key(),
    boardId: integer('board_id').notNull(),
    pin: text('pin').notNull(),
    reason: text('reason').notNull(),
    by: text('by').notNull(),
    at: text('at').notNull(),
  },
  t => [index('board_strikes_board').on(t.boardId)],
)

/** Photographs on which a board has been found, by the pins that somebody pointed out. */
export const boardPictures = sqliteTable(
  'board_pictures',
  {
    id: key(),
    machineId: machineId(),
    /** Plain numbers, for boards belong to models, and photographs know of machines already. */
    boardId: integer('board_id').notNull(),
    photographId: integer('photograph_id').notNull(),
    perspective: flag('perspective'),
    pairs: text('pairs', { mode: 'json' }).$type<{ pin: string; x: number; y: number }[]>().notNull(),
    matrix: text('matrix', { mode: 'json' }).$type<number[]>().notNull(),
    residualMm: real('residual_mm'),
    mirrored: flag('mirrored'),
    at: text('at').notNull(),
  },
  t => [index('board_pictures_machine').on(t.machineId)],
)

/** A probe sheet, with what it has shown by now. */
export const probeSheets = sqliteTable(
  'probe_sheets',
  {
    id: key(),
    machineId: machineId(),
    /** A plain number, for boards belong to models. */
    boardId: integer('board_id').notNull(),
    board: text('board').notNull(),
    issue: words('issue'),
    otherIssue: flag('other_issue').default(false),
    title: text('title').notNull(),
    leadsOhm: real('leads_ohm').notNull(),
    total: integer('total').notNull(),
    answered: integer('answered').notNull().default(0),
    broken: text('broken', { mode: 'json' }).$type<string[]>().notNull().default([]),
    doubtful: text('doubtful', { mode: 'json' }).$type<string[]>().notNull().default([]),
    shorts: text('shorts', { mode: 'json' }).$type<{ nets: [string, string]; supply: boolean }[]>().notNull().default([]),
    startedAt: text('started_at').notNull(),
    endedAt: text('ended_at'),
    note: words('note'),
  },
  t => [index('probe_sheets_machine').on(t.machineId)],
)

/** The nets of a sheet, with their ends as the board had them when it was begun. */
export const probeNets = sqliteTable(
  'probe_nets',
  {
    id: key(),
    sheetId: integer('sheet_id').notNull(),
    net: text('net').notNull(),
    supply: flag('supply'),
    ends: text('ends', { mode: 'json' }).$type<BoardPin[]>().notNull(),
    state: text('state').$type<NetState>().notNull().default('not-yet'),
    pieces: text('pieces', { mode: 'json' }).$type<string[][]>().notNull().default([]),
    breaks: text('breaks', { mode: 'json' }).$type<{ a: string; b: string }[]>().notNull().default([]),
  },
  t => [index('probe_nets_sheet').on(t.sheetId, t.net)],
)

export const probeChecks = sqliteTable(
  'probe_checks',
  {
    id: key(),
    sheetId: integer('sheet_id').notNull(),
    kind: text('kind').$type<ProbeKind>().notNull(),
    a: text('a').notNull(),
    b: text('b').notNull(),
    netA: text('net_a').notNull(),
    netB: text('net_b').notNull(),
    expectOhm: real('expect_ohm'),
    beyond: flag('beyond').default(false),
    why: words('why'),
    takenBy: integer('taken_by'),
    takenAt: text('taken_at'),
    /** On which of their devices, as that calls itself. */
    takenOn: words('taken_on'),
    contact: text('contact').$type<Contact>(),
    ohm: real('ohm'),
    by: words('by'),
    at: words('at'),
  },
  t => [index('probe_checks_sheet').on(t.sheetId, t.contact)],
)

/** Wires across what is gone; a machine keeps them for life. */
export const patches = sqliteTable(
  'patches',
  {
    id: key(),
    machineId: machineId(),
    sheetId: integer('sheet_id').notNull(),
    net: text('net').notNull(),
    a: text('a').notNull(),
    b: text('b').notNull(),
    lengthMm: real('length_mm').notNull(),
    awg: integer('awg').notNull(),
    afterOhm: real('after_ohm'),
    contact: text('contact').$type<Contact>().notNull(),
    by: text('by').notNull(),
    at: text('at').notNull(),
  },
  t => [index('patches_machine').on(t.machineId)],
)
