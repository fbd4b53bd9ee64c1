import { z } from 'zod'
import { word } from '../../kernel/fields'
import { lifeNames } from '#core/kernel/stages'
import { closed, ending, entry, shown } from '../../kernel/contract'

const s = z.string()
const b = z.boolean()

export const entries = {
  'life.chosen': entry(z.object({ life: word<keyof typeof lifeNames>() }), d => `Its life from now on: ${lifeNames[d.life].title.toLowerCase()}.`, shown),
  'demonstration.logged': entry(
    z.object({ minutes: z.number(), says: s, trouble: b }),
    d => `Ran before visitors for ${d.minutes} minutes${d.trouble ? ', with trouble' : ''}.${d.says && ` ${ending(d.says)}`}`,
    { open: d => `Ran before visitors for ${d.minutes} minutes.` },
    d => [d.says],
  ),
  'part.bagged': entry(
    z.object({ part: s, bag: s, why: s }),
    d => `Original kept: ${d.part}, in ${d.bag}.${d.why && ` ${ending(d.why)}`}`,
    closed,
    d => [d.why],
  ),
  'bag.ended': entry(z.object({ part: s, bag: s, became: s }), d => `No longer kept in ${d.bag}: ${d.part}. ${ending(d.became)}`, closed),
  'question.asked': entry(
    z.object({ question: s }),
    d => `Open question: ${ending(d.question)}`,
    shown,
    d => [d.question],
  ),
  'question.settled': entry(
    z.object({ question: s, answer: s }),
    d => `Question settled: ${ending(d.question)} ${ending(d.answer)}`,
    shown,
    d => [d.answer],
  ),
  'passport.pictures': entry(
    z.object({ before: s, after: s }),
    d => (d.before ? `On the passport, before and after: ${d.before}; ${ending(d.after)}` : 'No pictures on the passport any more.'),
    closed,
  ),
  'passport.switched': entry(
    z.object({ on: b, diary: b.default(false) }),
    d => (d.on ? `Public passport switched on${d.diary ? ', with losses and mishaps' : ''}.` : 'Public passport switched off.'),
    closed,
  ),
} as const
