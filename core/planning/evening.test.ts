import { describe, expect, it } from 'vitest'
import { type NextMove, bands, move, someOf } from '../kernel/move'
import { bestAssignment } from './assignment'
import { type EveningMachine, eveningOffers } from './evening-jobs'
import { type EveningTold, eveningStory } from './evening-story'
import { enoughTimed, findsSomething, guessAgainstOutcome, guessMinutes, kindOfJob, needsPower, onlyWaits } from './job-minutes'
import { type EveningJob, type Hand, dealTonight } from './tonight'

// How an evening is dealt out, each thing that speaks for a job tried alone. Our own rules, from common practice, no source.
const hand = (id: number, more: Partial<Hand> = {}): Hand => ({ id, skills: [], coordinator: false, minutes: 150, inHand: [], ...more })
const job = (key: string, more: Partial<EveningJob> = {}): EveningJob => ({ key, tag: key, place: '', band: 'look', harmRank: 0, minutes: 100, ...more })
const deal = (hands: Hand[], ...jobs: EveningJob[]) => dealTonight({ hands, jobs })
const order = (...given: Parameters<typeof deal>) => deal(...given).dealt.map(d => `${d.key}:${d.hands.join('+')}@${d.atMinute}`)
const why = (...given: Parameters<typeof deal>) => Object.fromEntries(deal(...given).left.map(l => [l.key, l.why]))

describe('one hand gets, of two jobs', () => {
  it.each<[string, Partial<EveningJob>, Partial<EveningJob>]>([
    ['that of the earlier band', { band: 'look' }, { band: 'path' }],
    ['that which gets worse the faster', { harmRank: 20 }, { harmRank: 10 }],
    ['that whose wait ends tonight', { notBefore: 5 }, {}],
    ['that which was handed on', { handedOn: true }, {}],
    ['that of the machine they know', { knownTo: 1 }, { knownTo: 2 }],
    ['an earlier band before all the rest together', { band: 'look' }, { band: 'checks', harmRank: 900, handedOn: true, knownTo: 1, notBefore: 5 }],
    ['a wait before what was handed on by a machine they know less', { notBefore: 5, knownTo: 1 }, { handedOn: true }],
  ])('%s', (_, better, other) => {
    expect(deal([hand(1)], job('other', other), job('better', better)).dealt.map(d => d.key)).toEqual(['better'])
    expect(deal([hand(1)], job('better', better), job('other', other)).dealt.map(d => d.key)).toEqual(['better'])
  })
  it('counts harm up to a bound, so that it never outweighs a band', () => {
    const harm = (harmRank: number, other: number) => order([hand(1)], job('a', { harmRank }), job('b', { harmRank: other, knownTo: 1 }))
    // A tenth of the rank, 15 points at most; who knows the machine counts 5.
    expect(harm(190, 120)).toEqual(['b:1@0'])
    expect(harm(160, 90)).toEqual(['a:1@0'])
    expect(order([hand(1)], job('a', { harmRank: 300 }), job('b', { harmRank: 160, knownTo: 1 }))).toEqual(['b:1@0'])
  })
})

describe('of two hands', () => {
  it('the one whose skills are needed less gets what takes none', () => {
    const two = [hand(1, { skills: ['mains', 'fine-rework'], minutes: 100 }), hand(2, { skills: ['mains'], minutes: 100 })]
    expect(order(two, job('plain'))).toEqual(['plain:2@0'])
    expect(order(two, job('solder', { skill: 'fine-rework' }))).toEqual(['solder:1@0'])
    expect(order([hand(1), hand(2, { coordinator: true })], job('letter', { coordinator: true }))).toEqual(['letter:2@0'])
  })
  it('both get something where both can, and the one who works there already the next', () => {
    const shed = { place: 'shed', minutes: 30 }
    const jobs = [
      job('a', shed),
      job('b', { place: 'loft', minutes: 30 }),
      job('c', { ...shed, band: 'path' }),
      job('d', { place: 'loft', minutes: 30, band: 'path' }),
    ]
    const dealt = deal([hand(1, { minutes: 60 }), hand(2, { minutes: 60 })], ...jobs)
    const by = Object.fromEntries(dealt.dealt.map(d => [d.key, d.hands[0]]))
    expect([by.a === by.c, by.b === by.d, by.a === by.b]).toEqual([true, true, false])
    expect(dealt.dealt.find(d => d.key === 'c')?.because).toContain('Beside other work, in shed.')
    expect(deal([hand(1)], job('a', { minutes: 30 }), job('b', { minutes: 30 })).dealt.flatMap(d => d.because)).toEqual([])
  })
})

