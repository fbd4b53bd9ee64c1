import { significant } from '#core/kernel/figure'
import { z } from 'zod'
import { type Contact, contactNames } from '#core/continuity/contact'
import { closed, ending, entry, shown } from '../../kernel/contract'
import { word } from '../../kernel/fields'
import { Board } from './rows'

const s = z.string()
const n = z.number()
const b = z.boolean()
const ohms = (ohm: number | null) => (ohm === null ? '' : `, ${significant(ohm)} Ω`)

export const entries = {
  'board.added': entry(
    z.object({ model: s, ...Board.said, pins: n, nets: n, file: s }),
    d => `Board of ${d.model}: ${d.name}${d.issue && `, issue ${d.issue}`}, ${d.nets} nets and ${d.pins} pins${d.file && ` from ${d.file}`}.`,
    closed,
  ),
  'board.pairs': entry(z.object({ name: s, pairs: n }), d => `${d.name}: ${d.pairs} pin pairs added from the schematic.`, closed),
  'board.part-typed': entry(z.object({ name: s, part: s, pins: n }), d => `${d.name}: ${d.part} typed by hand, ${d.pins} pins.`, closed),
  'board.noted': entry(
    z.object({ name: s, functions: n, areas: n }),
    d => `${d.name}: what ${d.functions} of its nets do, and ${d.areas} places that wires keep clear of.`,
    closed,
  ),
  'board.pin-struck': entry(z.object({ name: s, pin: s, reason: s }), d => `${d.name}: ${d.pin} is not as the file has it. ${ending(d.reason)}`, closed),
  'board.changed': entry(
    z.object({ ...Board.said, active: b }),
    d => `Board ${d.name}${d.issue && `, issue ${d.issue}`} ${d.active ? 'was changed' : 'is used no more'}.`,
    closed,
  ),
  'board.registered': entry(
    z.object({ board: s, photograph: s, places: n, residualMm: n.nullable(), mirrored: b }),
    d =>
      `${d.board} found on the photograph “${d.photograph}”${d.mirrored ? ', seen from its back,' : ''} by ${d.places} pins${d.residualMm === null ? '' : `; they miss by ${d.residualMm.toFixed(2)} mm`}.`,
    { open: d => `${d.board} found on a photograph, by ${d.places} pins.` },
  ),
  'probe.begun': entry(
    z.object({ title: s, board: s, checks: n, otherIssue: s }),
    d => `Probe sheet begun: ${d.title}; ${d.board}, ${d.checks} checks${d.otherIssue && `, by a file of issue ${d.otherIssue}, which is not this board’s`}.`,
    shown,
  ),
  'probe.answered': entry(
    z.object({ a: s, b: s, net: s, contact: word<Contact>(), ohm: n.nullable(), expected: b }),
    d => `Probed ${d.a} to ${d.b}, ${d.net}: ${contactNames[d.contact].toLowerCase()}${ohms(d.ohm)}${d.expected ? '' : '; not as expected'}.`,
    // Hundreds of them; a passport tells what came of the sheet.
    closed,
  ),
  'probe.again': entry(z.object({ a: s, b: s, why: s }), d => `To be asked again, ${d.a} to ${d.b}: ${ending(d.why)}`, closed),
  'probe.ended': entry(
    z.object({ title: s, broken: n, shorts: n, left: n, note: s }),
    d => `Probe sheet ended: ${d.title}; ${d.broken} broken, ${d.shorts} joined that should not be, ${d.left} not asked. ${d.note && ending(d.note)}`.trim(),
    shown,
    d => [d.note],
  ),
  'patch.fitted': entry(
    z.object({ net: s, a: s, b: s, lengthMm: n, awg: n, contact: word<Contact>(), ohm: n.nullable() }),
    d => `Wire fitted on ${d.net}, ${d.a} to ${d.b}, ${d.lengthMm} mm of gauge ${d.awg}; after it ${contactNames[d.contact].toLowerCase()}${ohms(d.ohm)}.`,
    shown,
  ),
} as const
