import { expect, it } from 'vitest'
import { judgeOutcome } from '../stewardship/outcome'
import { proposeBulletins } from './bulletins'
import { judgeJob, judgePrinter, mediaFor, mediaSizeMm } from '../printing/printer'

const seen = { name: 'x', state: 'idle', reasons: ['none'], accepting: true, formats: ['application/pdf'], media: [] }

it('a printer says in words why it waits; warnings hold nothing up', () => {
  expect(judgePrinter(seen)).toEqual({ ready: true, says: 'The printer is ready.' })
  expect(judgePrinter({ ...seen, state: 'stopped', reasons: ['media-empty-error'] })).toEqual({ ready: false, says: 'The printer is waiting: out of paper.' })
  expect(judgePrinter({ ...seen, reasons: ['toner-low-warning', 'media-low-report'] }).ready).toBe(true)
  expect(judgePrinter({ ...seen, accepting: false }).ready).toBe(false)
  expect(judgePrinter({ ...seen, state: 'stopped', reasons: ['spool-area-full'] }).says).toContain('spool-area-full')
  expect(judgePrinter({ ...seen, formats: ['image/urf'] }).says).toContain('neither PDF nor PNG')
})

it('media are measured by their names (PWG 5101.1), in millimetres and inches', () => {
  expect(mediaSizeMm('iso_a6_105x148mm')).toEqual({ widthMm: 105, heightMm: 148 })
  expect(mediaSizeMm('na_index-3x5_3x5in')).toEqual({ widthMm: expect.closeTo(76.2) as number, heightMm: expect.closeTo(127) as number })
  expect(mediaSizeMm('labels')).toBeNull()
  expect(mediaFor(['auto', 'na_index-3x5_3x5in']).name).toBe('na_index-3x5_3x5in')
  expect(mediaFor([]).name).toBe('iso_a6_105x148mm')
})

it('a job is on its way until the printer has done with it', () => {
  expect([judgeJob('processing', []), judgeJob('pending-held', [])]).toEqual([null, null])
  expect(judgeJob('completed', [])).toEqual({ printed: true, says: 'Printed.' })
  expect(judgeJob('aborted', ['document-format-error'])).toEqual({ printed: false, says: 'The printer broke off the job: document-format-error.' })
})

it('bulletins are proposed by causes, in the words of those who found them, and not twice', () => {
  const causes = [{ cause: 'Tail cracked', right: 2, of: 3, machines: ['SH-1', 'SH-2'] }]
  const faults = [
    { cause: 'tail cracked.', symptom: 'Dead columns', did: 'New tail' },
    { cause: 'Tail cracked', symptom: 'Dead columns', did: '' },
    { cause: 'other', symptom: 'x', did: 'y' },
  ]
  expect(proposeBulletins(causes, faults, [])).toEqual([
    {
      cause: 'Tail cracked',
      happens: 'Tail cracked',
      seeBy: 'Dead columns',
      doThis: 'New tail',
      evidence: 'Right in 2 of 3 faults whose end is known: SH-1, SH-2.',
      machines: 2,
    },
  ])
  expect(proposeBulletins(causes, faults, [{ cause: 'TAIL CRACKED' }])).toEqual([])
})

it('what it took is held against what was thought, and an estimate that was missing is said to be', () => {
  const codes = (worked: number, low: number | null, high: number | null) =>
    judgeOutcome({ hours: { worked, low, high }, money: { spent: 5, low: 0, high: 10, currency: 'EUR' }, faults: { closed: 1, open: 0 } }).map(f => [
      f.code,
      f.level,
    ])
  expect(codes(30, 10, 20)[0]).toEqual(['outcome.hours.grew', 'care'])
  expect(codes(15, 10, 20)[0]).toEqual(['outcome.hours.held', 'fine'])
  expect(codes(15, null, null)[0]).toEqual(['outcome.hours.no-estimate', 'note'])
})
