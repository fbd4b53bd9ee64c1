import { expect, it } from 'vitest'
import { serverBench } from '../../../tests/support/server-bench'

const on = serverBench()
const { perform, sheet } = on
const begin = (tag: string, more: object = {}) =>
  (
    perform(tag, 'begin-soak', { what: 'Memory test', seenFailures: 1, seenPasses: 20, confidencePct: 95, secondsAPass: null, ...more } as never) as {
      soakId: number
    }
  ).soakId
const against = (tag: string) => sheet(tag).signOff.findings.find(f => f.code === 'sign-off.soak')

it('a soak stands against the sign-off until it is passed, and is kept whatever becomes of the page or the server', () => {
  const tag = on.bookIn({})
  expect(() => begin(tag, { seenFailures: 20 })).toThrow('needs no soak')
  expect(() => begin(tag, { seenFailures: 0 })).toThrow('at least one')
  const soakId = begin(tag)
  expect(against(tag)).toMatchObject({ level: 'stop', says: 'Soak not finished: Memory test.' })
  const tally = (passes: number, failures = 0) => perform(tag, 'tally-soak', { soakId, passes, failures } as never)
  expect(() => tally(1, 2)).toThrow('no more than the 1')
  tally(30)
  expect(() => perform(tag, 'end-soak', { soakId, note: '' } as never)).toThrow('not decided yet')
  // One in twenty, 95 %: 59 clean passes (n = ln 0.05 / ln 0.95).
  tally(28)
  expect(against(tag)!.level).toBe('stop')
  tally(1)
  expect(against(tag)).toMatchObject({ level: 'fine' })
  perform(tag, 'end-soak', { soakId, note: '' } as never)
  expect(() => tally(1)).toThrow('has ended')
  expect(sheet(tag).soaks).toMatchObject([{ passes: 59, failures: 0 }])
})

it('one failure says not cured, and keeps it from being signed off', () => {
  const tag = on.bookIn({})
  const soakId = begin(tag)
  perform(tag, 'tally-soak', { soakId, passes: 40, failures: 1 } as never)
  expect(against(tag)).toMatchObject({ level: 'stop', says: 'Soak failed: Memory test.' })
  perform(tag, 'end-soak', { soakId, note: 'Written down as a fault' } as never)
  expect(against(tag)!.level).toBe('care')
})
