import { z } from 'zod'
import { word } from '../../kernel/fields'
import { lifeNames } from '#core/planning/stages'
import { closed, ending, entry } from '../../kernel/contract'

const s = z.string()
const b = z.boolean()

export const entries = {
  'life.chosen': entry(z.object({ life: word<keyof typeof lifeNames>() }), d => `Its life from now on: ${lifeNames[d.life].title.toLowerCase()}.`),
  'question.asked': entry(z.object({ question: s }), d => `Open question: ${ending(d.question)}`),
  'question.settled': entry(z.object({ question: s, answer: s }), d => `Question settled: ${ending(d.question)} ${ending(d.answer)}`),
  'passport.pictures': entry(
    z.object({ before: s, after: s }),
    d => (d.before ? `On the passport, before and after: ${d.before}; ${ending(d.after)}` : 'No pictures on the passport any more.'),
    closed,
  ),
  'passport.switched': entry(z.object({ on: b }), d => (d.on ? 'Public passport switched on.' : 'Public passport switched off.'), closed),
} as const
