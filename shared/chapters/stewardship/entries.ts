import { onDay } from '#core/kernel/days'
import { z } from 'zod'
import { word } from '../../kernel/fields'
import { type Path, paths } from '#core/condition/triage'
import { type WorkAsked, worksAsked } from '#core/stewardship/consent'
import { money } from '#core/kernel/money'
import { closed, ending, entry } from '../../kernel/contract'
import { Agreement } from './rows'

const s = z.string()
const n = z.number()

const theirs = { open: false, names: (d: { owner: string }) => [{ word: d.owner, kind: 'owner' as const }] }

export const entries = {
  'machine.appraised': entry(
    z.object({ hoursLow: n, hoursHigh: n, costLow: n, costHigh: n, currency: s }),
    d => `Appraised: ${d.hoursLow} to ${d.hoursHigh} hours, ${money(d.costLow, d.currency)} to ${money(d.costHigh, d.currency)}.`,
    closed,
  ),
  'path.chosen': entry(z.object({ path: word<Path>(), reason: s }), d => `Path chosen: ${paths[d.path].title.toLowerCase()}. ${ending(d.reason)}`, closed),
  'consent.recorded': entry(
    z.object({ ...Agreement.said, currency: s }),
    d =>
      `Agreed with ${d.agreedWith}${d.agreedOn && ` ${onDay(d.agreedOn)}`}: ${d.allowed.map(w => worksAsked[w].toLowerCase()).join(', ') || 'nothing yet'}; up to ${money(d.upTo, d.currency)}${d.mustAsk && `; to be asked: ${d.mustAsk}`}.`,
    { open: false, names: d => [{ word: d.agreedWith, kind: 'owner' }] },
  ),
  'consent.passed-over': entry(
    z.object({ work: word<WorkAsked>(), reason: s }),
    d => `Its owner was not asked: ${worksAsked[d.work].toLowerCase()}. ${ending(d.reason)}`,
    closed,
  ),
  'money.spent': entry(z.object({ what: s, amount: n, currency: s }), d => `Spent ${money(d.amount, d.currency)}: ${ending(d.what)}`, {
    open: false,
    strikeable: true,
  }),
  'owner.written-to': entry(z.object({ owner: s, questions: z.array(s) }), d => `Letter to ${d.owner}: ${d.questions.map(ending).join(' ')}`, theirs),
  'owner.closed': entry(z.object({ owner: s }), d => `Closing letter to ${d.owner}.`, theirs),
} as const
