import { z } from 'zod'
import { schoolNames } from '#core/safety/power-facts'
import { closed, entry } from '../../kernel/contract'
import { PracticeRow } from './rows'

const s = z.string()
const n = z.number()

export const entries = {
  'practice.set': entry(
    z.object(PracticeRow.said),
    d => `Practice of ${d.name}: ${schoolNames[d.school].title.toLowerCase()}, numbering ${d.numbering}, zone ${d.zone}.`,
    closed,
  ),
  'clock.confirmed': entry(
    z.object({ minutes: n }),
    d => `The clock is right, though it stands ${d.minutes} minutes behind earlier entries: those were written under a wrong one.`,
    closed,
  ),
  'history.noted': entry(
    z.object({ from: n, to: n, entries: n, digest: s }),
    d => `${d.entries} ${d.entries === 1 ? 'entry' : 'entries'} of all histories noted, by their hashes.`,
    closed,
  ),
} as const
