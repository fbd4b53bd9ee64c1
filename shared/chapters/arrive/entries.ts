import { z } from 'zod'
import type { PrivateWordKind } from '#core/sharing/private-words'
import { word } from '../../kernel/fields'
import { stageNames } from '#core/kernel/stages'
import { closed, ending, entry, observed, quote, shown } from '../../kernel/contract'
import { type Acquisition, acquisitionNames } from '../../kernel/acquisitions'
import { ClaimJudged } from './rows'
import { claimVerdictNames } from './words'

const s = z.string()
const b = z.boolean()

/** Fields of the identity that are private, by the words that the history writes them under. */
const privateFields = new Map<string, PrivateWordKind>([
  ['owner', 'owner'],
  ['from whom', 'giver'],
  ['place', 'place'],
  ['powered by', 'person'],
])
/** Fields that other entries quote. */
const quotedFields = ['model', 'maker', 'nickname', 'serial number']

export const entries = {
  'machine.booked-in': entry(z.object({ tag: s, name: s, maker: s }), d => `Booked in as ${d.tag}: ${d.name}${d.maker && ` by ${d.maker}`}.`, {
    // What it is called may be put right later; a passport says that in its head.
    open: d => `Booked in as ${d.tag}.`,
  }),
  'provenance.recorded': entry(
    z.object({ acquired: word<Acquisition>(), fromWhom: s, owner: s }),
    d => `${acquisitionNames[d.acquired]}, from ${d.fromWhom}${d.owner && `; it belongs to ${d.owner}`}.`,
    {
      open: false,
      names: d => [
        { word: d.fromWhom, kind: 'giver' },
        { word: d.owner, kind: 'owner' },
      ],
    },
  ),
  'identity.corrected': entry(
    z.object({ changes: z.array(z.object({ field: s, from: s, to: s })) }),
    d => `Identity corrected: ${d.changes.map(c => `${c.field} ${quote(c.from || 'nothing')} to ${quote(c.to || 'nothing')}`).join('; ')}.`,
    {
      open: false,
      replaces: d => d.changes.filter(c => quotedFields.includes(c.field)),
      names: d =>
        d.changes.flatMap(({ field, from, to }) => {
          const kind = privateFields.get(field)
          return kind ? [from, to].map(word => ({ word, kind })) : []
        }),
    },
  ),
  'model.joined': entry(z.object({ name: s }), d => `It is one of the model ${d.name}: what is known of that model holds for it.`, shown),
  'claim.recorded': entry(z.object({ says: s, byWhom: s }), d => `Claimed${d.byWhom && ` by ${d.byWhom}`}: ${quote(d.says)}`, {
    open: false,
    strikeable: true,
    names: d => [{ word: d.byWhom, kind: 'giver' }],
  }),
  'claim.judged': entry(
    z.object({ says: s, ...ClaimJudged.said }),
    d => `Claim ${quote(d.says)}: ${claimVerdictNames[d.verdict].toLowerCase()}. ${ending(d.because)}`,
    closed,
    d => [d.because],
  ),
  'last-powered.recorded': entry(
    z.object({ when: s, byWhom: s, what: s }),
    d => `Last powered ${d.when || 'at a time nobody knows'}${d.byWhom && ` by ${d.byWhom}`}${d.what && `: ${ending(d.what)}`}`,
    { open: false, names: d => [{ word: d.byWhom, kind: 'person' }] },
  ),
  'accessory.noted': entry(
    z.object({ name: s }),
    d => `Came with it: ${ending(d.name)}`,
    observed,
    d => [d.name],
  ),
  'date-code.read': entry(
    z.object({ part: s, code: s, reworked: b.default(false), socketed: b.default(false), says: s }),
    d => `Date code ${d.code}${d.part && ` on ${d.part}`}${d.reworked ? ', reworked' : ''}${d.socketed ? ', in a socket' : ''}: ${d.says}.`,
    observed,
  ),
  'stage.moved': entry(
    z.object({ from: word<keyof typeof stageNames>(), to: word<keyof typeof stageNames>() }),
    d => `Moved from ${stageNames[d.from]} to ${stageNames[d.to]}.`,
    shown,
  ),
  'bench.changed': entry(z.object({ onBench: b }), d => (d.onBench ? 'Put on the bench.' : 'Taken off the bench.'), shown),
} as const
