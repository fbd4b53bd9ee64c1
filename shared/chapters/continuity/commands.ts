import { z } from 'zod'
import { areaKinds } from '#core/continuity/areas'
import { contacts } from '#core/continuity/contact'
import { command } from '../../kernel/contract'
import { bounded, id, meterReading, oneOf, optionalText, quantity, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { Board } from './rows'
import { PinRows } from './shapes'

const mm = z.number().min(-5000).max(5000)
export const Area = z.object({ kind: oneOf(areaKinds, 'What lies there'), xMm: mm, yMm: mm, widthMm: mm.min(0), heightMm: mm.min(0) })
const Pin = text('Pin', 130)
const ohm = meterReading('Ω', 'Reading', { above: -1, upTo: 1e9 })

export const onMachine = {
  'begin-probe-sheet': command(
    atTheBench,
    z.object({
      boardId: id,
      title: text('What is probed', 80),
      parts: z.array(text('Part', 120)).max(200).default([]),
      outline: z
        .array(z.tuple([z.number(), z.number()]))
        .max(500)
        .nullable()
        .default(null),
      oneHop: z.boolean().default(false),
      /** Supply nets whatever they are called, and those that are none. */
      supplies: z.array(text('Supply', 120)).max(100).default([]),
      notSupplies: z.array(text('No supply', 120)).max(100).default([]),
      leadsOhm: quantity('Ω', 'The leads, tip to tip', { from: 0, upTo: 10 }),
      bridges: z
        .array(z.object({ part: text('Part', 120), ohm: quantity('Ω', 'Its value', { above: 0, upTo: 1e8 }) }))
        .max(200)
        .default([]),
      /** The file is of another issue than this machine's board, and somebody has read that. */
      otherIssueRead: z.boolean().default(false),
    }),
  ),
  /** Where the board lies on a photograph, by pins that somebody has found on it. */
  'register-board': command(
    atTheBench,
    z.object({
      boardId: id,
      photographId: id,
      perspective: z.boolean().default(false),
      pairs: z
        .array(z.object({ pin: Pin, x: z.number().min(0).max(1), y: z.number().min(0).max(1) }))
        .min(3, 'Places: three pins at least.')
        .max(60),
    }),
  ),
  /** Takes the next check that nobody else is at, and that the same person is at on no other device. */
  'take-probe': command(atTheBench, z.object({ sheetId: id, device: optionalText('Device', 40) })),
  'answer-probe': command(
    atTheBench,
    z.object({
      checkId: id,
      /** What the meter showed, one after the other; or what somebody heard. */
      readingsOhm: z.array(ohm).max(20).default([]),
      heard: oneOf(contacts, 'What the meter said').nullable().default(null),
      beyond: z.boolean().default(false),
    }),
  ),
  'ask-probe-again': command(atTheBench, z.object({ checkId: id, why: text('Why', 160) })),
  'end-probe-sheet': command(atTheBench, z.object({ sheetId: id, note: optionalText('What is left', 200) })),
  'fit-patch': command(
    atTheBench,
    z.object({
      sheetId: id,
      net: text('Net', 120),
      a: Pin,
      b: Pin,
      lengthMm: quantity('mm', 'Length in mm', { above: 0, upTo: 2000 }),
      awg: bounded('Gauge', { above: 9, upTo: 40 }).pipe(z.number().int('Gauge: a whole number, please.')),
      afterOhm: ohm,
    }),
    { asks: 'repair' },
  ),
} as const

export const onCollection = {
  'add-board': command(
    atTheBench,
    z.object({ modelId: id, ...Board.typed, fileName: optionalText('File', 120), format: optionalText('Format', 30), rows: PinRows }),
    // Thirty thousand pins with their places.
    { largestBodyBytes: 5_000_000 },
  ),
  'add-pairs': command(
    atTheBench,
    z.object({
      boardId: id,
      version,
      pairs: z
        .array(z.object({ a: Pin, b: Pin, page: z.string().trim().max(20).default('') }))
        .min(1)
        .max(2000),
    }),
  ),
  /** A part whose pins are typed by hand, off the schematic or off the part. */
  'add-part-pins': command(
    atTheBench,
    z.object({
      boardId: id,
      version,
      part: text('Part', 120),
      pins: z
        .array(z.object({ pin: text('Pin', 120), net: text('Net', 120) }))
        .min(1, 'Pins: say the net of one at least.')
        .max(400),
    }),
  ),
  /** What the nets do, and where wires must not go; both stand beside the file. */
  'set-board-notes': command(
    atTheBench,
    z.object({
      boardId: id,
      version,
      functions: z.array(z.object({ net: text('Net', 120), does: text('What it does', 120) })).max(1000),
      areas: z.array(Area).max(340),
    }),
  ),
  'strike-board-pin': command(atTheBench, z.object({ boardId: id, pin: Pin, reason: text('What is wrong', 200) })),
  'change-board': command(atTheBench, z.object({ boardId: id, version, ...Board.typed, active: z.boolean() })),
} as const