describe('time', () => {
  it('is filled between what is in hand and what begins later, to the minute', () => {
    expect(order([hand(1, { minutes: 100, inHand: [{ tag: 'x', minutes: 40 }] })], job('a', { minutes: 60 }))).toEqual(['a:1@40'])
    expect(order([hand(1, { minutes: 99, inHand: [{ tag: 'x', minutes: 40 }] })], job('a', { minutes: 60 }))).toEqual([])
    expect(order([hand(1, { minutes: 100 })], job('dry', { band: 'wait-over', notBefore: 60, minutes: 40 }), job('a', { minutes: 60 }))).toEqual([
      'a:1@0',
      'dry:1@60',
    ])
    expect(order([hand(1, { minutes: 100 })], job('dry', { band: 'wait-over', notBefore: 60, minutes: 40 }), job('a', { minutes: 61 }))).toEqual(['dry:1@60'])
    expect(order([hand(1, { minutes: 100 })], job('dry', { notBefore: 61, minutes: 40 }))).toEqual([])
  })
  it('of one machine runs in the order of its jobs', () => {
    const first = job('m1', { tag: 'm', minutes: 30, band: 'path' })
    const second = job('m2', { tag: 'm', minutes: 30, band: 'look' })
    expect(order([hand(1)], first, second)).toEqual(['m1:1@0', 'm2:1@30'])
    expect(deal([hand(1), hand(2)], first, second).dealt.map(d => d.atMinute)).toEqual([0, 30])
  })
  it('in hand counts as a job, and four are enough', () => {
    const inHand = Array.from({ length: 4 }, (_, i) => ({ tag: `t${i}`, minutes: 5 }))
    expect(why([hand(1, { inHand })], job('a', { minutes: 5 }))).toEqual({ a: 'Whoever could has 4 jobs already.' })
    expect(order([hand(1, { inHand: inHand.slice(1) })], job('a', { minutes: 5 }))).toEqual(['a:1@15'])
  })
})

describe('what is left says why', () => {
  it.each<[string, Hand[], EveningJob, string]>([
    ['nobody is here', [], job('a'), 'Nobody is here.'],
    ['it waits', [hand(1)], job('a', { waitsFor: 'It waits: post.' }), 'It waits: post.'],
    ['only a coordinator may', [hand(1)], job('a', { coordinator: true }), 'Only a coordinator may.'],
    ['nobody has the skill', [hand(1)], job('a', { skill: 'fine-rework' }), 'Nobody here has the skill “Fine rework”.'],
    ['it takes two', [hand(1)], job('a', { pair: true }), 'A start takes two people.'],
    [
      'no two are free together',
      [hand(1), hand(2, { minutes: 50 })],
      job('a', { pair: true }),
      'No two who could are free together for so long, or they have a start already.',
    ],
    [
      'somebody has the machine',
      [hand(1, { minutes: 50, inHand: [{ tag: 'a', minutes: 40 }] })],
      job('a'),
      'Somebody has this machine tonight, and no time left for more of it.',
    ],
    ['nobody has the time', [hand(1, { minutes: 50 })], job('a'), 'Nobody who could has 100 minutes left.'],
    ['nobody is here after the wait', [hand(1)], job('a', { notBefore: 100 }), 'Nobody who could is here for long enough after the wait.'],
  ])('%s', (_, hands, one, says) => expect(why(hands, one)).toEqual({ a: says }))

  it('and what is dealt says what speaks for it', () => {
    const because = (more: Partial<EveningJob>, ...hands: Hand[]) => deal(hands.length ? hands : [hand(1)], job('a', more)).dealt[0]?.because
    expect(because({})).toEqual([])
    expect(because({ harmRank: 3, notBefore: 2, handedOn: true, knownTo: 1, place: 'shed' })).toEqual([
      'It gets worse by waiting.',
      'The wait ends tonight.',
      'It was handed on.',
      'Knows the machine: wrote to it last.',
    ])
    expect(because({ pair: true, skill: 'mains' }, hand(1), hand(2, { skills: ['mains'] }))).toEqual([
      'It takes two: one at the switch, one at the probe.',
      'It takes the skill “Mains”.',
    ])
  })
})

