import { describe, expect, it } from 'vitest'
import { cleanPasses, exactInterval, planSoak } from './soak'
import { readSoakLog, readingPasses } from './soak-log'

// How a machine is proved, tried at the edges of each rule. Common practice, no source.

describe('a soak', () => {
  it('is told how many passes are wanted, left, and how many seconds that takes', () => {
    expect(planSoak({ failureRate: 0.1, passes: 10, secondsAPass: 2 })).toMatchObject({ wantedPasses: 29, leftPasses: 19, wantedSeconds: 58, leftSeconds: 38 })
    expect(planSoak({ failureRate: 0.1 })).toMatchObject({ wantedSeconds: null, leftSeconds: null, interval: null })
    expect(planSoak({ failureRate: 0.1, passes: 29 }).findings[0]?.because[0]).toBe(
      '29 passes with no failures speak against once in 10 passes. A fault that comes more seldom is not ruled out by that.',
    )
    const words = (failures: number) => planSoak({ failureRate: 0.2, curedRate: 0.01, passes: 300, failures }).findings[0]?.because[0]
    expect([words(1), words(2)]).toEqual([expect.stringContaining('with 1 failure speak'), expect.stringContaining('with 2 failures speak')])
    expect(planSoak({ failureRate: 0.1, passes: 3 }).findings[0]?.says).toBe('Go on: 26 clean passes are left.')
    expect(planSoak({ failureRate: 0.1 }).findings[0]?.says).toBe('29 clean passes are wanted.')
    expect([cleanPasses(0.5, 0.5), exactInterval(3, 3).high, exactInterval(0, 3).low]).toEqual([1, 1, 0])
  })
  it.each([
    [{ failureRate: 1e-6 }, null],
    [{ failureRate: 0.9e-6 }, 'failureRate'],
    [{ failureRate: 0.1, confidence: 0.5 }, null],
    [{ failureRate: 0.1, confidence: 0.49 }, 'confidence'],
    [{ failureRate: 0.1, confidence: 0.9999 }, null],
    [{ failureRate: 0.1, falseAlarm: 0.5 }, null],
    [{ failureRate: 0.1, falseAlarm: 0.51 }, 'falseAlarm'],
    [{ failureRate: 0.1, falseAlarm: 0 }, 'falseAlarm'],
    [{ failureRate: 0.1, passes: 1.5 }, 'passes'],
    [{ failureRate: 0.1, passes: -1 }, 'passes'],
    [{ failureRate: 0.1, passes: 10_000_001 }, 'passes'],
    [{ failureRate: 0.1, passes: 5, failures: 5 }, null],
    [{ failureRate: 0.1, passes: 5, failures: -1 }, 'failures'],
    [{ failureRate: 0.1, passes: 5, failures: 0.5 }, 'failures'],
    [{ failureRate: 0.1, curedRate: 0.1 }, 'curedRate'],
    [{ failureRate: 0.1, curedRate: -0.1 }, 'curedRate'],
    [{ failureRate: 0.1, secondsAPass: 0 }, 'secondsAPass'],
    [{ failureRate: 0.1, secondsAPass: 1e6 }, null],
    [{ failureRate: 0.1, secondsAPass: 1e6 + 1 }, 'secondsAPass'],
    [{ seenFailures: 1 }, 'failureRate'],
    [{ seenPasses: 1 }, 'failureRate'],
    [{ seenFailures: 1, seenPasses: 0 }, 'seenPasses'],
    [{ seenFailures: 1, seenPasses: 2.5 }, 'seenPasses'],
    [{ seenFailures: 1, seenPasses: 10_000_001 }, 'seenPasses'],
    [{ seenFailures: 1.5, seenPasses: 9 }, 'seenFailures'],
    [{ seenFailures: 10, seenPasses: 9 }, 'seenFailures'],
    [{ seenFailures: 10, seenPasses: 10_000_000 }, null],
  ])('of %o is refused at %s', (input, field) => {
    if (field) expect(() => planSoak(input)).toThrow(expect.objectContaining({ field }) as Error)
    else expect(() => planSoak(input)).not.toThrow()
  })
})

describe('the log of a soak', () => {
  const read = (text: string) => {
    const { passes, failures, stopped } = readSoakLog(text)
    return [passes, failures, stopped?.line ?? 0]
  }
  it.each<[string, [number, number, number]]>([
    ['{"errors":[]}', [1, 0, 0]],
    ['{"errors":["x"]}', [1, 1, 0]],
    ['{"failed":true}', [1, 1, 0]],
    ['{"failed":false}', [1, 0, 0]],
    ['{"errors":"none"}', [1, 1, 0]],
    ['{"ok":1}', [1, 0, 0]],
    ['{"ok":0}', [1, 1, 0]],
    ['{"ok":7}', [0, 0, 0]],
    ['{"ok":"7"}', [0, 0, 0]],
    ['{"status":""}', [0, 0, 0]],
    ['[1,2]', [0, 0, 0]],
    ['{broken', [0, 0, 0]],
    ['null', [0, 0, 0]],
    ['result="pass"', [1, 0, 0]],
    ['ok 1\n\nok 2', [2, 0, 0]],
    ['3 of 3 failed', [1, 1, 0]],
    ['0 of 3 failed', [1, 0, 0]],
    ['0 of 0 passed', [1, 1, 0]],
    ['3 of 4 chips', [0, 0, 0]],
    ['ok 1\nhello\nok 2', [1, 0, 2]],
    ['hello\nok 1', [1, 0, 0]],
    ['ok 1\ntotal: 3\nok 2', [2, 0, 0]],
    ['clean', [1, 0, 0]],
  ])('%j reads %o', (text, wanted) => expect(read(text)).toEqual(wanted))
  it('tells the first twenty lines of which it made nothing, each cut to what fits', () => {
    const { unread } = readSoakLog(`${Array.from({ length: 25 }, (_, i) => `heading ${i}`).join('\n')}\n${'x'.repeat(200)}`)
    expect(unread).toHaveLength(20)
    expect(readSoakLog('y'.repeat(200)).unread[0]?.text).toHaveLength(80)
  })
  it('takes a reading on its limits for a pass', () => {
    expect(['4.75', '5.25', ' ', 'x'].map(f => readingPasses(f, 4.75, 5.25))).toEqual([true, true, false, false])
  })
})
