import { ready } from '../../tests/support/ready-to-sign-off'
import { describe, expect, it } from 'vitest'
import { judgeDemonstrations, judgeLife } from './life'
import { allowedWith, judgeSignOff, judgeSigner, limitWords } from './sign-off'
import { readSoakLog, readingPasses } from './soak-log'
import { type LineSeen, type TestLine, checkLines, checkLook, judgeTestSheet, lineStates, testedWords, usualLines } from './test-sheet'
import { judgeUnattended } from './unattended'

// Common practice, no source.
const lines: TestLine[] = [
  { says: 'Keys', kind: 'works', expect: '', unit: '', from: null, to: null, hours: null },
  { says: 'Heat', kind: 'figure', expect: '', unit: '°C', from: null, to: 65, hours: null },
  { says: 'Clock', kind: 'overnight', expect: '', unit: '', from: null, to: null, hours: 8 },
]
const at = (hour: number) => new Date(Date.UTC(2026, 2, 3, hour)).toISOString()
const look = (line: number, outcome: LineSeen['outcome'], value: number | null = null, hour = 0): LineSeen => ({ line, outcome, value, at: at(hour) })

describe('a test sheet', () => {
  it('is done once every line has passed, or is not there', () => {
    const seen = [look(0, 'passed'), look(1, 'passed', 40), look(2, 'not-there')]
    expect(judgeTestSheet(lines, seen)).toMatchObject({ done: true, left: [], failed: [] })
    expect(judgeTestSheet(lines, seen.slice(0, 2))).toMatchObject({ done: false, left: ['Clock'] })
    expect(judgeTestSheet(lines, [...seen, look(0, 'failed')])).toMatchObject({ done: false, failed: ['Keys'] })
    // What has nothing of all that has not been tested.
    expect(
      judgeTestSheet(
        lines,
        [0, 1, 2].map(i => look(i, 'not-there')),
      ),
    ).toMatchObject({ done: false, findings: [{ code: 'test.nothing', level: 'stop' }] })
    // What a sign-off begins with names what passed by its newest look, and nothing that is not there.
    expect(testedWords(lines, seen)).toBe('Keys, Heat')
    expect(testedWords(lines, [...seen, look(0, 'failed')])).toBe('Heat')
    // Mended and tested again: the newest counts.
    expect(judgeTestSheet(lines, [...seen, look(0, 'failed'), look(0, 'passed')]).done).toBe(true)
  })

  it('lets nobody pass a figure that is out, nor a night that was not slept through', () => {
    const [, heat, clock] = lineStates(lines, [look(2, 'left-alone', null, 0)])
    expect(() => checkLook(lines[1]!, heat!, look(1, 'passed', 66))).toThrow('out of its limits')
    expect(() => checkLook(lines[1]!, heat!, look(1, 'failed', 60))).toThrow('within its limits')
    expect(() => checkLook(lines[1]!, heat!, look(1, 'passed'))).toThrow('give the figure')
    expect(() => checkLook(lines[2]!, clock!, look(2, 'passed', null, 7))).toThrow('8 hours are not over')
    expect(() => checkLook(lines[2]!, clock!, look(2, 'passed', null, 8))).not.toThrow()
    expect(() => checkLook(lines[2]!, lineStates(lines, [])[2]!, look(2, 'passed', null, 9))).toThrow('leave it alone first')
  })

  it('tells of a figure that was out before, and of one that still rises', () => {
    const code = (seen: LineSeen[]) => judgeTestSheet(lines, seen).findings.map(f => f.code)
    expect(code([look(1, 'failed', 70), look(1, 'passed', 50)])).toContain('test.was-out')
    expect(code([look(1, 'passed', 40), look(1, 'passed', 62, 1)])).toContain('test.rising')
    expect(code([look(1, 'passed', 40), look(1, 'passed', 44, 1)])).not.toContain('test.rising')
  })

  it('has lines that can be judged, and usual ones for what a machine has', () => {
    expect(() => checkLines([{ ...lines[1]!, to: null }])).toThrow('needs a limit')
    expect(() => checkLines([{ ...lines[2]!, hours: null }])).toThrow('how many hours')
    expect(() => checkLines([lines[0]!, lines[0]!])).toThrow('there already')
    expect(() => checkLines(usualLines(['Keyboard', 'Drive A', 'Display'].map(name => ({ name, role: null }))))).not.toThrow()
    expect(usualLines([{ name: 'Main board', role: null }]).map(l => l.says)).not.toContain('Drives')
    expect(usualLines([{ name: 'Grey box', role: 'drive' }]).map(l => l.says)).toContain('Drives')
  })
})

