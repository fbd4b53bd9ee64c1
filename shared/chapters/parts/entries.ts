import { z } from 'zod'
import { counted } from '#core/kernel/figure'
import { type HeldPlace, type PartCondition, heldPlaces, partConditions } from '#core/parts/ledger'
import { type Need, type NeedStops, needSays } from '#core/parts/needs'
import type { Spec } from '#core/parts/substitute/compare'
import type { PartKindName } from '#core/parts/substitute/substitute'
import { specWords } from '#core/parts/substitute/words'
import { word } from '../../kernel/fields'
import { closed, ending, entry, shown } from '../../kernel/contract'
import { HeldPart, PartNeed } from './rows'
import { type PartOutcome, partOutcomeNames } from './words'

const s = z.string()

const asIs = { kind: word<PartKindName>().nullable().default(null), spec: z.custom<Spec>().default({}) }
const said = { ...PartNeed.said, ...asIs, stops: word<NeedStops>(), seeker: s.default('') }
type AsIs = { kind: PartKindName | null; spec: Spec }
type Said = Need & AsIs & { name: string; quantity: number; place: string; byWhen: string | null; wouldDo: string; forFirstStart: string; seeker: string }
/** What a part is like, behind its name. */
const like = ({ kind, spec }: AsIs) => {
  const says = kind ? specWords(kind, spec) : ''
  return says && ` (${says})`
}
/** Substitutes as they were written down, in one line. */
const instead = (what: string, text: string) => (text ? [`${what}: ${text.split('\n').filter(Boolean).join(', ')}`] : [])
const sentence = (d: Said) => {
  const hangs = needSays(d)
  return [
    `${d.quantity} × ${d.name}${like(d)}${d.place && `, for ${d.place}`}; ${hangs.charAt(0).toLowerCase()}${hangs.slice(1)}`,
    ...(d.byWhen ? [`wanted by ${d.byWhen}`] : []),
    ...instead('would do', d.wouldDo),
    ...instead('does for a first start', d.forFirstStart),
    ...(d.seeker ? [`${d.seeker} looks for it`] : []),
  ].join('; ')
}

const held = { ...HeldPart.said, ...asIs, condition: word<PartCondition>() }
/** Where it is, and in which machine. */
const placed = (at: HeldPlace, tag: string | null) => {
  const says = heldPlaces[at].charAt(0).toLowerCase() + heldPlaces[at].slice(1)
  return tag ? `${at === 'donor' ? 'still' : says} ${at === 'promised' ? 'for' : 'in'} ${tag}` : says
}
const howItIs = (d: { condition: PartCondition; source: string; lender: string; lies: string }) =>
  [
    partConditions[d.condition].toLowerCase(),
    ...(d.source ? [`from ${d.source}`] : []),
    ...(d.lender ? [`it belongs to ${d.lender}`] : []),
    ...(d.lies ? [`it lies in ${d.lies}`] : []),
  ].join('; ')
const namesOf = (d: { source: string; lender: string }) => [d.source, d.lender].filter(Boolean).map(word => ({ word, kind: 'giver' as const }))

export const entries = {
  'part.wanted': entry(
    // Entries of former days told of a start alone.
    z.object({ ...said, stops: word<NeedStops>().optional(), stopsStart: z.boolean().optional() }),
    d => `Wanted: ${sentence({ ...d, stops: d.stops ?? (d.stopsStart ? 'start' : 'no-start') })}.`,
    shown,
    d => [d.workaround, d.affects, d.wouldDo, d.forFirstStart],
  ),
  'part.changed': entry(
    z.object(said),
    d => `Wanted, as it now reads: ${sentence(d)}.`,
    shown,
    d => [d.workaround, d.affects, d.wouldDo, d.forFirstStart],
  ),
  'held.added': entry(
    z.object({ ...held, count: z.number(), at: word<HeldPlace>(), donor: s.nullable(), dueBy: s.nullable() }),
    d => `${d.count} × ${d.name}${like(d)}: ${placed(d.at, d.donor)}; ${howItIs(d)}${d.dueBy ? `; expected by ${d.dueBy}` : ''}.`,
    { open: false, names: namesOf },
  ),
  'held.changed': entry(z.object({ ...held, dueBy: s.nullable() }), d => `${d.name}${like(d)}, as it now reads: ${howItIs(d)}.`, {
    open: false,
    names: namesOf,
  }),
  'held.moved': entry(
    z.object({
      name: s,
      count: z.number(),
      from: word<HeldPlace>(),
      to: word<HeldPlace>(),
      out: s.nullable(),
      into: s.nullable(),
      holder: s,
      dueBy: s.nullable(),
      lies: s,
      condition: word<PartCondition>(),
      tested: s,
    }),
    d =>
      [
        `${d.count} × ${d.name}: ${placed(d.from, d.out)} before, now ${placed(d.to, d.into)}`,
        ...(d.holder ? [`${d.holder} has it`] : []),
        ...(d.dueBy ? [`back by ${d.dueBy}`] : []),
        ...(d.lies ? [`it lies in ${d.lies}`] : []),
        `${partConditions[d.condition].toLowerCase()}${d.tested && `: ${d.tested}`}`,
      ].join('; ') + '.',
    { open: false, names: d => (d.holder ? [{ word: d.holder, kind: 'person' }] : []) },
    d => [d.tested],
  ),
  'held.written-off': entry(
    z.object({ name: s, count: z.number(), holder: s, reason: s }),
    d => `${d.count} × ${d.name}, lent to ${d.holder}, written off: ${ending(d.reason)}`,
    closed,
  ),
  'held.put': entry(z.object({ parts: z.array(s), lies: s }), d => `Put in ${d.lies}: ${d.parts.join(', ')}.`, closed),
  'order.placed': entry(
    z.object({ supplier: s, dueBy: s.nullable(), lines: z.number(), cost: s }),
    d => `Ordered from ${d.supplier}: ${counted(d.lines, 'line')}${d.cost && `, for ${d.cost}`}${d.dueBy ? `; expected by ${d.dueBy}` : ''}.`,
    closed,
  ),
  'held.given': entry(
    z.object({ name: s, count: z.number(), holder: s, inReturn: s }),
    d => `${d.count} × ${d.name} given to ${d.holder}${d.inReturn && `, for ${d.inReturn}`}.`,
    { open: false, names: d => [{ word: d.holder, kind: 'person' }] },
  ),
  'held.spared': entry(z.object({ name: s, spared: z.boolean() }), d => `${d.name} ${d.spared ? 'can be spared' : 'is not spared any more'}.`, closed),
  'part.settled': entry(z.object({ name: s, outcome: word<PartOutcome>() }), d => `${d.name}: ${partOutcomeNames[d.outcome].toLowerCase()}.`, shown),
} as const
