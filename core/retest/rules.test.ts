import { describe, expect, it } from 'vitest'
import { now, reading, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { type BuildUpStep, type StepSeen } from './build-up'
import { type LineSeen, type TestLine } from './test-sheet'

// How a machine is proved, tried at the edges of each rule. Common practice, no source.
const day = (d: number, hour = 10) => new Date(Date.UTC(2026, 2, d, hour)).toISOString()

describe('what proving adds to a machine', () => {
  const of = (record: Partial<MachineRecord>, at = now) => assess({ ...settled, ...record } as MachineRecord, at)
  const works: TestLine = { says: 'Keys', kind: 'works', expect: '', unit: '', from: null, to: null, hours: null }
  const night: TestLine = { ...works, says: 'Clock', kind: 'overnight', hours: 8 }
  const soak = { what: 'Memory', seenFailures: 1, seenPasses: 60, confidence: 0.95, passes: 0, failures: 0, startedAt: day(1), endedAt: null as string | null }
  const moves = (record: Partial<MachineRecord>, at = now) => of(record, at).moves.map(m => `${m.code}: ${m.says}`)
  const signed = { signOff: { limits: null } }
  const proved: Partial<MachineRecord> = { testSheet: { lines: [works], looks: [{ line: 0, outcome: 'passed', value: null, at: day(2) }] }, stage: 'prove' }

  it('is the sign-off itself, once nothing stands against it and it has come so far', () => {
    const says = 'sign-off: Sign it off'
    expect(moves(proved)).toContain(says)
    expect(moves({ ...proved, stage: 'home' })).toContain(says)
    expect(moves({ ...proved, stage: 'mend' })).not.toContain(says)
    expect(moves({ ...proved, ...signed })).not.toContain(says)
    expect(moves({ ...proved, readings: [reading(4)] })).not.toContain(says)
  })
  it('is testing what is left, unless all of it is left alone still', () => {
    const sheet = (lines: TestLine[], looks: LineSeen[] = []) => moves({ testSheet: { lines, looks } }).filter(m => m.startsWith('test-sheet'))
    const alone = (at: string): LineSeen => ({ line: 0, outcome: 'left-alone', value: null, at })
    expect(sheet([works])).toEqual(['test-sheet: Go on testing: Keys'])
    expect(sheet([works], [{ line: 0, outcome: 'failed', value: null, at: day(2) }])).toEqual(['test-sheet: Test failed: Keys'])
    expect(sheet([works], [{ line: 0, outcome: 'not-there', value: null, at: day(2) }])).toEqual(['test-sheet: Look at the test sheet again'])
    expect(sheet([night], [alone(day(3, 12))])).toEqual([])
    expect(sheet([night, works], [alone(day(3, 12))])).toEqual(['test-sheet: Go on testing: Clock'])
    // Eight hours from eleven on are over at nineteen, which is now.
    expect(sheet([night], [alone(day(3, 11))])).toEqual(['test-sheet: Go on testing: Clock'])
  })
  it('is soaking on, building on, and stepping back where it failed', () => {
    const steps: BuildUpStep[] = [
      { adds: ['Supply'], expect: '', misleads: '' },
      { adds: ['Case'], expect: '', misleads: '' },
    ]
    const built = (...looks: StepSeen[]) => of({ buildUp: { steps, looks } })
    const move = (...looks: StepSeen[]) => built(...looks).moves.find(m => m.code === 'build-up')?.says
    expect(move()).toBe('Go on building it up')
    expect(move({ step: 0, outcome: 'as-expected' }, { step: 1, outcome: 'failed' })).toBe('Go back one step of the build-up')
    expect(move({ step: 0, outcome: 'as-expected' }, { step: 1, outcome: 'as-expected' })).toBeUndefined()
    expect(built({ step: 0, outcome: 'failed' }).known.gate.verdict).toBe('keep-off')
    expect(built({ step: 0, outcome: 'as-expected' }, { step: 1, outcome: 'failed' }).known.gate.verdict).toBe('guarded-start')
    expect(built().known.buildUp).toEqual({ done: false, back: false, says: 'Next goes in: Supply.' })
    expect(moves({ soaks: [soak] })).toContain('soak: Go on soaking: Memory')
    expect(moves({ soaks: [{ ...soak, endedAt: day(2) }] }).join()).not.toContain('soaking')
    expect(moves({ soaks: [{ ...soak, passes: 2000 }] }).join()).not.toContain('soaking')
  })
  it('takes from visitors what is not signed off any more, and tests again what rested', () => {
    const at = (record: Partial<MachineRecord>) => moves({ stage: 'home', ...record }).filter(m => /take-away|retest/.test(m))
    expect(at({ life: 'hands-on' })).toEqual(['take-away: Take it away from visitors'])
    expect(at({ life: 'demonstration' })).toEqual(['take-away: Show it to nobody until it is signed off again'])
    expect(at({ life: 'gallery' })).toEqual([])
    expect(moves({ stage: 'prove', life: 'hands-on' }).join()).not.toContain('take-away')
    expect(at({ life: 'hands-on', ...signed })).toEqual([])
    expect(at({ life: 'store', lifeSince: '2025-01-01T00:00:00.000Z' })).toEqual(['retest-due: Test it again: it has rested long'])
    expect(at({ life: 'store', lifeSince: day(1) })).toEqual(['retest: Test it before it leaves the store'])
    expect(moves({ stage: 'prove', life: 'store', lifeSince: day(1) }).join()).not.toContain('retest')
    // Twelve months of a year of 365.25 days.
    expect(of({ lifeSince: '2025-01-01T00:00:00.000Z' }).known.retestFrom).toBe('2026-01-01T06:00:00.000Z')
    expect(of({}).known.retestFrom).toBeNull()
  })
  it('ends the sign-off that stood with what ended it, and passes over what long use alone would show where it has limits', () => {
    const ended = (record: Partial<MachineRecord>) => of({ ...signed, ...record }).known.signOffEnded
    expect(ended({})).toBeNull()
    expect(ended({ readings: [reading(4)] })).toBe('The gate says: guarded start.')
    expect(of({ ...signed, readings: [reading(4)] }).known).toMatchObject({ signedOff: false, limits: null })
    // A sheet that is begun anew is no reason; a soak that is not finished is, unless somebody stays beside it.
    expect(ended({ testSheet: { lines: [works], looks: [] } })).toBeNull()
    expect(ended({ soaks: [soak] })).toContain('Soak not finished')
    const limits = (attended: boolean) => ({ signOff: { limits: { hoursADay: 1, attended, noOriginalMedia: false } }, soaks: [soak] })
    expect(of(limits(true)).known).toMatchObject({ signedOff: true, limits: { attended: true }, signOffEnded: null })
    expect(of(limits(false)).known.signedOff).toBe(false)
  })
  it('is due when a line has been left alone long enough, and when a year in store is over', () => {
    const left = { testSheet: { lines: [night], looks: [{ line: 0, outcome: 'left-alone' as const, value: null, at: day(3, 12) }] } }
    expect(of(left).known.leftAloneUntil).toEqual([day(3, 20)])
    expect(of(left).dueAt).toBe(day(3, 20))
    expect(of({ life: 'store', stage: 'home', lifeSince: day(1) }).dueAt).toBe('2027-03-01T16:00:00.000Z')
  })
  it('knows worn feet from other wear, and which soaks stand in its run', () => {
    const damage = (kind: string, where: string) => ({ kind, where }) as MachineRecord['damages'][number]
    expect(
      of({ damages: [damage('wear', 'Rear feet'), damage('wear', 'case'), damage('crack', 'left foot'), damage('wear', 'one foot')] }).known.wornFeet,
    ).toEqual(['Rear feet', 'one foot'])
    expect(of({ soaks: [{ ...soak, passes: 2000 }, soak] }).known.soaks.map(s => [s.verdict, s.stands, s.failed])).toEqual([
      ['cured', false, false],
      ['go-on', true, false],
    ])
    expect(of({ faults: [], soaks: [{ ...soak, passes: 9, failures: 1 }] }).known.soaks[0]).toMatchObject({ verdict: 'not-cured', failed: true, stands: true })
  })

  it('fills the run with what was begun, and with soaks that count', () => {
    const steps = (record: Partial<MachineRecord>) => of(record).run[5]!.steps.map(s => `${s.says}: ${s.done}`)
    expect(steps({})).toEqual(['Rail +5 V: true', 'Signed off: false'])
    expect(steps(signed)).toEqual(['Rail +5 V: true', 'Signed off: true'])
    expect(steps({ testSheet: proved.testSheet! })).toContain('Test sheet: true')
    expect(steps({ testSheet: { lines: [works], looks: [] } })).toContain('Test sheet: false')
    expect(steps({ buildUp: { steps: [{ adds: ['Case'], expect: '', misleads: '' }], looks: [] } })).toContain('Built up: false')
    const passedSince = { ...soak, passes: 2000, startedAt: day(2) }
    expect(steps({ soaks: [soak, passedSince] }).filter(s => s.startsWith('Soak'))).toEqual(['Soak: Memory: true'])
    expect(steps({ soaks: [soak] }).filter(s => s.startsWith('Soak'))).toEqual(['Soak: Memory: false'])
  })
  it('says why it is taken from visitors, and what a build-up that failed asks for', () => {
    const why = (record: Partial<MachineRecord>) => of({ stage: 'home', life: 'hands-on', ...record }).moves.find(m => m.code === 'take-away')?.why
    expect(why({})).toBe('It is not signed off any more.')
    expect(why({ entered: { ...settled.entered, smoke: 'yes' } })).toBe('The gate says: keep off.')
    const opens = (...looks: StepSeen[]) =>
      of({ buildUp: { steps: ['Supply', 'Case'].map(a => ({ adds: [a], expect: '', misleads: '' })), looks } }).known.heard.find(h =>
        h.finding.code.startsWith('build-up'),
      )?.open?.do
    expect(opens({ step: 0, outcome: 'failed' })).toContain('End the build-up')
    expect(opens({ step: 0, outcome: 'as-expected' }, { step: 1, outcome: 'failed' })).toContain('Take it out again')
    const says = (...looks: StepSeen[]) => of({ buildUp: { steps: [{ adds: ['Supply'], expect: '', misleads: '' }], looks } }).known.buildUp?.says
    expect([says(), says({ step: 0, outcome: 'failed' }), says({ step: 0, outcome: 'as-expected' })]).toEqual([
      'Next goes in: Supply.',
      'It fails with the least that runs: Supply.',
      '',
    ])
  })
  it('is held by waits that run and by open faults, and by no wait of a test or one that is over', () => {
    const against = (record: Partial<MachineRecord>) =>
      of(record)
        .known.signOff.findings.filter(f => f.level === 'stop' && f.code === 'sign-off.wait')
        .map(f => f.says)
    const wait = (until: string, kind: string) => ({ waits: [{ what: 'drying', until, kind } as never] })
    expect(against(wait('2026-03-09T19:00:00.000Z', 'post'))).toEqual(['Still waiting: drying.'])
    expect(against(wait('2026-03-09T19:00:00.000Z', 'test'))).toEqual([])
    expect(against(wait('2026-03-01T19:00:00.000Z', 'post'))).toEqual([])
    const fault = { symptom: 'hum', symptoms: [], stopsMachine: true, leftAs: '' as const, observations: [], repairs: [], attempts: [], theories: [] }
    const faults = (open: boolean) => of({ faults: [{ ...fault, open }] }).known.signOff.findings.filter(f => f.code === 'sign-off.fault').length
    expect([faults(true), faults(false)]).toEqual([1, 0])
  })
  it('is no proof where it cannot be read, and is due again only in store', () => {
    const { known } = of({ ...signed, soaks: [{ ...soak, seenFailures: 99 }] })
    expect(known.signOff.findings.map(f => f.code)).toEqual(['sign-off.unreadable'])
    expect(known.signedOff).toBe(false)
    expect(of({ life: 'gallery', stage: 'home', lifeSince: day(1) }).dueAt).toBeNull()
    expect(of({ life: 'store', stage: 'home', lifeSince: null }).dueAt).toBeNull()
    // A year of 365.25 days before now, to the hour.
    expect(of({ life: 'store', stage: 'home', lifeSince: '2025-03-03T13:00:00.000Z' }).moves.map(m => m.code)).toContain('retest-due')
  })

  it('keeps no limits of a sign-off that has ended, and names the first line that failed', () => {
    const limits = { signOff: { limits: { hoursADay: 1, attended: true, noOriginalMedia: false } } }
    expect([of(limits).known.limits?.hoursADay, of({ ...limits, readings: [reading(9)] }).known.limits]).toEqual([1, null])
    const failed = { testSheet: { lines: [works], looks: [{ line: 0, outcome: 'failed' as const, value: null, at: day(2) }] } }
    expect(of(failed).moves.find(m => m.code === 'test-sheet')?.why).toBe('Write it down as a fault, mend it, test it again.')
    expect(of({ testSheet: { lines: [works], looks: [] } }).moves.find(m => m.code === 'test-sheet')?.why).toBe('What was not tried is not known.')
  })

  it('counts a soak from the instant of the repair on, a repair only after it ran last, and waits for every line left alone', () => {
    const fault = {
      symptom: 'Drops a test',
      symptoms: ['sometimes'],
      stopsMachine: true,
      open: false,
      leftAs: '' as const,
      observations: [],
      attempts: [],
      theories: [],
      repairs: [{ at: day(1) }],
    }
    const soaked = (startedAt: string) =>
      of({ faults: [fault], soaks: [{ ...soak, passes: 2000, startedAt }] }).known.signOff.findings.some(f => f.code === 'sign-off.not-soaked')
    expect([soaked(day(1)), soaked(day(1, 9))]).toEqual([false, true])
    const failed = { ...soak, passes: 9, failures: 1, startedAt: day(1, 1), lastAt: day(1, 12) }
    expect(of({ faults: [fault], soaks: [failed, { ...soak, passes: 2000, startedAt: day(2) }] }).known.soaks[0]?.stands).toBe(true)
    const alone = (line: number, hour: number): LineSeen => ({ line, outcome: 'left-alone', value: null, at: day(3, hour) })
    const asked = (...looks: LineSeen[]) => moves({ testSheet: { lines: [night, { ...night, says: 'Again' }], looks } }).some(m => m.startsWith('test-sheet'))
    expect([asked(alone(0, 12), alone(1, 12)), asked(alone(0, 12), alone(1, 10))]).toEqual([false, true])
  })
})
