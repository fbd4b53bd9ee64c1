import { ready } from '../../tests/support/ready-to-sign-off'
import { describe, expect, it } from 'vitest'
import { type StepSeen, checkBuildUp, configurationAt, explain, judgeBuildUp, namesFigure, planBuildUp, readSteps } from './build-up'
import { judgeDemonstrations, judgeLife } from './life'
import { type SignOffInput, judgeSignOff, limitWords } from './sign-off'
import { planSoak, soaksStanding } from './soak'
import { readSoakLog } from './soak-log'
import { type LineSeen, type TestLine, checkLines, checkLook, judgeFigure, judgeTestSheet, lineStates, testWait, usualLines } from './test-sheet'
import { judgeUnattended } from './unattended'

// How a machine is proved, tried at the edges of each rule. Common practice, no source.
const names = (findings: { level: string; code: string }[]) => findings.map(f => `${f.level} ${f.code}`)
const day = (d: number, hour = 10) => new Date(Date.UTC(2026, 2, d, hour)).toISOString()

describe('a build-up', () => {
  const named = (...all: string[]) => all.map(name => ({ name, role: null }))
  const steps = planBuildUp(named('Supply', 'Main board', 'Video card', 'Case'))
  const seen = (...all: [step: number, good: boolean][]): StepSeen[] => all.map(([step, ok]) => ({ step, outcome: ok ? 'as-expected' : 'failed' }))
  const stands = (...all: [number, boolean][]) => judgeBuildUp(steps, seen(...all))

  it('says of each step what is still missing, and nothing once it is in', () => {
    expect(explain([{ adds: ['Supply', 'Fan'], expect: '  ' }], named('Supply', 'Fan'))[0]).toEqual({
      adds: ['Supply', 'Fan'],
      expect: 'Every rail within its limits on a dummy load; no smoke, no smell, nothing hot. It turns, the right way round.',
      misleads: '',
    })
    expect(steps[0]?.misleads).toBe(
      'Rails may read low or wander without its load. No picture, and no cursor: on some machines the missing board is the one that blinks it.',
    )
    expect(
      explain(
        [
          { adds: ['Card A'], expect: 'Rails' },
          { adds: ['Drive A', 'Drive B'], expect: '' },
        ],
        named('Card A', 'Drive A', 'Drive B'),
      )[0],
    ).toMatchObject({ expect: 'Rails', misleads: 'It asks for a disk, or waits for one.' })
  })
  it('keeps the order of its model, less what is not there, and never grows beyond forty steps', () => {
    const order = (template: { adds: string[]; expect: string }[], ...parts: string[]) => planBuildUp(named(...parts), template).map(s => s.adds.join('+'))
    expect(order([{ adds: ['Case', 'Supply'], expect: '' }], 'Supply', 'Case', 'Memory')).toEqual(['Memory', 'Case+Supply'])
    expect(
      order(
        [
          { adds: ['Fan'], expect: '' },
          { adds: ['Memory'], expect: '' },
        ],
        'Memory',
        'Sound card',
        'Supply',
      ),
    ).toEqual(['Supply', 'Memory', 'Sound card'])
    expect(planBuildUp(named(...Array.from({ length: 50 }, (_, i) => `Card ${i}`)))).toHaveLength(40)
  })
  it('is one to forty steps of one to twenty things', () => {
    const all = Array.from({ length: 900 }, (_, i) => `P${i}`)
    const check = (count: number, adds: number) => () =>
      checkBuildUp(
        Array.from({ length: count }, (_, s) => ({ adds: all.slice(s * adds, s * adds + adds) })),
        all,
      )
    expect(check(40, 20)).not.toThrow()
    for (const [count, adds] of [
      [0, 1],
      [41, 1],
      [1, 0],
      [1, 21],
    ] as const)
      expect(check(count, adds)).toThrow(expect.objectContaining({ name: 'InputError' }) as Error)
  })
  it('is typed a line each; what has no colon is expected nothing of', () => {
    expect(readSteps('A + B: both, at 12:30\n\n  C  \n+ D +: x')).toEqual([
      { adds: ['A', 'B'], expect: 'both, at 12:30' },
      { adds: ['C'], expect: '' },
      { adds: ['D'], expect: 'x' },
    ])
  })
  it('connects what has gone in, and calls it the supply alone only where nothing else has', () => {
    const parts = named('Supply', 'Main board')
    const at = (all: string[][], n: number) =>
      configurationAt(
        all.map(adds => ({ adds })),
        n,
        parts,
      )
    expect(at([['Supply'], ['Main board']], 0)).toEqual({ kind: 'supply-alone', out: [] })
    expect(at([['Main board'], ['Supply']], 0)).toEqual({ kind: 'partly', out: ['Supply'] })
    expect(at([['Supply', 'Fan']], 0)).toEqual({ kind: 'partly', out: ['Main board'] })
    expect(at([['Supply'], ['Main board']], 1)).toEqual({ kind: 'whole', out: [] })
  })
  it('stands where its looks leave it, whatever was looked at that is no step of it', () => {
    expect(stands()).toMatchObject({ at: 0, verdict: 'go-on', failing: false, amiss: null, findings: [] })
    expect(stands([-1, true], [4, true])).toMatchObject({ at: 0, verdict: 'go-on' })
    expect(stands([0, true], [3, true])).toMatchObject({ at: 4, verdict: 'done' })
    expect(stands([0, true], [1, false])).toMatchObject({ at: 0, verdict: 'gone-back', failing: true, amiss: { code: 'build-up.back' } })
    expect(stands([0, false])).toMatchObject({ at: 0, verdict: 'stuck', amiss: { code: 'build-up.stuck', level: 'stop' } })
    expect(stands([0, false], [0, true])).toMatchObject({ at: 1, verdict: 'go-on', failing: false, amiss: null })
  })
  it('says how often a step has failed before it is tried again, and what it was not', () => {
    const again = (...all: [number, boolean][]) => stands(...all).findings.find(f => f.code === 'build-up.again')?.says
    expect(again([0, true], [1, false], [0, true])).toBe('Main board: it failed once at this step, and stands well without it.')
    expect(again([0, true], [1, false], [0, true], [1, false], [0, true])).toContain('failed 2 times')
    expect(again([0, true], [1, true])).toBeUndefined()
    expect(stands([0, true], [1, true], [2, false], [1, false]).findings[0]?.because[0]).toContain('It failed at Video card and fails without it too')
    // Failed at the same step once more, or two steps lower: what was added is still the likeliest.
    expect(stands([0, true], [2, false], [2, false]).findings[0]?.because[0]).toContain('likeliest cause')
    expect(stands([0, true], [3, false], [1, false]).findings[0]?.because[0]).toContain('likeliest cause')
  })
  it.each([
    ['5.0 to 5.2 V', true],
    ['30 °C', true],
    ['300 rpm', true],
    ['12 volts', true],
    ['5 %', true],
    ['a steady picture', false],
    ['both 5 1/4 drives', false],
    ['step 3', false],
  ])('“%s” names a figure: %s', (expected, is) => expect(namesFigure(expected)).toBe(is))
})

