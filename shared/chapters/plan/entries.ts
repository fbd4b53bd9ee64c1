import { writtenDay } from '#core/kernel/days'
import { counted } from '#core/kernel/figure'
import { z } from 'zod'
import { closed, ending, entry, quote } from '../../kernel/contract'

const s = z.string()
const n = z.number()

export const entries = {
  'job.started': entry(z.object({ says: s, hands: z.array(s), guessMinutes: n }), d => `${d.hands.join(' and ')} took in hand: ${ending(d.says)}`, closed),
  'job.done': entry(
    z.object({ says: s, hands: z.array(s), minutes: n, did: s }),
    d => `Done${d.minutes ? ` in ${d.minutes} min` : ''}: ${ending(d.says)}${d.did && ` ${ending(d.did)}`}`,
    closed,
    d => [d.did],
  ),
  'job.reopened': entry(z.object({ says: s }), d => `Not done after all: ${ending(d.says)}`, closed),
  'job.handed-on': entry(
    z.object({ says: s, note: s }),
    d => `Handed on: ${ending(d.says)} ${quote(d.note)}`,
    closed,
    d => [d.note],
  ),
  'evening.here': entry(z.object({ name: s, day: s, until: s }), d => `${d.name} is here on ${writtenDay(d.day)}.`, closed),
  'evening.left': entry(z.object({ name: s, day: s }), d => `${d.name} went home on ${writtenDay(d.day)}.`, closed),
  'evening.dealt': entry(
    z.object({ day: s, people: n, jobs: n }),
    d => `The evening of ${writtenDay(d.day)} was dealt out: ${counted(d.jobs, 'job')}, ${counted(d.people, 'person', 'people')}.`,
    closed,
  ),
  'evening.told': entry(z.object({ day: s, to: s }), d => `The story of ${writtenDay(d.day)} was written${d.to && ` to ${d.to}`}.`, closed),
} as const
