import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { skillNames } from '../kernel/skills'
import { bestAssignment } from './assignment'
import { bands } from '../kernel/move'
import { eveningDay, eveningSpan, minutesAtIt } from './evening-day'
import { type EveningMachine, eveningOffers } from './evening-jobs'
import { eveningStory } from './evening-story'
import { guessAgainstOutcome, guessMinutes } from './job-minutes'
import { type EveningJob, type Hand, dealTonight, mostEach } from './tonight'

/** Every way to give columns to rows, the best total of them. */
function bestOfAll(worth: (number | null)[][], row = 0, taken: number[] = []): number {
  if (row === worth.length) return 0
  const without = bestOfAll(worth, row + 1, taken)
  return worth[row]!.reduce<number>(
    (best, w, column) => (w === null || taken.includes(column) ? best : Math.max(best, w + bestOfAll(worth, row + 1, [...taken, column]))),
    without,
  )
}

describe('an assignment', () => {
  it('is worth as much as the best of all ways, tried one by one', () => {
    const cell = fc.option(fc.integer({ min: 0, max: 50 }), { nil: null })
    const matrix = fc
      .integer({ min: 1, max: 5 })
      .chain(columns => fc.array(fc.array(cell, { minLength: columns, maxLength: columns }), { minLength: 1, maxLength: 4 }))
    fc.assert(
      fc.property(matrix, worth => {
        const chosen = bestAssignment(worth)
        const used = chosen.filter(c => c !== null)
        expect(new Set(used).size).toBe(used.length)
        expect(chosen.reduce<number>((sum, column, row) => sum + (column === null ? 0 : worth[row]![column]!), 0)).toBe(bestOfAll(worth))
      }),
      { numRuns: 400 },
    )
  })
})

const hand = (id: number, more: Partial<Hand> = {}): Hand => ({ id, skills: [], coordinator: false, minutes: 150, inHand: [], ...more })
const job = (key: string, more: Partial<EveningJob> = {}): EveningJob => ({ key, tag: key, place: '', band: 'look', harmRank: 0, minutes: 30, ...more })
const dealtTo = (deal: ReturnType<typeof dealTonight>, key: string) => deal.dealt.find(d => d.key === key)?.hands

