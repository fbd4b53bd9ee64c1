import { counted } from '#core/kernel/figure'
import { z } from 'zod'
import { word } from '../../kernel/fields'
import { type Noticed, noticed } from '#core/power/noticed'
import { closed, ending, entry, observed, shown } from '../../kernel/contract'
import { type StartOutcome, startOutcomeNames } from './words'

const s = z.string()
const n = z.number()

export const entries = {
  'start.begun': entry(
    z.object({ atProbe: s, atSwitch: s, configuration: s }),
    d => `Start begun: ${ending(d.configuration)} At the probe ${d.atProbe}, at the switch ${d.atSwitch}.`,
    closed,
  ),
  'start.called-off': entry(
    z.object({ why: s, noticed: z.array(word<Noticed>()), onSeconds: n }),
    d =>
      `A run of ${Math.round(d.onSeconds)} s was called off${d.why && `: ${ending(d.why)}`}${d.noticed.length ? ` Noticed: ${d.noticed.map(w => noticed[w].title.toLowerCase()).join(', ')}.` : ''}`,
    observed,
  ),
  'start.ended': entry(
    z.object({ outcome: word<StartOutcome>(), why: s, onSeconds: n, rails: n, runs: n.optional() }),
    d =>
      `Start ended after ${Math.round(d.onSeconds)} s${d.runs ? ` in ${d.runs} runs` : ''}: ${startOutcomeNames[d.outcome].toLowerCase()}, ${counted(d.rails, 'rail')} kept.${d.why && ` ${ending(d.why)}`}`,
    shown,
  ),
} as const