describe('a start', () => {
  const start = (more: Partial<EveningJob> = {}) => job('start', { band: 'guarded', pair: true, minutes: 60, ...more })
  it('takes whoever leaves nobody without work, then the earliest, then those whose skills are needed least', () => {
    expect(deal([hand(1, { skills: ['mains', 'fine-rework'] }), hand(2, { skills: ['mains'] }), hand(3)], start({ skill: 'mains' })).dealt[0]?.hands).toEqual([
      2, 3,
    ])
    const late = [hand(1, { inHand: [{ tag: 'x', minutes: 60 }] }), hand(2), hand(3)]
    expect([...deal(late, start()).dealt[0]!.hands].sort()).toEqual([2, 3])
  })
  it('that can wait comes after the first round, and one that keeps off before it', () => {
    const two = [hand(1, { minutes: 60 }), hand(2, { minutes: 60 })]
    expect(deal(two, start({ band: 'sign-off' }), job('a', { minutes: 60 })).dealt.map(d => d.key)).toEqual(['a'])
    expect(deal(two, start({ band: 'retest' }), job('a', { minutes: 60 })).dealt.map(d => d.key)).toEqual(['a'])
    expect(deal(two, start(), job('a', { minutes: 60 })).dealt.map(d => d.key)).toEqual(['start'])
    expect(deal(two, start({ band: 'sign-off' })).dealt.map(d => d.key)).toEqual(['start'])
  })
  it('comes after harm and after what ends tonight', () => {
    const two = [hand(1, { minutes: 60 }), hand(2, { minutes: 60 })]
    for (const band of ['alarm', 'harm', 'loose', 'wait-over'] as const)
      expect(deal(two, start(), job('a', { band, minutes: 60 })).dealt.map(d => d.key)).toEqual(['a'])
  })
  it('of two, the more pressing is dealt first', () => {
    const two = [hand(1), hand(2)]
    expect(deal(two, start({ key: 'x', tag: 'x', harmRank: 1 }), start({ key: 'y', tag: 'y', harmRank: 2 })).dealt.map(d => d.key)).toEqual(['y'])
    expect(deal(two, start({ key: 'x', tag: 'x', band: 'open-fault' }), start({ key: 'y', tag: 'y' })).dealt.map(d => d.key)).toEqual(['y'])
  })
})