describe('an evening dealt out', () => {
  it('gives what gets worse first, and no more than four jobs each', () => {
    const jobs = [...Array.from({ length: 6 }, (_, i) => job(`j${i}`, { minutes: 20 })), job('leak', { band: 'harm', harmRank: 100, minutes: 20 })]
    const deal = dealTonight({ hands: [hand(1)], jobs })
    expect(deal.dealt[0]!.key).toBe('leak')
    expect(deal.dealt).toHaveLength(mostEach)
    expect(deal.left[0]!.why).toContain('4 jobs already')
  })

  it('gives a start its pair, with whoever has the skill at the switch, at a time when both are free', () => {
    const start = job('start', { band: 'guarded', pair: true, skill: 'mains', minutes: 45 })
    const deal = dealTonight({ hands: [hand(1), hand(2, { skills: ['mains'] }), hand(3)], jobs: [start, job('a'), job('b'), job('c')] })
    expect(dealtTo(deal, 'start')![0]).toBe(2)
    expect(dealtTo(deal, 'start')).toHaveLength(2)
    expect(deal.dealt).toHaveLength(4)
    const alone = dealTonight({ hands: [hand(2, { skills: ['mains'] })], jobs: [start] })
    expect(alone.left).toEqual([{ key: 'start', why: 'A start takes two people.' }])
    const unskilled = dealTonight({ hands: [hand(1), hand(3)], jobs: [start] })
    expect(unskilled.left[0]!.why).toContain('“Mains”')
  })

  it('gives an alarm before a retest takes two, and makes up no pair that leaves somebody without anything', () => {
    const two = [hand(1, { skills: ['mains'], minutes: 60 }), hand(2, { minutes: 60 })]
    const retest = job('retest', { band: 'retest', pair: true, skill: 'mains', minutes: 50 })
    const deal = dealTonight({ hands: two, jobs: [retest, job('smoke', { band: 'alarm', minutes: 40 })] })
    expect([dealtTo(deal, 'smoke')?.length, dealtTo(deal, 'retest')]).toEqual([1, undefined])
    // Two may stand at the probe; only one of them may write the letter.
    const start = job('start', { band: 'guarded', pair: true, skill: 'mains', minutes: 60 })
    const three = [hand(1, { skills: ['mains'], minutes: 60 }), hand(2, { coordinator: true, minutes: 60 }), hand(3, { skills: ['lifting'], minutes: 60 })]
    const kept = dealTonight({ hands: three, jobs: [start, job('letter', { coordinator: true })] })
    expect([dealtTo(kept, 'start'), dealtTo(kept, 'letter')]).toEqual([[1, 3], [2]])
  })

  it('keeps a rare skill free for what takes it', () => {
    const deal = dealTonight({
      hands: [hand(1, { skills: ['mains'], minutes: 30 }), hand(2, { minutes: 30 })],
      jobs: [job('plain'), job('mains', { skill: 'mains' })],
    })
    expect([dealtTo(deal, 'mains'), dealtTo(deal, 'plain')]).toEqual([[1], [2]])
  })

  it('begins a wait’s job when the wait is over, and fills the time before it', () => {
    const deal = dealTonight({ hands: [hand(1, { minutes: 120 })], jobs: [job('dry', { band: 'wait-over', notBefore: 60, minutes: 20 }), job('a'), job('b')] })
    expect(deal.dealt.map(d => [d.key, d.atMinute])).toEqual([
      ['a', 0],
      ['b', 30],
      ['dry', 60],
    ])
  })

  it('leaves what somebody else has in hand, and what nobody may or has time for, each with its reason', () => {
    const deal = dealTonight({
      hands: [hand(1, { inHand: [{ tag: 'm', minutes: 140 }] }), hand(2, { minutes: 10 })],
      jobs: [job('m'), job('long'), job('letter', { coordinator: true, minutes: 5 }), job('part', { waitsFor: 'It waits for a part: fuse.' })],
    })
    expect(deal.dealt).toEqual([])
    expect(deal.left.map(l => l.why)).toEqual([
      'Somebody has this machine tonight, and no time left for more of it.',
      'Nobody who could has 30 minutes left.',
      'Only a coordinator may.',
      'It waits for a part: fuse.',
    ])
  })

  it('never gives anybody two things at once, more than their time, what they may not, or one machine to two hands', () => {
    const skill = fc.option(fc.constantFrom(...skillNames), { nil: undefined })
    const anyHand = (id: number) =>
      fc.record({ skills: fc.subarray(skillNames), coordinator: fc.boolean(), minutes: fc.integer({ min: 0, max: 240 }) }).map(more => hand(id, more))
    const anyJob = (i: number) =>
      fc
        .record({
          tag: fc.constantFrom('A', 'B', 'C', 'D', 'E'),
          place: fc.constantFrom('', 'shed', 'loft'),
          band: fc.constantFrom(...bands),
          harmRank: fc.integer({ min: 0, max: 120 }),
          minutes: fc.integer({ min: 5, max: 90 }),
          skill,
          pair: fc.boolean(),
          coordinator: fc.boolean(),
          notBefore: fc.option(fc.integer({ min: 1, max: 200 }), { nil: undefined }),
        })
        .map(more => job(`j${i}`, more))
    const hands = fc.integer({ min: 0, max: 5 }).chain(n => fc.tuple(...Array.from({ length: n }, (_, i) => anyHand(i + 1))))
    const jobs = fc.integer({ min: 0, max: 12 }).chain(n => fc.tuple(...Array.from({ length: n }, (_, i) => anyJob(i))))
    fc.assert(
      fc.property(hands, jobs, (hands, jobs) => {
        const deal = dealTonight({ hands, jobs })
        expect([...deal.dealt, ...deal.left].map(j => j.key).sort()).toEqual(jobs.map(j => j.key).sort())
        const holders = new Map<string, string>()
        for (const { key, hands: ids, atMinute } of deal.dealt) {
          const of = jobs.find(j => j.key === key)!
          const [first] = ids.map(id => hands.find(h => h.id === id)!)
          expect(ids).toHaveLength(of.pair ? 2 : 1)
          expect(!of.skill || first!.skills.includes(of.skill)).toBe(true)
          expect(!of.coordinator || first!.coordinator).toBe(true)
          expect(atMinute).toBeGreaterThanOrEqual(of.notBefore ?? 0)
          for (const id of ids) expect(atMinute + of.minutes).toBeLessThanOrEqual(hands.find(h => h.id === id)!.minutes)
          const before = holders.get(of.tag)
          // A pair may go on with its machine alone, one of the two.
          if (before) expect([before, ...before.split(',')].includes(String(ids)) || String(ids).split(',').includes(before)).toBe(true)
          holders.set(of.tag, String(ids))
        }
        for (const { id } of hands) {
          const own = deal.dealt.filter(d => d.hands.includes(id)).sort((a, b) => a.atMinute - b.atMinute)
          expect(own.length).toBeLessThanOrEqual(mostEach)
          own.slice(1).forEach((d, i) => expect(d.atMinute).toBeGreaterThanOrEqual(own[i]!.atMinute + jobs.find(j => j.key === own[i]!.key)!.minutes))
        }
      }),
      { numRuns: 300 },
    )
  })
})

