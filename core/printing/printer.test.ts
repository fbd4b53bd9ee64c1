import { expect, it } from 'vitest'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { formatFor, judgeJob, judgePrinter, mediaFor, mediaSizeMm, usualMedia } from './printer'

const seen = { name: 'x', state: 'idle', reasons: [] as string[], accepting: true, formats: ['application/pdf'], media: [] }

// Keywords of printer-state-reasons: RFC 8011, 5.4.12.
it.each([
  ['media-needed-error', 'out of paper'],
  ['media-jam-error', 'paper is jammed'],
  ['door-open', 'a cover is open'],
  ['marker-supply-empty-error', 'out of ink or toner'],
  ['paused', 'paused'],
  ['offline', 'offline'],
  ['stopping', 'stopping'],
])('%s is told as: %s', (reason, words) =>
  expect(judgePrinter({ ...seen, reasons: [reason] })).toEqual({ ready: false, says: `The printer is waiting: ${words}.` }),
)

it('what somebody would see to first is told first, and what holds nothing up is not told', () => {
  expect(judgePrinter({ ...seen, reasons: ['paused', 'media-empty-error'] }).says).toContain('out of paper')
  expect(judgePrinter({ ...seen, reasons: ['media-empty-warning', 'paused-report'] }).ready).toBe(true)
  expect(judgePrinter({ ...seen, state: 'processing' })).toEqual({ ready: true, says: 'The printer is at work.' })
  expect(judgePrinter({ ...seen, state: 'stopped' }).says).toBe('The printer has stopped.')
  expect(judgePrinter({ ...seen, state: 'stopped', reasons: ['odd-warning', 'odd'] }).says).toBe('The printer has stopped: odd.')
  expect(judgePrinter({ ...seen, accepting: false }).says).toBe('The printer takes no jobs just now.')
})

it('a job that was cancelled or broken off says so, with what held it', () => {
  expect([judgeJob('canceled', []), judgeJob('aborted', ['none', 'x-report'])].map(j => j?.says)).toEqual([
    'The printer cancelled the job.',
    'The printer broke off the job.',
  ])
  expect(judgeJob('pending', ['none'])).toBeNull()
})

it('a label is no larger than A3 and no smaller than a stamp, and PDF comes before PNG', () => {
  const size = (width: number, height: number, unit = 'mm') => mediaSizeMm(`om_x_${width}x${height}${unit}`) !== null
  expect([size(297, 420), size(298, 420), size(297, 421), size(20, 15), size(19.9, 15), size(20, 14.9), size(4, 6, 'in')]).toEqual([
    true,
    false,
    false,
    true,
    false,
    false,
    true,
  ])
  expect(mediaFor(['om_x_9x9mm', 'iso_a6_105x148mm'])).toEqual({ ...usualMedia })
  expect([formatFor(['image/png', 'application/pdf']), formatFor(['image/png']), formatFor([])]).toEqual(['application/pdf', 'image/png', undefined])
})

it('a part that is wanted stands in the run, and is looked for by a coordinator where a start hangs on it', () => {
  const of = (...partNeeds: MachineRecord['partNeeds'][number][]) => assess({ ...settled, partNeeds } as MachineRecord, now)
  const need = (stopsStart: boolean, outcome = 'wanted', workaround = '') =>
    ({ id: 1, quantity: 1, name: 'Fuse', stops: stopsStart ? 'start' : 'function', affects: 'sound', workaround, outcome }) as const
  const told = (...needs: ReturnType<typeof need>[]) => [
    of(...needs).run[4]?.steps.map(s => s.says),
    of(...needs)
      .moves.filter(m => m.code === 'part')
      .map(m => m.who),
  ]
  expect(told(need(true))).toEqual([['Find Fuse'], ['the coordinator']])
  expect(told(need(false))).toEqual([['Find Fuse'], []])
  expect(told(need(true, 'fitted'))).toEqual([[], []])
  expect(told(need(true, 'wanted', 'a wire across it'))).toEqual([['Find Fuse'], []])
})

it('what came of a sister is read where nobody has, with what it is seen by', () => {
  const bulletins = (...unreadBulletins: MachineRecord['unreadBulletins'][number][]) =>
    assess({ ...settled, unreadBulletins } as MachineRecord, now)
      .moves.filter(m => m.code === 'bulletin')
      .map(m => m.why)
  expect(bulletins({ happens: 'x', seeBy: 'dead columns' }, { happens: 'y', seeBy: '' })).toEqual(['dead columns', 'A bulletin of its model tells of it.'])
  expect(bulletins()).toEqual([])
})
