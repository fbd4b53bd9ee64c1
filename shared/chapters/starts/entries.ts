import { z } from 'zod'
import { word } from '../../kernel/fields'
import { closed, ending, entry } from '../../kernel/contract'
import { type StartOutcome, startOutcomeNames } from './words'

const s = z.string()
const n = z.number()

export const entries = {
  'start.begun': entry(
    z.object({ atProbe: s, atSwitch: s, configuration: s }),
    d => `Start begun: ${ending(d.configuration)} At the probe ${d.atProbe}, at the switch ${d.atSwitch}.`,
    closed,
  ),
  'start.ended': entry(
    z.object({ outcome: word<StartOutcome>(), why: s, onSeconds: n, rails: n }),
    d =>
      `Start ended after ${Math.round(d.onSeconds)} s: ${startOutcomeNames[d.outcome].toLowerCase()}, ${d.rails} ${d.rails === 1 ? 'rail' : 'rails'} kept.${d.why && ` ${ending(d.why)}`}`,
  ),
} as const