describe('offers', () => {
  const fault = move('open-fault', 'fault-open', 'mend', { says: 'Go on with: no picture', why: 'x' })
  const look = move('look', 'look', 'look', { says: 'Look at: case', why: 'x' })
  const part = move('part', 'part', 'mend', { says: 'Find a fuse', why: 'x', coordinator: true })
  const machine: EveningMachine = {
    tag: 'M',
    place: 'shed',
    gate: 'clear-to-run',
    overruled: false,
    mains: true,
    harmRank: 7,
    moves: [fault, look],
    waits: [],
    handedOn: [],
  }
  const offers = (more: Partial<EveningMachine> = {}, taken: readonly number[] = []) => eveningOffers({ ...machine, ...more }, () => taken, 120)

  it('carry what is known of the machine, and nothing that is not', () => {
    expect(offers()[1]).toEqual({ key: 'M/look/Look at: case', tag: 'M', place: 'shed', band: 'look', harmRank: 7, minutes: 40, basis: 'by rule', move: look })
    expect(offers({ knownTo: 3 })[1]).toMatchObject({ knownTo: 3 })
    expect(offers({}, [10, 10, 10])[1]?.minutes).toBe(10)
    expect(offers({ moves: [part] })[0]).toMatchObject({ coordinator: true })
    expect(offers({ moves: [move('guarded', 'gate.rails', 'make-safe', { says: 'Start it', why: 'x', pair: true, skill: 'mains' })] })[0]).toMatchObject({
      pair: true,
      skill: 'mains',
    })
  })
  it('hear the gate only for what takes a running machine', () => {
    for (const gate of ['keep-off', 'not-yet-assessed'] as const) expect(offers({ gate }).map(o => Boolean(o.waitsFor))).toEqual([true, false])
    expect(offers({ gate: 'guarded-start' }).map(o => [o.pair, o.skill])).toEqual([
      [true, 'mains'],
      [undefined, undefined],
    ])
    expect(offers({ gate: 'guarded-start', mains: false }).map(o => [o.pair, o.skill])[0]).toEqual([true, undefined])
    expect(offers({ gate: 'guarded-start', moves: [{ ...fault, skill: 'fine-rework' }] })[0]?.skill).toBe('fine-rework')
    expect(offers({ overruled: true, gate: 'keep-off' })[0]).toMatchObject({ pair: true, waitsFor: expect.stringContaining('keep off') as string })
  })
  it('wait for a part and for what dries only where the machine has to run, and a wait is a job where it ends tonight', () => {
    expect(offers({ moves: [part, fault, look] }).map(o => o.waitsFor)).toEqual([undefined, 'It waits for a part: a fuse.', undefined])
    const waiting = (minutesLeft: number) => offers({ waits: [{ what: 'drying', minutesLeft }] }).map(o => [o.move.code, o.notBefore, o.waitsFor])
    const rest = [
      ['fault-open', undefined, undefined],
      ['look', undefined, undefined],
    ]
    expect(waiting(0)).toEqual(rest)
    expect(waiting(1)).toEqual([...rest, ['wait-over', 1, undefined]])
    expect(waiting(120)).toEqual([...rest, ['wait-over', 120, undefined]])
    expect(waiting(121)).toEqual([['fault-open', undefined, 'It waits: drying.'], rest[1]])
    expect(offers({ moves: [move('clean', 'wait.contamination', 'clean', { says: 'Dry', why: 'x' })] })[0]?.waitsFor).toBe('The wait has not run out yet.')
  })
  it('go on with what was handed on, once, whether or not it is among the moves', () => {
    const told = offers({ handedOn: [fault] })
    expect(told.map(o => [o.move.says, o.handedOn])).toEqual([
      [fault.says, true],
      [look.says, undefined],
    ])
    const other = { ...fault, says: 'Go on with: no sound' }
    expect(offers({ handedOn: [other] }).map(o => [o.move.says, o.handedOn])).toEqual([
      [fault.says, undefined],
      [look.says, undefined],
      [other.says, true],
    ])
    expect(offers({ handedOn: [{ ...fault, code: 'fault-new' }] })).toHaveLength(3)
  })
})

describe('how long a job takes', () => {
  it('is a rule by its kind, what is done running or only waited for among it', () => {
    expect(['look', 'gate.rails', 'gate.rails.5-v', 'nobody-knows'].map(c => guessMinutes(c, []).minutes)).toEqual([40, 45, 45, 30])
    expect(kindOfJob('gate.battery.in')).toBe('gate.battery')
    expect(['fault-open', 'look', 'nobody-knows', 'soak'].map(needsPower)).toEqual([true, false, false, true])
    expect(['fault-open', 'look', 'nobody-knows', 'gate.rails.+5', 'move-on'].map(findsSomething)).toEqual([true, true, false, true, false])
    expect(['wait.contamination.dirt', 'look', 'nobody-knows'].map(onlyWaits)).toEqual([true, false, false])
  })
  it('is the median of what it took here, in fives, and five at least', () => {
    expect(enoughTimed).toBe(3)
    expect([guessMinutes('look', [1, 1, 2]), guessMinutes('look', [31, 33, 90]), guessMinutes('look', [10, 12])].map(g => g.minutes)).toEqual([5, 35, 40])
    expect(guessMinutes('look', []).basis).toBe('by rule')
  })
  it('is held against what was guessed, kindly', () => {
    const says = (...taken: number[]) => guessAgainstOutcome(taken.map(takenMinutes => ({ guessMinutes: 100, takenMinutes })))?.says
    expect([says(100, 102, 104), says(150, 150, 150), says(50, 50, 50), says(100, 100)]).toEqual([
      'Guesses have been about right: the median of 3 jobs.',
      'Jobs have taken 1.5 times the guess, the median of 3. Jobs grow; the guesses grow with them.',
      'Jobs have taken 0.5 times the guess, the median of 3. There was time to spare.',
      undefined,
    ])
    expect(guessAgainstOutcome([0, 0, 0].map(guessMinutes => ({ guessMinutes, takenMinutes: 9 })))).toBeNull()
  })
})