describe('a test sheet', () => {
  const works: TestLine = { says: 'Keys', kind: 'works', expect: '', unit: '', from: null, to: null, hours: null }
  const heat: TestLine = { ...works, says: 'Heat', kind: 'figure', unit: '°C', from: 20, to: 60 }
  const night: TestLine = { ...works, says: 'Clock', kind: 'overnight', hours: 8 }
  const look = (line: number, outcome: LineSeen['outcome'], value: number | null = null, at = day(3)): LineSeen => ({ line, outcome, value, at })

  it('has lines for what is there, and those that every machine has', () => {
    const says = (...parts: string[]) => usualLines(parts.map(name => ({ name, role: null }))).map(l => l.says)
    const always = ['Ports', 'Clock and settings', 'A period program', 'What is heard and felt']
    expect(says()).toEqual(always)
    expect(says('Keyboard')).toEqual(['All keys', ...always])
    expect(says('Drive A')).toEqual(['Drives', ...always])
    expect(says('Display')).toEqual(['Ports', 'Picture', ...always.slice(1)])
    expect(says('Video card')).toEqual(['Ports', 'Picture', ...always.slice(1)])
    expect(says('Sound card')).toEqual(['Ports', 'Sound', ...always.slice(1)])
    expect(usualLines([]).map(l => [l.kind, l.from, l.to, l.hours])).toEqual([
      ['works', null, null, null],
      ['overnight', null, null, 8],
      ['figure', 60, null, null],
      ['figure', null, 65, null],
    ])
  })
  it('is refused with no line, with more than sixty, and with one that cannot be judged', () => {
    const many = (n: number) => Array.from({ length: n }, (_, i) => ({ ...works, says: `L${i}` }))
    expect(() => checkLines(many(60))).not.toThrow()
    expect(() => checkLines([{ ...heat, from: 60 }])).not.toThrow()
    expect(() =>
      checkLines([
        { ...heat, from: null },
        { ...heat, says: 'b', to: null },
      ]),
    ).not.toThrow()
    for (const bad of [[], many(61), [{ ...heat, from: 61 }], [{ ...night, hours: 0 }]])
      expect(() => checkLines(bad)).toThrow(expect.objectContaining({ name: 'InputError' }) as Error)
  })
  it('judges a figure by its limits, both of them in it', () => {
    const judged = [19.9, 20, 60, 60.1].map(v => judgeFigure(heat, v))
    expect(judged).toEqual(['failed', 'passed', 'passed', 'failed'])
    expect([judgeFigure(heat, null), judgeFigure(works, 5), judgeFigure({ ...heat, from: null }, -5), judgeFigure({ ...heat, to: null }, 900)]).toEqual([
      null,
      null,
      'passed',
      'passed',
    ])
  })
  it('knows of each line where it stands, by its newest look', () => {
    const states = lineStates(
      [works, heat, night, works],
      [look(0, 'failed'), look(0, 'passed'), look(1, 'failed', 70), look(1, 'passed', 50, day(4)), look(2, 'left-alone')],
    )
    expect(states.map(s => [s.state, s.until])).toEqual([
      ['passed', null],
      ['passed', null],
      ['waiting', day(3, 18)],
      ['open', null],
    ])
    expect(states[1]?.values).toEqual([
      { value: 70, at: day(3) },
      { value: 50, at: day(4) },
    ])
    expect(testWait(night)).toBe('Test sheet: Clock')
  })
  it('takes no look that its line cannot bear', () => {
    const check =
      (line: TestLine, one: LineSeen, before: LineSeen[] = []) =>
      () =>
        checkLook(line, lineStates([line], before)[0]!, one)
    for (const bad of [
      check(heat, look(0, 'passed')),
      check(heat, look(0, 'failed')),
      check(heat, look(0, 'passed', 61)),
      check(heat, look(0, 'failed', 50)),
      check(works, look(0, 'left-alone')),
      check(night, look(0, 'passed')),
      check(night, look(0, 'passed', null, day(3, 17)), [look(0, 'left-alone')]),
      check(night, look(0, 'passed'), [look(0, 'failed')]),
    ])
      expect(bad).toThrow(expect.objectContaining({ name: 'InputError' }) as Error)
    for (const good of [
      check(heat, look(0, 'not-there')),
      check(heat, look(0, 'not-there', 90)),
      check(heat, look(0, 'failed', 61)),
      check(works, look(0, 'failed')),
      check(night, look(0, 'left-alone')),
      check(night, look(0, 'failed')),
      check(night, look(0, 'passed', null, day(3, 18)), [look(0, 'left-alone')]),
    ])
      expect(good).not.toThrow()
  })
  it('says what it says as a whole', () => {
    const said = (...seen: LineSeen[]) => names(judgeTestSheet([works, heat, night], seen).findings)
    const passed = [look(0, 'passed'), look(1, 'passed', 30), look(2, 'passed')]
    expect(said(...passed)).toEqual(['fine test.done'])
    expect(said(look(0, 'passed'), look(1, 'failed', 70))).toEqual(['stop test.failed', 'stop test.left'])
    expect(said(...passed.slice(0, 2), look(2, 'not-there'))).toEqual(['note test.not-there', 'fine test.done'])
    expect(said(look(0, 'not-there'), look(1, 'not-there'), look(2, 'not-there'))).toEqual(['stop test.nothing'])
    expect(said(look(1, 'failed', 70), ...passed)).toEqual(['care test.was-out', 'fine test.done'])
    // Within a quarter of the way from the first figure to the limit, and rising.
    expect(said(look(1, 'passed', 40), ...passed.slice(0, 1), look(1, 'passed', 55.1), look(2, 'passed'))).toEqual(['care test.rising', 'fine test.done'])
    expect(said(look(1, 'passed', 40), ...passed.slice(0, 1), look(1, 'passed', 55), look(2, 'passed'))).toEqual(['fine test.done'])
    expect(said(look(1, 'passed', 58), ...passed.slice(0, 1), look(1, 'passed', 58), look(2, 'passed'))).toEqual(['fine test.done'])
    expect(said(look(1, 'passed', 58), ...passed.slice(0, 1), look(1, 'passed', 60), look(2, 'passed'))).toEqual(['care test.rising', 'fine test.done'])
  })
  it('names six of what is left, and counts the others', () => {
    const many = Array.from({ length: 8 }, (_, i) => ({ ...works, says: `L${i}` }))
    expect(judgeTestSheet(many, []).findings[0]?.says).toBe('Not tested yet: L0, L1, L2, L3, L4, L5 and 2 more.')
    expect(judgeTestSheet(many.slice(0, 6), []).findings[0]?.says).toBe('Not tested yet: L0, L1, L2, L3, L4, L5.')
  })
  it('is as old as the oldest of its lines that count', () => {
    expect(judgeTestSheet([works, night], [look(0, 'passed', null, day(1)), look(0, 'passed', null, day(5)), look(1, 'passed', null, day(4))]).testedAt).toBe(
      day(4),
    )
    expect(judgeTestSheet([works], [look(0, 'failed', null, day(1))]).testedAt).toBeNull()
  })
})