describe('who signs, and within which limits', () => {
  it('whoever repaired it does not, unless nobody else could', () => {
    expect(judgeSigner(1, [1, 2], 3)).toMatchObject([{ level: 'stop' }])
    expect(judgeSigner(1, [1], 0)).toMatchObject([{ level: 'care' }])
    expect(judgeSigner(3, [1, 2], 3)).toEqual([])
  })

  it('limits pass over what only long use would show, and nothing else', () => {
    const limits = { hoursADay: 2, attended: true, noOriginalMedia: true }
    const unfinished = judgeSignOff({
      ...ready,
      soaks: [{ what: 'x', verdict: 'go-on', left: 4, given: false, failed: false, stands: true }],
      testSheet: { done: false, left: ['Clock'], failed: [] },
    })
    expect([
      unfinished.allowed,
      allowedWith(unfinished, limits),
      allowedWith(unfinished, { ...limits, attended: false }),
      allowedWith(unfinished, null),
    ]).toEqual([false, true, false, false])
    for (const change of [
      { gate: 'keep-off' as const },
      { openFaults: [{ symptom: 'x', stopsMachine: true }] },
      { rails: 'out' as const },
      { whole: false },
      { runningWaits: ['x'] },
      { testSheet: { done: false, left: [], failed: ['Keys'] } },
    ])
      expect(allowedWith(judgeSignOff({ ...ready, soaks: [], testSheet: null, ...change }), limits)).toBe(false)
    expect(limitWords(limits)).toBe('for demonstration: attended, up to 2 h a day, no original media')
  })
})

describe('a life', () => {
  const fit = { gateInForce: 'clear-to-run' as const, signedOff: true, limits: null, wornFeet: [] as string[] }
  const stops = (life: Parameters<typeof judgeLife>[0], more: object = {}) =>
    judgeLife(life, { ...fit, ...more })
      .filter(f => f.level === 'stop')
      .map(f => f.code)
  it('before hands takes sound feet, a gate that is open and a sign-off without limits', () => {
    expect(stops('hands-on')).toEqual([])
    expect(stops('hands-on', { wornFeet: ['rear feet'] })).toEqual(['life.feet'])
    expect(stops('hands-on', { limits: { hoursADay: 2, attended: true, noOriginalMedia: false } })).toEqual(['life.limits'])
    expect(stops('hands-on', { signedOff: false, gateInForce: 'keep-off' })).toEqual(['life.gate', 'life.not-signed-off'])
  })
  it('under glass leaves worn feet, and shown now and then warns of them', () => {
    expect(judgeLife('gallery', { ...fit, signedOff: false, wornFeet: ['rear feet'] }).map(f => f.level)).toEqual(['fine', 'fine'])
    expect(judgeLife('store', { ...fit, gateInForce: 'keep-off' })[0]).toMatchObject({ level: 'care', code: 'life.rests-off' })
    expect(judgeLife('demonstration', { ...fit, wornFeet: ['rear feet'] }).some(f => f.code === 'life.feet' && f.level === 'care')).toBe(true)
  })
  it('is told when it ran longer on a day than was signed off', () => {
    const shown = [at(10), at(12)].map(a => ({ at: a, minutes: 70 }))
    const day = (a: string) => a.slice(0, 10)
    expect(judgeDemonstrations(shown, { hoursADay: 2, attended: true, noOriginalMedia: false }, day)).toMatchObject([
      { level: 'care', says: expect.stringContaining('2.33 h on 3 Mar 2026') as string },
    ])
    expect(judgeDemonstrations(shown, { hoursADay: 3, attended: true, noOriginalMedia: false }, day)).toEqual([])
    expect(judgeDemonstrations(shown, null, day)).toEqual([])
  })
})

it('a soak is left alone only where the gate is clear and the practice allows it', () => {
  const levels = (gate: 'clear-to-run' | 'guarded-start' | 'keep-off', school: string, filterReplaced: boolean) =>
    judgeUnattended({ gate, school, filterReplaced })[0]!.level
  expect(levels('keep-off', 'caps-first', true)).toBe('stop')
  expect(levels('guarded-start', 'caps-first', true)).toBe('care')
  expect(levels('clear-to-run', 'baseline-first', false)).toBe('care')
  expect(levels('clear-to-run', 'baseline-first', true)).toBe('note')
  // Under caps first the gate has seen to the filter already.
  expect(levels('clear-to-run', 'caps-first', false)).toBe('note')
})

