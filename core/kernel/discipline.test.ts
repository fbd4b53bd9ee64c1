import { describe, expect, it } from 'vitest'
import { settled } from '../../tests/support/settled-machine'
import { assess } from '../planning/assess'
import { disciplines } from '../planning/disciplines'
import { type Discipline, arranged, discipline } from './discipline'

const plain = (name: string, more: Partial<Discipline> = {}): Discipline => ({ name, about: name, facts: () => ({}), unknown: {}, ...more })

describe('disciplines', () => {
  it('are asked after those whose facts they ask for, and after the one that hears where they rest on it', () => {
    const first = plain('first')
    const second = plain('second', { after: [first] })
    const hears = plain('hears', { after: [second], hears: true })
    const last = plain('last', { after: [hears] })
    const { before, hearing, after } = arranged([last, hears, second, first])
    expect([before.map(d => d.name), hearing.name, after.map(d => d.name)]).toEqual([['first', 'second'], 'hears', ['last']])
  })

  it('that are declared wrongly are refused with the reason', () => {
    const hears = plain('hears', { hears: true })
    const [a, b] = [plain('a'), plain('b')]
    a.after = [b]
    b.after = [a]
    expect(() => arranged([hears, plain('x'), plain('x')])).toThrow('Two disciplines go by the name x')
    expect(() => arranged([hears, a, b])).toThrow('wait for each other: a, b, a')
    expect(() => arranged([hears, plain('x', { after: [plain('absent')] })])).toThrow('x comes after absent')
    expect(() => arranged([plain('x')])).toThrow('there are 0')
    expect(() => arranged([hears, plain('other', { hears: true })])).toThrow('there are 2')
  })

  it.each(disciplines.map(d => d.name))('%s: what it cannot read is a stop on that machine, and never a failure', name => {
    const broken = disciplines.find(d => d.name === name)!
    const facts = broken.facts
    broken.facts = () => {
      throw new Error('a row that no rule can read')
    }
    try {
      const { known, run, moves } = assess(settled, '2026-03-03T19:00:00.000Z')
      expect([known.gate.verdict, known.gateInForce]).toEqual(['keep-off', 'keep-off'])
      expect(known.gate.findings[0]).toMatchObject({ level: 'stop', says: `What is on record about ${broken.about} cannot be read.` })
      expect(known.signedOff).toBe(false)
      expect([run.length, moves.length > 0]).toEqual([7, true])
    } finally {
      broken.facts = facts
    }
  })

  it('know the facts of those that they come after', () => {
    const weigh = discipline({ name: 'weigh', about: 'its mass', facts: () => ({ massKg: 3 }), unknown: { massKg: 0 } })
    const lift = discipline({
      name: 'lift',
      about: 'lifting',
      after: [weigh],
      facts: (_, { known }) => ({ people: known.massKg > 20 ? 2 : 1 }),
      unknown: { people: 9 },
    })
    expect(lift.facts(settled, { known: { ...settled, massKg: 30 }, now: '', heard: [] })).toEqual({ people: 2 })
  })
})