describe('the sign-off', () => {
  const tested = { done: true, left: [], failed: [], testedAt: day(3) }
  const amiss = (more: Partial<SignOffInput>) => names(judgeSignOff({ ...ready, testSheet: tested, ...more }).findings).filter(n => !n.startsWith('fine'))
  it.each<[Partial<SignOffInput>, string[]]>([
    [{}, []],
    [{ rails: 'out' }, ['stop sign-off.rails']],
    [{ rails: 'unread', underLoad: false }, ['stop sign-off.rails']],
    [{ buildUp: { done: true, says: '' } }, []],
    [{ repairedAt: day(3) }, []],
    [{ repairedAt: day(2) }, []],
    [{ repairedAt: day(4) }, ['care sign-off.test-old']],
    [{ repairedAt: day(4), testSheet: { done: false, left: ['x'], failed: [], testedAt: day(3) } }, ['stop sign-off.test-left']],
    [{ repairedAt: day(4), testSheet: { done: true, left: [], failed: [], testedAt: null } }, []],
    [{ testSheet: { done: false, left: [], failed: [] } }, ['stop sign-off.test']],
    [{ testSheet: null }, ['care sign-off.no-test']],
    [{ soaks: [{ what: 'x', verdict: 'go-on', left: 3, given: true, failed: true, stands: true }] }, ['stop sign-off.soak']],
    [{ soaks: [{ what: 'x', verdict: 'go-on', left: 3, given: false, failed: false, stands: false }] }, ['note sign-off.soak']],
    [{ soaks: [{ what: 'x', verdict: 'cured', left: null, given: true, failed: true, stands: true }] }, []],
    [{ notSoaked: ['x', 'y'] }, ['care sign-off.not-soaked', 'care sign-off.not-soaked']],
  ])('with %o: %o', (more, wanted) => expect(amiss(more)).toEqual(wanted))
  it('says in words how far it is from whole, and what it is limited to', () => {
    const whole = (stepsUndone: number) => judgeSignOff({ ...ready, whole: false, stepsUndone }).findings.find(f => f.code === 'sign-off.configuration')?.says
    expect([whole(0), whole(1), whole(2)]).toEqual([
      'It is not whole.',
      'It is not whole: 1 step of its opening record undone.',
      'It is not whole: 2 steps of its opening record undone.',
    ])
    expect([
      limitWords({ hoursADay: null, attended: false, noOriginalMedia: false }),
      limitWords({ hoursADay: 0, attended: false, noOriginalMedia: true }),
    ]).toEqual(['for demonstration', 'for demonstration: up to 0 h a day, no original media'])
    const left = judgeSignOff({ ...ready, testSheet: { done: false, left: ['a', 'b', 'c', 'd', 'e', 'f', 'g'], failed: [] } })
    expect(left.findings.find(f => f.code === 'sign-off.test-left')?.says).toBe('Not tested yet: a, b, c, d, e, f.')
  })
})

