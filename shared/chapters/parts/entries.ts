import { z } from 'zod'
import { type Need, type NeedStops, needSays } from '#core/parts/needs'
import { word } from '../../kernel/fields'
import { entry, shown } from '../../kernel/contract'
import { PartNeed } from './rows'
import { type PartOutcome, partOutcomeNames } from './words'

const s = z.string()

const said = { ...PartNeed.said, stops: word<NeedStops>(), seeker: s.default('') }
type Said = Need & { name: string; quantity: number; place: string; byWhen: string | null; seeker: string }
const sentence = (d: Said) => {
  const hangs = needSays(d)
  return [
    `${d.quantity} × ${d.name}${d.place && `, for ${d.place}`}; ${hangs.charAt(0).toLowerCase()}${hangs.slice(1)}`,
    ...(d.byWhen ? [`wanted by ${d.byWhen}`] : []),
    ...(d.seeker ? [`${d.seeker} looks for it`] : []),
  ].join('; ')
}

export const entries = {
  'part.wanted': entry(
    // Entries of former days told of a start alone.
    z.object({ ...said, stops: word<NeedStops>().optional(), stopsStart: z.boolean().optional() }),
    d => `Wanted: ${sentence({ ...d, stops: d.stops ?? (d.stopsStart ? 'start' : 'no-start') })}.`,
    shown,
    d => [d.workaround, d.affects],
  ),
  'part.changed': entry(
    z.object(said),
    d => `Wanted, as it now reads: ${sentence(d)}.`,
    shown,
    d => [d.workaround, d.affects],
  ),
  'part.settled': entry(z.object({ name: s, outcome: word<PartOutcome>() }), d => `${d.name}: ${partOutcomeNames[d.outcome].toLowerCase()}.`, shown),
} as const
