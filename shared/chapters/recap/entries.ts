import { z } from 'zod'
import { counted, engineering } from '#core/kernel/figure'
import { type Fixing, fixings } from '#core/parts/recap/read-list'
import { type CapacitorSchool, capacitorSchools } from '#core/parts/recap/schools'
import type { Spec } from '#core/parts/substitute/compare'
import { specWords } from '#core/parts/substitute/words'
import { word } from '../../kernel/fields'
import { closed, ending, entry, shown } from '../../kernel/contract'
import { Capacitor } from './rows'

const s = z.string()
const n = z.number()
const on = { assembly: s, place: s }
const where = (d: { assembly: string; place: string }) => `${d.assembly} ${d.place}`
const spec = z.custom<Spec>().default({})
const figure = n.nullable()

export const entries = {
  'capacitors.school': entry(
    z.object({ school: word<CapacitorSchool>().nullable() }),
    d => (d.school ? `Its capacitors: ${capacitorSchools[d.school].title.toLowerCase()}, for this machine.` : 'Its capacitors: the school of the collection.'),
    shown,
  ),
  'capacitors.listed': entry(
    z.object({ assembly: s, count: n, fromTag: s.nullable(), known: s.default('') }),
    d => `${counted(d.count, 'capacitor')} of ${d.assembly} listed${d.fromTag ? `, as ${d.fromTag} has them` : ''}${d.known && `, as is known of ${d.known}`}.`,
    shown,
  ),
  'capacitors.kept': entry(z.object({ of: s, count: n }), d => `${counted(d.count, 'capacitor')} kept as known of ${d.of}.`, shown),
  'capacitor.changed': entry(
    z.object({ ...Capacitor.said, spec, fixing: word<Fixing>() }),
    d => `${where(d)}, as it now reads: ${specWords('capacitor', d.spec)}${d.looksBad ? '; it bulges, leaks or is cracked' : ''}.`,
    shown,
    d => [d.note],
  ),
  'capacitor.measured': entry(
    z.object({
      ...on,
      capacitanceF: figure,
      esrOhm: figure,
      leakageA: figure,
      atV: figure,
      reformed: z.boolean(),
      inCircuit: z.boolean().default(false),
      says: s,
    }),
    d =>
      `${where(d)} measured: ${[
        ...(d.capacitanceF === null ? [] : [specWords('capacitor', { capacitanceF: d.capacitanceF })]),
        ...(d.esrOhm === null ? [] : [`series resistance ${engineering(d.esrOhm, 'Ω')}`]),
        ...(d.leakageA === null ? [] : [`leaks ${engineering(d.leakageA, 'A')}${d.atV === null ? '' : ` at ${engineering(d.atV, 'V')}`}`]),
        ...(d.reformed ? ['reformed before'] : []),
        ...(d.inCircuit ? ['in the circuit'] : []),
      ].join(', ')}; ${d.says}.`,
    shown,
  ),
  'capacitor.out': entry(
    z.object({ ...on, spec, plus: s, fixing: word<Fixing>(), bagged: z.boolean() }),
    d =>
      `${where(d)} taken out: ${[specWords('capacitor', d.spec), ...(d.plus ? [`plus ${d.plus}`] : []), fixings[d.fixing].toLowerCase(), ...(d.bagged ? ['bagged'] : [])].join('; ')}.`,
    shown,
    d => [d.plus],
  ),
  'capacitor.fitted': entry(
    z.object({ ...on, part: s.nullable(), polarityAsked: z.boolean(), joints: n, note: s }),
    d =>
      `${where(d)} changed${d.part ? `: ${d.part}` : ''}; ${d.polarityAsked ? 'its polarity asked again; ' : ''}${counted(d.joints, 'joint')} made.${d.note && ` ${ending(d.note)}`}`,
    shown,
    d => [d.note],
  ),
  'capacitor.back': entry(
    z.object({ ...on, reason: s }),
    d => `${where(d)}: the old one is in its place again: ${ending(d.reason)}`,
    shown,
    d => [d.reason],
  ),
  'capacitor.dropped': entry(
    z.object({ ...on, reason: s }),
    d => `${where(d)} taken off the list: ${ending(d.reason)}`,
    shown,
    d => [d.reason],
  ),
  'prices.set': entry(
    z.object({ supplier: s, lines: n, postage: n.nullable() }),
    d => (d.lines ? `Prices of ${d.supplier}: ${counted(d.lines, 'line')}.` : `Prices of ${d.supplier} are kept no longer.`),
    { ...closed, names: d => [{ word: d.supplier, kind: 'giver' as const }] },
  ),
} as const