describe('a life', () => {
  const fit = { gateInForce: 'clear-to-run' as const, signedOff: true, limits: null, wornFeet: [] as string[] }
  const said = (life: Parameters<typeof judgeLife>[0], more: object = {}) =>
    names(judgeLife(life, { ...fit, ...more })).filter(n => !n.startsWith('fine life.signed'))
  const limits = { hoursADay: 1, attended: true, noOriginalMedia: false }
  it.each<[Parameters<typeof judgeLife>[0], object, string[]]>([
    ['hands-on', {}, []],
    ['hands-on', { gateInForce: 'not-yet-assessed' }, ['stop life.gate']],
    ['hands-on', { gateInForce: 'guarded-start' }, []],
    ['demonstration', { limits }, []],
    ['demonstration', { gateInForce: 'keep-off' }, ['stop life.gate']],
    ['gallery', {}, ['fine life.rests']],
    ['gallery', { gateInForce: 'keep-off', wornFeet: ['feet'] }, ['care life.rests-off', 'fine life.feet']],
    ['store', { wornFeet: ['feet'] }, ['fine life.rests', 'note life.stored']],
    ['store', { signedOff: false }, ['fine life.rests']],
  ])('of %s with %o: %o', (life, more, wanted) => expect(said(life, more)).toEqual(wanted))
  it('is too long only beyond the hours of one day', () => {
    const shown = (minutes: number, at = day(3)) => ({ at, minutes })
    const told = (...all: ReturnType<typeof shown>[]) => judgeDemonstrations(all, limits, at => at.slice(0, 10)).length
    expect([told(), told(shown(60)), told(shown(61)), told(shown(50, day(2)), shown(50)), told(shown(90, day(2)), shown(10))]).toEqual([0, 0, 1, 0, 0])
    expect(judgeDemonstrations([shown(900)], { ...limits, hoursADay: null }, at => at)).toEqual([])
  })
  it('leaves nobody’s soak alone where nothing is known of the gate', () => {
    expect(names(judgeUnattended({ gate: 'not-yet-assessed', school: 'caps-first', filterReplaced: true }))).toEqual(['stop unattended.gate'])
  })
})