describe('what could be done with a machine tonight', () => {
  const fault = { band: 'open-fault', code: 'fault-open', says: 'Go on with: no picture', why: '', who: 'a bench volunteer', stage: 'mend' } as const
  const part = { band: 'part', code: 'part', says: 'Find a fuse', why: '', who: 'the coordinator', stage: 'mend', coordinator: true } as const
  const machine: EveningMachine = {
    tag: 'M',
    place: '',
    gate: 'clear-to-run',
    overruled: false,
    mains: true,
    harmRank: 0,
    moves: [fault],
    waits: [],
    handedOn: [],
  }
  const offers = (more: Partial<EveningMachine>) => eveningOffers({ ...machine, ...more }, () => [], 180)

  it('hears the gate: what takes a running machine waits while it is kept off, and takes a pair where only a guarded start is allowed', () => {
    expect(offers({})[0]).toMatchObject({ minutes: 60 })
    expect(offers({})[0]!.pair).toBeUndefined()
    expect(offers({ gate: 'guarded-start' })[0]).toMatchObject({ pair: true, skill: 'mains' })
    expect(offers({ gate: 'guarded-start', mains: false })[0]!.skill).toBeUndefined()
    expect(offers({ overruled: true })[0]!.pair).toBe(true)
    // What was begun and handed on hears the gate too, though it is not among the first moves any more.
    const begun = offers({ gate: 'keep-off', moves: [], handedOn: [fault] })[0]!
    expect(begun).toMatchObject({ handedOn: true, move: { says: fault.says } })
    expect(begun.waitsFor).toContain('the gate says')
    for (const gate of ['keep-off', 'not-yet-assessed'] as const) expect(offers({ gate })[0]!.waitsFor).toContain('the gate says')
  })

  it('waits for parts and for what dries, and makes a wait that ends tonight a job for then', () => {
    expect(offers({ moves: [part, fault] })[1]!.waitsFor).toBe('It waits for a part: a fuse.')
    expect(offers({ waits: [{ what: 'drying', minutesLeft: 600 }] })[0]!.waitsFor).toBe('It waits: drying.')
    expect(offers({ waits: [{ what: 'drying', minutesLeft: 50 }] })[1]).toMatchObject({ notBefore: 50, move: { says: 'Go on: drying' } })
  })
})