describe('the story of an evening', () => {
  const nothing: EveningTold = {
    ...{ people: [], bookedIn: [], done: [], handedOn: [], gates: [], faultsReported: [], faultsClosed: [], signedOff: [], machines: [] },
    ...{ readings: 0, photographs: 0, corrections: 0 },
  }
  const told = (more: Partial<EveningTold>) => eveningStory({ ...nothing, ...more })
  it('has a sentence for each thing that happened', () => {
    expect(
      told({
        people: ['Ilka'],
        bookedIn: ['Skua'],
        done: [{ who: 'Ilka', says: 'DC rails read.', machine: 'Skua' }],
        handedOn: [{ says: 'Clean it', machine: 'Tern', note: 'half done' }],
        gates: [
          { machine: 'Tern', from: 'clear-to-run', to: 'keep-off' },
          { machine: 'Skua', from: 'guarded-start', to: 'guarded-start' },
        ],
        faultsReported: [{ machine: 'Tern', symptom: 'No picture.' }],
        faultsClosed: [{ machine: 'Skua', symptom: 'Hum' }],
        signedOff: ['Skua'],
        machines: ['a'],
        corrections: 1,
      }),
    ).toEqual([
      'Ilka was here.',
      'Booked in: Skua.',
      'Done: DC rails read, Skua (Ilka).',
      'Handed on: clean it, Tern (“half done”).',
      'The gate closed further for Tern (clear to run to keep off).',
      'New faults: no picture, Tern.',
      'Repairs closed: hum, Skua.',
      'Signed off: Skua.',
      'Something was written of one machine: one correction.',
    ])
    expect(told({ readings: 2 })).toEqual(['Written down: 2 readings.'])
    expect(told({ machines: ['a'] })).toEqual(['Something was written of one machine.'])
    expect(told({ people: ['A', 'B'] })[0]).toBe('A and B were here.')
  })
  it('names six, and counts the others', () => {
    const names = Array.from({ length: 8 }, (_, i) => `M${i}`)
    expect(told({ signedOff: names })[0]).toBe('Signed off: M0; M1; M2; M3; M4; M5; and 2 more.')
    expect(told({ signedOff: names.slice(0, 6) })[0]).toBe('Signed off: M0; M1; M2; M3; M4; M5.')
  })
})

it('moves are a volunteer’s unless only a coordinator may, and three names stand for many', () => {
  const who = (more: object) => move('look', 'x', 'look', { says: '', why: '', ...more }).who
  expect([who({}), who({ coordinator: true }), who({ who: 'somebody' })]).toEqual(['a bench volunteer', 'the coordinator', 'somebody'])
  expect([someOf(['a', 'b', 'c']), someOf(['a', 'b', 'c', 'd', 'e'])]).toEqual(['a, b, c', 'a, b, c and 2 more'])
  expect(new Set<NextMove['band']>(bands).size).toBe(bands.length)
})

it('an assignment leaves out what does not go together, and gives nobody anything where there is nothing', () => {
  expect(bestAssignment([])).toEqual([])
  expect(bestAssignment([[], []])).toEqual([null, null])
  expect(bestAssignment([[null], [0]])).toEqual([null, 0])
  expect(
    bestAssignment([
      [5, 4],
      [5, 1],
    ]),
  ).toEqual([1, 0])
})

