import { z } from 'zod'
import { word } from '../../kernel/fields'
import { stageNames } from '#core/planning/stages'
import { closed, ending, entry, observed, quote } from '../../kernel/contract'
import { type Acquisition, acquisitionNames } from '../../kernel/acquisitions'
import { type ClaimVerdict, claimVerdictNames } from './words'

const s = z.string()
const b = z.boolean()

export const entries = {
  'machine.booked-in': entry(z.object({ tag: s, name: s, maker: s }), d => `Booked in as ${d.tag}: ${d.name}${d.maker && ` by ${d.maker}`}.`),
  'provenance.recorded': entry(
    z.object({ acquired: word<Acquisition>(), fromWhom: s, owner: s }),
    d => `${acquisitionNames[d.acquired]}, from ${d.fromWhom}${d.owner && `; it belongs to ${d.owner}`}.`,
    closed,
  ),
  'identity.corrected': entry(
    z.object({ changes: z.array(z.object({ field: s, from: s, to: s })) }),
    d => `Identity corrected: ${d.changes.map(c => `${c.field} ${quote(c.from || 'nothing')} to ${quote(c.to || 'nothing')}`).join('; ')}.`,
    closed,
  ),
  'claim.recorded': entry(z.object({ says: s, byWhom: s }), d => `Claimed${d.byWhom && ` by ${d.byWhom}`}: ${quote(d.says)}`, {
    open: false,
    strikeable: true,
  }),
  'claim.judged': entry(
    z.object({ says: s, verdict: word<ClaimVerdict>(), because: s }),
    d => `Claim ${quote(d.says)}: ${claimVerdictNames[d.verdict].toLowerCase()}. ${ending(d.because)}`,
    closed,
  ),
  'last-powered.recorded': entry(
    z.object({ when: s, byWhom: s, what: s }),
    d => `Last powered ${d.when || 'at a time nobody knows'}${d.byWhom && ` by ${d.byWhom}`}${d.what && `: ${ending(d.what)}`}`,
    closed,
  ),
  'accessory.noted': entry(z.object({ name: s }), d => `Came with it: ${ending(d.name)}`, observed),
  'date-code.read': entry(
    z.object({ part: s, code: s, reworked: b.default(false), socketed: b.default(false), says: s }),
    d => `Date code ${d.code}${d.part && ` on ${d.part}`}${d.reworked ? ', reworked' : ''}${d.socketed ? ', in a socket' : ''}: ${d.says}.`,
    observed,
  ),
  'stage.moved': entry(
    z.object({ from: word<keyof typeof stageNames>(), to: word<keyof typeof stageNames>() }),
    d => `Moved from ${stageNames[d.from]} to ${stageNames[d.to]}.`,
  ),
  'bench.changed': entry(z.object({ onBench: b }), d => (d.onBench ? 'Put on the bench.' : 'Taken off the bench.')),
} as const