describe('at the very edge', () => {
  it('a soak is settled by a repair up to the instant at which the next began, and by none before it failed', () => {
    const failed = { what: 'x', verdict: 'not-cured' as const, wantedPasses: 10, failures: 1, startedAt: day(1), lastAt: day(2) }
    const later = { what: 'x', verdict: 'cured' as const, wantedPasses: 10, failures: 0, startedAt: day(4), lastAt: day(5) }
    const stands = (repairedAt: string) => soaksStanding([failed, later], [repairedAt]).length
    expect([stands(day(2)), stands(day(3)), stands(day(4)), stands(day(4, 11))]).toEqual([1, 0, 0, 1])
  })
  it('a soak that rests on failures seen says how seldom it may have been', () => {
    const rate = (seenFailures: number, seenPasses: number) => planSoak({ seenFailures, seenPasses }).findings.find(f => f.code === 'soak.rate')
    // Clopper and Pearson at 80 %: 1 of 10 is 0.0105 at the least, once in 95.
    expect(rate(1, 10)?.because[0]).toContain('once in 95 only')
    expect(rate(2, 10)?.says).toContain('rests on 2 failures')
    expect(planSoak({ failureRate: 0.1 }).findings.some(f => f.code === 'soak.rate')).toBe(false)
    // A rate that is believed counts before what was seen.
    expect(planSoak({ failureRate: 0.1, seenFailures: 1, seenPasses: 60 })).toMatchObject({ failureRate: 0.1, wantedPasses: 29 })
    expect(planSoak({ failureRate: 0.1, passes: 1 }).interval).not.toBeNull()
    expect(() => planSoak({ seenFailures: 1, seenPasses: 1 })).toThrow(/what always fails/)
  })
  it('a field of a log is a verdict only where its value is plainly one', () => {
    const read = (text: string) => {
      const { passes, failures } = readSoakLog(text)
      return [passes, failures]
    }
    expect([read('{"fail":true}'), read('{"errors":2}'), read('{"result":true}'), read('{"result":false}'), read('{"result":2}')]).toEqual([
      [1, 1],
      [1, 1],
      [1, 0],
      [1, 1],
      [0, 0],
    ])
    expect([read('not ok 4 - walk'), read('ok 4 - walk'), read('0/9 failed'), read('1/9 failed'), read('7 flips')]).toEqual([
      [1, 1],
      [1, 0],
      [1, 0],
      [1, 1],
      [1, 1],
    ])
    expect(readSoakLog('ok', { pass: '', fail: 'x' })).toMatchObject({ passes: 1, failures: 0 })
  })
  it('what a line wants is asked for with its unit, and the first figure that was out is told', () => {
    const heat: TestLine = { says: 'Heat', kind: 'figure', expect: '', unit: '', from: null, to: 60, hours: null }
    const look = (value: number | null, outcome: LineSeen['outcome'] = 'passed'): LineSeen => ({ line: 0, outcome, value, at: day(1) })
    const refused = (unit: string) => () => checkLook({ ...heat, unit }, lineStates([heat], [])[0]!, look(null))
    expect(refused('')).toThrow('Heat: give the figure.')
    expect(refused('°C')).toThrow('Heat: give the figure, in °C.')
    expect(() => checkLook(heat, lineStates([heat], [])[0]!, look(70))).toThrow('Heat: 70 is out of its limits.')
    expect(judgeTestSheet([{ ...heat, unit: '°C' }], [look(80, 'failed'), look(70, 'failed'), look(50)]).findings[0]?.says).toBe(
      'Heat: within its limits now, and 80 °C before.',
    )
  })
  it('parts of one turn keep their order, and those of a model that goes on are not asked for again', () => {
    const order = (...names: string[]) => planBuildUp(names.map(name => ({ name, role: null }))).map(s => s.adds[0])
    expect(order('Drive B', 'Drive A')).toEqual(['Drive B', 'Drive A'])
    expect(
      planBuildUp(
        ['Drive A', 'Drive B'].map(name => ({ name, role: null })),
        [{ adds: ['Drive B'], expect: '' }],
      ).map(s => s.adds[0]),
    ).toEqual(['Drive B', 'Drive A'])
    const two = explain(
      [
        { adds: ['A', 'B'], expect: 'x' },
        { adds: ['C', 'D'], expect: 'x' },
      ],
      [],
    )
    const warned = (at: number) =>
      judgeBuildUp(
        two,
        Array.from({ length: at }, (_, step) => ({ step, outcome: 'as-expected' as const })),
      ).findings.filter(f => f.code === 'build-up.two-at-once').length
    expect([warned(0), warned(1), warned(2)]).toEqual([2, 1, 0])
  })

  it('a sheet that is not done is not called passed, and one that is is', () => {
    const passed = (done: boolean) =>
      judgeSignOff({ ...ready, testSheet: { done, left: done ? [] : ['x'], failed: [] } }).findings.some(f => f.level === 'fine' && f.code === 'sign-off.test')
    expect([passed(true), passed(false)]).toEqual([true, false])
    expect(
      judgeBuildUp(
        explain(
          [
            { adds: ['A'], expect: '' },
            { adds: ['B'], expect: '' },
          ],
          [],
        ),
        [
          { step: 0, outcome: 'as-expected' },
          { step: 0, outcome: 'as-expected' },
          { step: 0, outcome: 'as-expected' },
        ],
      ).findings,
    ).toEqual([])
  })
})