describe('minutes', () => {
  it('go by rule until three such jobs were timed, then by their median', () => {
    expect(guessMinutes('look', [90, 95])).toEqual({ minutes: 40, basis: 'by rule; 2 of 3 timed here so far' })
    expect(guessMinutes('look', [90, 95, 20])).toEqual({ minutes: 90, basis: 'the median of 3 such jobs here' })
    expect(guessAgainstOutcome([{ guessMinutes: 40, takenMinutes: 60 }])).toBeNull()
    expect(guessAgainstOutcome([60, 80, 52].map(takenMinutes => ({ guessMinutes: 40, takenMinutes })))).toMatchObject({ ratio: 1.5, jobs: 3 })
  })
})

describe('an evening', () => {
  it('goes on past midnight, on the clocks of the collection', () => {
    expect(eveningDay('2026-07-01T00:30:00.000Z', 'Europe/Dublin')).toBe('2026-06-30')
    expect(eveningDay('2026-07-01T03:30:00.000Z', 'Europe/Dublin')).toBe('2026-07-01')
    // Dublin put its clocks forward in the night to 29 March 2026.
    expect(eveningSpan('2026-03-28', 'Europe/Dublin')).toEqual({ from: '2026-03-28T04:00:00.000Z', to: '2026-03-29T03:00:00.000Z' })
  })

  it('is told from what was written, and of nothing else', () => {
    const nothing = {
      bookedIn: [],
      done: [],
      handedOn: [],
      gates: [],
      faultsReported: [],
      faultsClosed: [],
      signedOff: [],
      readings: 0,
      photographs: 0,
      corrections: 0,
      machines: [],
    }
    expect(eveningStory({ ...nothing, people: [] })).toEqual(['Nothing was written down.'])
    expect(
      eveningStory({
        ...nothing,
        people: ['Maeve', 'Rua', 'Baraka'],
        done: [{ who: 'Maeve', says: 'Look at: Drive B', machine: 'Skua' }],
        gates: [{ machine: 'Skua', from: 'keep-off', to: 'guarded-start' }],
        machines: ['M-1', 'M-2'],
        readings: 1,
        photographs: 3,
      }),
    ).toEqual([
      'Maeve, Rua and Baraka were here.',
      'Done: look at: Drive B, Skua (Maeve).',
      'The gate opened further for Skua (keep off to guarded start).',
      'Something was written of 2 machines: one reading and 3 photographs.',
    ])
  })
})

describe('a pair', () => {
  const start = (key: string, more: Partial<EveningJob> = {}) => job(key, { band: 'guarded', pair: true, minutes: 40, ...more })
  it('works on one start an evening, and never with somebody else’s machine', () => {
    const deal = dealTonight({ hands: [hand(1), hand(2)], jobs: [start('a'), start('b')] })
    expect(deal.dealt.map(d => d.key)).toEqual(['a'])
    // What one of two has in hand is no bar to the pair; what a third has in hand is.
    const held = (id: number) =>
      dealTonight({ hands: [hand(1), hand(2), hand(3)].map(h => (h.id === id ? { ...h, inHand: [{ tag: 'a', minutes: 10 }] } : h)), jobs: [start('a')] })
    expect(dealtTo(held(1), 'a')).toContain(1)
    expect(dealtTo(held(1), 'a')).toHaveLength(2)
    const both = dealTonight({
      hands: [hand(1, { inHand: [{ tag: 'a', minutes: 10 }] }), hand(2, { inHand: [{ tag: 'a', minutes: 10 }] }), hand(3)],
      jobs: [start('a')],
    })
    expect([...dealtTo(both, 'a')!].sort()).toEqual([1, 2])
  })
})

it('counts the minutes of a job within its evening, past midnight too, and none once that was over', () => {
  const at = (time: string) => minutesAtIt('2026-03-03T19:00:00.000Z', time, 'UTC')
  const minutes = ['2026-03-03T19:00:10.000Z', '2026-03-03T19:25:00.000Z', '2026-03-04T03:59:00.000Z', '2026-03-04T04:00:00.000Z'].map(at)
  expect(minutes).toEqual([1, 25, 539, 0])
})
