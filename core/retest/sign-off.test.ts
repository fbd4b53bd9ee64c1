import { expect, it } from 'vitest'
import { type SignOffInput, judgeSignOff } from './sign-off'

const ready: SignOffInput = { gate: 'clear-to-run', rails: 'good', underLoad: true, stepsUndone: 0, openFaults: [], runningWaits: [], whole: true }

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
])('refuses with %o', (change, code) => {
  const result = judgeSignOff({ ...ready, ...change })
  expect(result.allowed).toBe(false)
  expect(result.findings.filter(f => f.level === 'stop').map(f => f.code)).toEqual([code])
})