describe('who gets what, where it is close', () => {
  it('somebody who works in the shed goes on there, and it counts four points', () => {
    const shed = job('shed', { place: 'shed', minutes: 30, band: 'harm' })
    const next = (more: Partial<EveningJob>) =>
      order([hand(1, { minutes: 60 })], shed, job('there', { place: 'shed', minutes: 30 }), job('other', { minutes: 30, ...more }))[1]
    expect(next({})).toBe('there:1@30')
    expect(next({ place: 'loft' })).toBe('there:1@30')
    // Three points of harm are less than the place, five are more.
    expect([next({ harmRank: 30 }), next({ harmRank: 50 })]).toEqual(['there:1@30', 'other:1@30'])
    // No place is no place that two jobs share.
    expect(
      order([hand(1, { minutes: 60 })], job('a', { minutes: 30, band: 'harm' }), job('b', { minutes: 30 }), job('c', { minutes: 30, harmRank: 10 }))[1],
    ).toBe('c:1@30')
  })
  it('a skill that is needed is not counted as spare', () => {
    const two = [hand(1, { skills: ['mains'], minutes: 100 }), hand(2, { skills: ['mains', 'lifting'], minutes: 100 })]
    expect(order(two, job('a', { skill: 'mains' }))).toEqual(['a:1@0'])
    expect(order(two, job('a'))).toEqual(['a:1@0'])
  })
  it('each works in one start only, and a fifth job is nobody’s', () => {
    const start = (key: string): EveningJob => job(key, { band: 'guarded', pair: true, minutes: 20 })
    expect(deal([hand(1), hand(2), hand(3), hand(4)], start('a'), start('b'), start('c')).dealt.length).toBe(2)
    const busy = hand(1, { inHand: Array.from({ length: 4 }, (_, i) => ({ tag: `t${i}`, minutes: 1 })) })
    expect(why([busy, hand(2)], start('a'))).toEqual({ a: 'No two who could are free together for so long, or they have a start already.' })
    expect(deal([hand(1)], ...Array.from({ length: 6 }, (_, i) => job(`j${i}`, { minutes: 5 }))).dealt).toHaveLength(4)
  })
  it('what is left of a machine that somebody has, or of which nobody has room, says so', () => {
    expect(why([hand(1, { minutes: 100 })], job('a'), job('b', { tag: 'a' }))).toEqual({
      b: 'Somebody has this machine tonight, and no time left for more of it.',
    })
    const full = hand(1, { inHand: Array.from({ length: 4 }, (_, i) => ({ tag: `t${i}`, minutes: 1 })) })
    expect(why([full, hand(2, { minutes: 10 })], job('a'))).toEqual({ a: 'Nobody who could has 100 minutes left.' })
    expect(why([full], job('a'))).toEqual({ a: 'Whoever could has 4 jobs already.' })
  })
  it('offers carry no field that says nothing', () => {
    const machine: EveningMachine = {
      tag: 'M',
      place: '',
      gate: 'clear-to-run',
      overruled: false,
      mains: true,
      harmRank: 0,
      moves: [move('look', 'look', 'look', { says: 'x', why: 'y' })],
      waits: [],
      handedOn: [],
    }
    expect(Object.keys(eveningOffers(machine, () => [], 60)[0]!).sort()).toEqual(['band', 'basis', 'harmRank', 'key', 'minutes', 'move', 'place', 'tag'])
    expect(
      eveningOffers(
        {
          ...machine,
          moves: [
            move('part', 'part', 'mend', { says: 'Find a', why: '' }),
            move('part', 'part', 'mend', { says: 'Find b', why: '' }),
            move('open-fault', 'fault-open', 'mend', { says: 'z', why: '' }),
          ],
        },
        () => [],
        60,
      )[2]?.waitsFor,
    ).toBe('It waits for a part: a.')
    expect(
      eveningOffers(
        {
          ...machine,
          moves: [move('open-fault', 'fault-open', 'mend', { says: 'z', why: '' })],
          waits: [
            { what: 'a', minutesLeft: 99 },
            { what: 'b', minutesLeft: 98 },
          ],
        },
        () => [],
        60,
      )[0]?.waitsFor,
    ).toBe('It waits: a.')
  })
})
