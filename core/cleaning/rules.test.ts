import { describe, expect, it } from 'vitest'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { checkContaminationStep, contaminationKinds, dirtFact, looksAfter, nextCleaningStep } from './contamination'
import { driesAlready, wetNow } from './rules'
import { type WaitKind, keepsOff, waitKindNames, waitKinds } from './wait-kinds'

// What cleaning adds to a machine, each rule from both sides. Common practice, no source. Now is 3 March, 19:00.
const of = (record: Partial<MachineRecord>) => assess({ ...settled, ...record } as MachineRecord, now)
const heardOf = (record: Partial<MachineRecord>) =>
  of(record)
    .known.heard.filter(h => /^(wait|contamination)/.test(h.finding.code))
    .map(h => `${h.finding.level} ${h.finding.code}`)
const moves = (record: Partial<MachineRecord>) => of(record).moves.map(m => `${m.code}: ${m.says}`)
const at = (day: number, hour = 10) => new Date(Date.UTC(2026, 2, day, hour)).toISOString()
const wait = (kind: WaitKind | null, until: string, what = 'Board') => ({ what, until, kind })
const drying = (more: object = {}) => ({
  what: 'Board',
  startedAt: at(1),
  endedAt: null,
  endedWet: '',
  errorG: 0.1,
  leftG: 0.2,
  weighings: [{ at: at(1), massG: 300 }],
  ...more,
})
const booked = (kind: 'tank' | 'oven' | 'box' | 'light', from: string, until = at(9)) => ({ what: 'Board', kind, from, until })

describe('a wait', () => {
  it.each(waitKindNames)('that is %s says to the gate what its kind says, while it runs and once it is over', kind => {
    const { gate } = waitKinds[kind]
    const running = gate === 'stop' ? ['stop wait.wet'] : gate === 'care' ? ['care wait.running'] : []
    expect(heardOf({ waits: [wait(kind, at(9))] })).toEqual(running)
    expect(heardOf({ waits: [wait(kind, at(2))] })).toEqual(gate === 'stop' ? ['care wait.over.unsettled'] : running)
    expect(keepsOff(kind)).toBe(gate === 'stop')
  })
  it('is over at its instant, and somebody goes on then', () => {
    expect(moves({ waits: [wait('post', now)] })).toContain('wait-over: Go on: Board')
    expect(moves({ waits: [wait('post', '2026-03-03T19:00:00.001Z')] }).join()).not.toContain('Go on')
    expect(heardOf({ waits: [wait('wet', now)] })).toEqual(['care wait.over.unsettled'])
    expect(of({ waits: [wait('wet', at(9))] }).known.heard[0]?.finding).toMatchObject({ concerns: 'waiting', when: 'by-itself' })
  })
})

describe('what is wet', () => {
  const wet = (record: object) => wetNow({ waits: [], dryings: [], bookings: [], ...record }, now)
  it('is what dries, what lies in a bath, and what is not dry by its mass', () => {
    expect(wet({ waits: [wait('wet', at(9)), wait('post', at(9), 'x'), wait('wet', at(2), 'y')] })).toEqual(['Board'])
    expect(wet({ dryings: [drying(), drying({ what: 'Case', endedAt: at(2) })] })).toEqual(['Board is not dry by its mass'])
    expect(wet({ bookings: [booked('tank', at(2)), booked('tank', at(4)), booked('light', at(2))] })).toHaveLength(1)
    expect(wet({})).toEqual([])
  })
  it('by a wait or a series that names it is drying already; that something else dries says nothing of it', () => {
    const dries = (what: string, record: object) => driesAlready(what, { waits: [], dryings: [], ...record }, now)
    expect(dries('board', { waits: [wait('wet', at(9), 'Main board drying')] })).toBe(true)
    expect(dries('case', { waits: [wait('wet', at(9), 'Main board drying')] })).toBe(false)
    expect(dries('board', { waits: [wait('wet', at(2), 'Main board drying')] })).toBe(false)
    expect(dries('board', { waits: [wait('post', at(9), 'Main board')] })).toBe(false)
    expect(dries('board', { dryings: [{ what: 'Main Board', endedAt: null }] })).toBe(true)
    expect(dries('board', { dryings: [{ what: 'Main Board', endedAt: at(2) }] })).toBe(false)
  })
})

