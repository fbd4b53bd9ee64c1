import { expect, it } from 'vitest'
import { ready } from '../../tests/support/ready-to-sign-off'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { type SignOffInput, judgeSignOff } from './sign-off'

it('allows what nothing stands against, and a lesser fault with care', () => {
  expect(judgeSignOff(ready).allowed).toBe(true)
  expect(judgeSignOff({ ...ready, openFaults: [{ symptom: 'ghosting', stopsMachine: false }] })).toMatchObject({
    allowed: true,
    findings: expect.arrayContaining([expect.objectContaining({ level: 'care' })]) as unknown,
  })
})

it.each<[Partial<SignOffInput>, string]>([
  [{ gate: 'guarded-start' }, 'sign-off.gate'],
  [{ rails: 'reread' }, 'sign-off.rails'],
  [{ rails: 'unread' }, 'sign-off.rails'],
  [{ underLoad: false }, 'sign-off.rails'],
  [{ openFaults: [{ symptom: 'no picture', stopsMachine: true }] }, 'sign-off.fault'],
  [{ runningWaits: ['drying'] }, 'sign-off.wait'],
  [{ whole: false }, 'sign-off.configuration'],
  [{ soaks: [{ what: 'memory test', verdict: 'go-on', left: 9, given: false, failed: false, stands: true }] }, 'sign-off.soak-left'],
  [{ buildUp: { done: false, says: 'Next goes in: Drive A.' } }, 'sign-off.build-up'],
  [{ testSheet: { done: false, left: ['Ports'], failed: [] } }, 'sign-off.test-left'],
  [{ testSheet: { done: false, left: [], failed: ['Sound'] } }, 'sign-off.test'],
  [{ soaks: [{ what: 'memory test', verdict: 'not-cured', left: null, given: false, failed: true, stands: true }] }, 'sign-off.soak'],
])('refuses with %o', (change, code) => {
  const result = judgeSignOff({ ...ready, ...change })
  expect(result.allowed).toBe(false)
  expect(result.findings.filter(f => f.level === 'stop').map(f => f.code)).toEqual([code])
})

it('tells of what came and went, was mended, and was not soaked since', () => {
  const fault = {
    ...{ symptom: 'Drops a memory test', symptoms: ['sometimes'], stopsMachine: true, open: false, leftAs: '' as const },
    ...{ observations: [], attempts: [], theories: [], repairs: [{ at: '2026-03-01T10:00:00.000Z' }] },
  }
  const soak = { what: 'Memory test', seenFailures: 1, seenPasses: 60, confidence: 0.95, passes: 1140, failures: 0, endedAt: null }
  const told = (record: Partial<MachineRecord>) =>
    assess({ ...settled, ...record } as MachineRecord, now)
      .known.signOff.findings.filter(f => f.code === 'sign-off.not-soaked')
      .map(f => f.level)
  expect(told({ faults: [fault] })).toEqual(['care'])
  expect(told({ faults: [{ ...fault, symptoms: [], attempts: [{ area: 'memory', minutes: null, trial: { outcome: 'sometimes' } }] }] })).toEqual(['care'])
  expect(told({ faults: [fault], soaks: [{ ...soak, startedAt: '2026-02-01T10:00:00.000Z' }] })).toEqual(['care'])
  expect(told({ faults: [fault], soaks: [{ ...soak, passes: 9, startedAt: '2026-03-01T11:00:00.000Z' }] })).toEqual(['care'])
  expect(told({ faults: [fault], soaks: [{ ...soak, startedAt: '2026-03-01T11:00:00.000Z' }] })).toEqual([])
  expect(told({ faults: [{ ...fault, symptoms: ['always'] }] })).toEqual([])
  expect(told({ faults: [{ ...fault, open: true }] })).toEqual([])
})

it('is told of a soak that was given up or passed, and held by one that failed, ended or not', () => {
  for (const [verdict, failed, stands, level] of [
    ['cured', false, false, 'fine'],
    ['go-on', false, true, 'care'],
    ['not-cured', true, true, 'stop'],
    ['not-cured', true, false, 'note'],
  ] as const) {
    const { allowed, findings } = judgeSignOff({ ...ready, soaks: [{ what: 'memory test', verdict, left: null, given: true, failed, stands }] })
    expect([allowed, findings.find(f => f.code === 'sign-off.soak')!.level]).toEqual([level !== 'stop', level])
  }
})

it('says that nothing was tested by a sheet, where there was none', () => {
  const codes = (testSheet: SignOffInput['testSheet']) => judgeSignOff({ ...ready, testSheet }).findings.map(f => `${f.level} ${f.code}`)
  expect(codes(null)).toContain('care sign-off.no-test')
  expect(codes({ done: true, left: [], failed: [] })).not.toContain('care sign-off.no-test')
  expect(codes({ done: false, left: ['Ports'], failed: ['Sound'] })).toEqual(expect.arrayContaining(['stop sign-off.test', 'stop sign-off.test-left']))
})
