import { writtenDay } from '#core/kernel/days'
import { z } from 'zod'
import { touchesSupply } from '#core/power/mended'
import { closed, ending, entry, observed, quote, shown } from '../../kernel/contract'
import { Repair } from './rows'

const s = z.string()
const b = z.boolean()

const states: Record<string, string> = { held: 'is held again', struck: 'is refuted', confirmed: 'is confirmed' }
const mapNames: Record<string, string> = { ladder: 'Rules of the ladder', keyboard: 'Keyboard map', memory: 'Memory map' }
const outcomes: Record<string, string> = { works: 'it works', fails: 'it fails', sometimes: 'it fails sometimes' }
const stays: Record<string, string> = {
  'known': 'stays open as known; nobody works on it',
  'came-back': 'came back by itself: it stays open as intermittent',
  '': 'is worked on again',
}

/** Entries of former days say nothing of a cause. */
const Repaired = z.object({ symptom: s, ...Repair.said, cause: s.optional() })
const repaired = (d: z.infer<typeof Repaired>) =>
  [
    `Repair on ${quote(d.symptom)}: ${ending(d.did)}`,
    d.part ? `${d.part} replaced${d.partFrom ? `, from ${d.partFrom}` : ''}.` : '',
    d.cause ? `It was: ${ending(d.cause)}` : '',
    d.closes ? 'That closed it.' : 'It did not close it.',
    d.reversible ? '' : 'It cannot be undone.',
    d.feedsRails ? 'It touched what feeds the rails.' : '',
    // Its words would have said so; who did it says that it is not.
    d.feedsRails === false && touchesSupply(d.did, d.part) ? 'Nothing that feeds a rail was touched.' : '',
  ]
    .filter(Boolean)
    .join(' ')

export const entries = {
  'fault.tried': entry(
    z.object({ symptom: s, did: s, minutes: z.number().nullable(), parts: z.array(s), outcome: s, trusted: b }),
    d =>
      `Tried on ${quote(d.symptom)}: ${ending(d.did)}${d.parts.length ? ` With ${d.parts.join(', ')} ${outcomes[d.outcome] ?? d.outcome}.` : ''}${d.trusted ? '' : ' Its own equipment was in doubt.'}${d.minutes === null ? '' : ` ${d.minutes} minutes.`}`,
    shown,
    d => [d.did],
  ),
  'fault.parts': entry(z.object({ symptom: s, parts: z.number() }), d => `Parts that take part in swaps on ${quote(d.symptom)}: ${d.parts}.`, closed),
  'benchmap.kept': entry(z.object({ model: s, kind: s }), d => `${mapNames[d.kind] ?? d.kind} of ${d.model} kept.`, closed),
  'code.noted': entry(z.object({ model: s, code: s, says: s }), d => `Code ${d.code} of ${d.model}: ${ending(d.says)}`, closed),
  'theory.held': entry(
    z.object({ symptom: s, says: s, why: s, wouldRefute: s }),
    d => `Theory on ${quote(d.symptom)}: ${ending(d.says)} ${ending(d.why)} It would be refuted by: ${ending(d.wouldRefute)}`,
    // Whose theory it was is nobody's business outside.
    closed,
  ),
  'theory.judged': entry(
    z.object({ symptom: s, says: s, state: s, why: s }),
    d => `Theory on ${quote(d.symptom)}, ${quote(d.says)}, ${states[d.state] ?? d.state}: ${ending(d.why)}`,
    closed,
    d => [d.why],
  ),
  'fault.left': entry(
    z.object({ symptom: s, leftAs: s, says: s }),
    d => `${quote(d.symptom)} ${stays[d.leftAs] ?? d.leftAs}. ${ending(d.says)}`,
    shown,
    d => [d.says],
  ),
  'fault.reported': entry(
    z.object({ symptom: s, firstSeen: s, stopsMachine: b }),
    d => `Fault reported: ${d.symptom}${d.firstSeen && `, first seen ${writtenDay(d.firstSeen)}`}${d.stopsMachine ? '; it stops the machine' : ''}.`,
    shown,
    d => [d.symptom],
  ),
  'fault.changed': entry(
    z.object({ from: s, to: s, stopsMachine: b }),
    d => `Fault now reads: ${d.to}${d.stopsMachine ? '; it stops the machine' : '; it does not stop the machine'}.`,
    { open: true, corrects: true, replaces: d => [d] },
    d => [d.to],
  ),
  'fault.observed': entry(
    z.object({ symptom: s, says: s }),
    d => `Observed on ${quote(d.symptom)}: ${ending(d.says)}`,
    observed,
    d => [d.says],
  ),
  'fault.repaired': entry(
    Repaired,
    repaired,
    // Where a part came from may be somebody's name.
    { open: d => repaired({ ...d, partFrom: '' }) },
    d => [d.did],
  ),
} as const