describe('the gate hears', () => {
  it('of what is laid out to dry until somebody takes it up, and of what was taken up wet until it is laid out again', () => {
    expect(heardOf({ dryings: [drying()] })).toEqual(['stop wait.drying.board'])
    expect(heardOf({ dryings: [drying({ endedAt: at(2) })] })).toEqual([])
    const wet = drying({ endedAt: at(2), endedWet: 'no time' })
    expect(heardOf({ dryings: [wet] })).toEqual(['care wait.taken-up.board.unsettled'])
    expect(heardOf({ dryings: [wet, drying({ endedAt: at(3) })] })).toEqual([])
    expect(heardOf({ dryings: [wet, drying({ what: 'Case', endedAt: at(3) })] })).toEqual(['care wait.taken-up.board.unsettled'])
    expect(heardOf({ dryings: [drying(), drying({ endedAt: at(3) })] })).toEqual(['stop wait.drying.board'])
  })
  it('of what lies in something shared from the instant on at which it was to go in', () => {
    expect(heardOf({ bookings: [booked('oven', now)] })).toEqual(['stop wait.in.board'])
    expect(heardOf({ bookings: [booked('oven', '2026-03-03T19:00:00.001Z')] })).toEqual([])
    expect(heardOf({ bookings: [booked('light', at(2))] })).toEqual(['care wait.in.board'])
    const because = (kind: 'tank' | 'oven') =>
      of({ bookings: [booked(kind, at(2))] }).known.heard.find(h => h.finding.code === 'wait.in.board')?.finding.because[0]
    expect([because('tank'), because('oven')]).toEqual(['What is wet conducts.', 'What is away is not in the machine, and what dries is not dry yet.'])
  })
  it('of electrolyte until it is gone; liquid and dirt speak by their fact', () => {
    const got = (kind: 'electrolyte' | 'liquid', state: string) => heardOf({ contaminations: [{ kind, where: 'C3', state: state as never, at: at(1) }] })
    expect([got('electrolyte', 'present'), got('electrolyte', 'dried'), got('electrolyte', 'gone'), got('liquid', 'present')]).toEqual([
      ['stop contamination.c3'],
      ['stop contamination.c3'],
      [],
      [],
    ])
  })
})

describe('what got into it', () => {
  it('goes its way step by step, and each kind its own', () => {
    const way = (kind: keyof typeof contaminationKinds) => {
      const steps: string[] = []
      for (let state: string = 'present', next = nextCleaningStep({ kind, state: 'present' }); next; next = nextCleaningStep({ kind, state: state as never }))
        steps.push((state = next.step))
      return steps
    }
    expect([way('liquid'), way('dirt'), way('electrolyte')]).toEqual([
      ['rinsed', 'dried', 'gone'],
      ['cleaned', 'gone'],
      ['washed', 'dried', 'gone'],
    ])
  })
  it('takes no step out of turn, none while it is wet, and none to the end before every place was looked at', () => {
    const check =
      (state: string, step: string, looked: readonly string[] = looksAfter('liquid'), wet: string[] = []) =>
      () =>
        checkContaminationStep({ kind: 'liquid', state: state as never }, step as never, looked, wet)
    expect(check('present', 'rinsed')).not.toThrow()
    expect(check('present', 'rinsed', [], ['Board dries'])).not.toThrow()
    expect(check('present', 'dried')).toThrow(/First: Rinse it/)
    expect(check('gone', 'gone')).toThrow(/Nothing of it is left/)
    expect(check('rinsed', 'dried', [], ['Board dries'])).toThrow('Not yet: Board dries.')
    expect(check('dried', 'gone', looksAfter('liquid'), ['Board dries'])).toThrow('Not yet')
    expect(check('dried', 'gone', looksAfter('liquid').slice(1))).toThrow(/Not looked at yet: [a-z]/)
    expect(check('dried', 'gone')).not.toThrow()
  })
  it('is told to the gate as liquid or dirt, there or gone', () => {
    const fact = (...all: [kind: 'liquid' | 'dirt' | 'electrolyte', state: string][]) =>
      dirtFact(all.map(([kind, state]) => ({ kind, state: state as never, where: '', at: '' })))
    expect([
      fact(),
      fact(['electrolyte', 'present']),
      fact(['dirt', 'cleaned']),
      fact(['dirt', 'gone']),
      fact(['liquid', 'gone']),
      fact(['liquid', 'gone'], ['dirt', 'gone']),
      fact(['liquid', 'gone'], ['dirt', 'present']),
    ]).toEqual([undefined, undefined, 'yes', 'cleaned', 'dried', 'dried', 'yes'])
  })
  it('is the next move as harm, and only waited for while something is wet', () => {
    const codes = (state: string, more: Partial<MachineRecord> = {}) =>
      of({ contaminations: [{ kind: 'liquid', where: 'fan', state: state as never, at: at(1) }], ...more })
        .moves.filter(m => m.code.endsWith('contamination'))
        .map(m => `${m.band} ${m.code}`)
    expect(codes('present')).toEqual(['harm contamination'])
    expect(codes('present', { waits: [wait('wet', at(9))] })).toEqual(['harm contamination'])
    expect(codes('rinsed', { waits: [wait('wet', at(9))] })).toEqual(['harm wait.contamination'])
    expect(codes('rinsed')).toEqual(['harm contamination'])
    expect(codes('gone')).toEqual([])
  })
})