describe('the log of a soak', () => {
  const counts = (text: string) => {
    const { passes, failures } = readSoakLog(text)
    return [passes, failures]
  }

  it('is counted by its lines, and stops where nobody can tell', () => {
    const log = readSoakLog('starting up\npass 1: ok\npass 2: FAILED at 4000\npass 3: 0 errors\n\nerrors = 0\nTotal errors: 1\nchip 7 looked at\npass 4: ok')
    expect(log).toEqual({
      passes: 4,
      failures: 1,
      unread: [
        { line: 1, text: 'starting up' },
        { line: 7, text: 'Total errors: 1' },
      ],
      stopped: { line: 8, text: 'chip 7 looked at' },
      taken: { pass: { line: 2, text: 'pass 1: ok' }, fail: { line: 3, text: 'pass 2: FAILED at 4000' } },
    })
  })

  it('is read as a person said of its program, whatever its words propose', () => {
    const text = 'checker 2.1\nsweep complete\nround 1 green\nround 2 amber\nround 3 Green but amber\nround 4 green'
    // By words alone a sweep would be a pass, and a round nothing.
    expect(readSoakLog(text)).toMatchObject({ passes: 1, stopped: { line: 3 } })
    expect(readSoakLog(text, { pass: 'green', fail: 'amber' })).toMatchObject({ passes: 4, failures: 2, stopped: null, taken: { fail: { line: 4 } } })
    // Where nobody said what a failure looks like, what is no pass may be one.
    expect(readSoakLog('pass 1: ok\npass 2: FAILED at 4000\npass 3: 2 errors', { pass: 'pass', fail: '' })).toMatchObject({ passes: 3, failures: 2 })
    // Somebody who said both knows the program better than the usual words do.
    expect(readSoakLog('no drop, green', { pass: 'green', fail: 'amber' })).toMatchObject({ passes: 1, failures: 0 })
    expect(readSoakLog(text, { pass: 'green', fail: '' })).toMatchObject({ passes: 1, failures: 0, stopped: { line: 4 } })
  })

  it('a reading of a meter passes within its limits alone', () => {
    expect(['5.01', '4.74', 'OL', '', '5.26'].map(f => readingPasses(f, 4.75, 5.25))).toEqual([true, false, false, false, false])
  })

  it.each([
    'pass 2: FAILED at 4000',
    'success: false',
    '{"pass":12,"ok":false}',
    '{"passes":3,"errors":2}',
    '{"result":"partial"}',
    'result=timeout',
    'status: degraded',
    '0 of 1',
    '0 of 1 passed',
    '9/10 tests passed',
    'no pass',
    'pass 4 no good',
    '12 diff',
    'pass 12, 12 diff',
    'not ok 3',
    'pass 13: parity at 4000',
    'pass ok after retry',
    '1 retries, ok',
    'OK (2 bits flipped)',
    'passed with warnings',
    'ok but slow',
    'errors: 3',
    'errors: 0, lost: 1',
    'pass 4 timed out',
    'incomplete',
    'unsuccessful',
    '3 errors',
    'ng',
    'pass 13 complete: 2 bits flipped',
    'pass 4 ok, 1 byte differs',
    'retry 1 ok',
    'errors: 0.5',
    'expected AA read AB',
    '0 errors, 2 faults',
  ])('%s is no pass', line => expect([line, counts(line)[1] === 1 || counts(line)[0] === 0]).toEqual([line, true]))

  it.each([
    'pass 1: ok',
    'PASS',
    'pass 3: 0 errors',
    'errors = 0',
    'ok 12 - walking ones',
    '{"pass":12,"ok":true,"errors":0}',
    '10 of 10 passed',
    '10/10 tests ok',
    'result=pass',
    'success: true',
    'pass 15 ... PASS',
    '2026-03-04 19:20:21 pass 7 good',
    'no failures',
    'passed, as expected',
    '0 of 40 failed',
    'pass 5: no differences',
    'pass 8: as expected',
    'pass 9 ok, 0 lost',
    'pass 14 without fault',
  ])('%s is a pass', line => expect([line, counts(line)]).toEqual([line, [1, 0]]))
})

it('a verdict by a figure, or by a word that is none, is no pass', () => {
  const says = (line: string) => {
    const { passes, failures } = readSoakLog(line)
    return passes === failures && passes === 1
  }
  expect(['status: 0', 'ok=0', 'result: degraded', 'passed: no'].map(says)).toEqual([true, true, true, true])
  expect(readSoakLog('status: 1')).toMatchObject({ passes: 1, failures: 0 })
})

it('what was signed off says so, whatever life it goes to', () => {
  const codes = (signedOff: boolean) =>
    judgeLife('demonstration', { gateInForce: 'clear-to-run', limits: null, wornFeet: [], signedOff }).map(f => `${f.level} ${f.code}`)
  expect(codes(true)).toContain('fine life.signed-off')
  expect(codes(false)).toContain('stop life.not-signed-off')
  expect(codes(false)).not.toContain('fine life.signed-off')
})