describe('the work', () => {
  const step = (state: 'open' | 'done' | 'left', says = 'Brush') => ({ state, says, why: 'Dust.', kind: 'method', minutes: 15 })
  const steps = (record: Partial<MachineRecord>) => of(record).run[3]!.steps.map(s => `${s.says}: ${s.done}`)
  it('is the first open step of the plan, and counts once a step was done', () => {
    expect(moves({ cleaningSteps: [step('done'), step('left'), step('open', 'Wipe'), step('open', 'Dry')] })).toContain('cleaning-step: Wipe')
    expect(moves({ cleaningSteps: [step('done'), step('left')] }).join()).not.toContain('cleaning-step')
    expect(steps({})).toEqual(['A cleaning recorded: false', 'Every wait over: false'])
    expect(steps({ cleaningSteps: [step('done')] })).toEqual(['A cleaning recorded: true', 'Every step of the plan: true', 'Every wait over: true'])
    expect(steps({ cleaningSteps: [step('done'), step('open')] })).toContain('Every step of the plan: false')
    expect(steps({ cleaningSteps: [step('left')] })).toEqual(['A cleaning recorded: false', 'Every wait over: false'])
    expect(steps({ cleanings: [{}], waits: [wait('post', at(9))] })).toContain('Every wait over: false')
    expect(steps({ cleanings: [{}], dryings: [drying()] })).toContain('Every wait over: false')
  })
  it('is what is bare, counted out, weighed, measured and looked at again, each in its time', () => {
    expect(
      moves({
        bareCoppers: [
          { where: 'IC3', sealedAt: at(1) },
          { where: 'IC4', sealedAt: null },
        ],
      }).filter(m => m.startsWith('seal')),
    ).toEqual(['seal-copper: Seal bare copper: IC4'])
    expect(
      moves({
        countedParts: [
          { what: 'caps', out: 7, back: 7 },
          { what: 'screws', out: 3, back: null },
        ],
      }).filter(m => m.startsWith('count')),
    ).toEqual(['count-parts-back: Put back and count: 3 × screws'])
    expect(steps({ bareCoppers: [{ where: 'IC4', sealedAt: null }] })).toContain('Bare copper sealed: false')
    expect(steps({ countedParts: [{ what: 'screws', out: 3, back: null }] })).toContain('What was counted out is back: false')
    expect(moves({ dryings: [drying()] })).toContain('weigh: Weigh again: Board')
    expect(moves({ dryings: [drying({ startedAt: at(3, 18), weighings: [{ at: '2026-03-03T18:45:00.000Z', massG: 300 }] })] }).join()).not.toContain(
      'Weigh again',
    )
    const part = (more: object) => ({ name: 'Bezel', endedAt: null, relookOn: null, hoursSinceColour: 4.26, colours: 2, ...more })
    const why = (more: object) => of({ whitenings: [part(more)] }).moves.find(m => m.code === 'measure-colour')?.why
    expect([why({}), why({ hoursSinceColour: 0 }), why({ endedAt: at(1) })]).toEqual(['4.3 h of treatment since its last colour.', undefined, undefined])
    const relook = (relookOn: string | null, endedAt: string | null = at(1)) =>
      moves({ whitenings: [part({ endedAt, relookOn })] }).filter(m => m.startsWith('relook')).length
    expect([relook('2026-03-03'), relook('2026-03-04'), relook(null), relook('2026-03-01', null)]).toEqual([1, 0, 0, 0])
    expect(moves({ bookings: [booked('oven', at(1), now)] })).toContain('booking-over: Take it out: Board')
    expect(moves({ bookings: [booked('oven', at(1))] }).join()).not.toContain('booking-over')
  })
  it('is due at every instant at which one of these changes', () => {
    const due = (record: Partial<MachineRecord>) => of(record).dueAt
    expect(due({ bookings: [booked('oven', at(4), at(5))] })).toBe(at(4))
    expect(due({ bookings: [booked('oven', at(1), at(5))] })).toBe(at(5))
    expect(due({ whitenings: [{ name: 'x', endedAt: at(1), relookOn: '2026-04-01', hoursSinceColour: 0, colours: 1 }] })).toBe('2026-04-01T00:00:00.000Z')
    expect(due({ dryings: [drying({ startedAt: at(3, 18), weighings: [{ at: '2026-03-03T18:45:00.000Z', massG: 300 }] })] })).toBe('2026-03-03T19:15:00.000Z')
  })
})
