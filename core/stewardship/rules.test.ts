import { describe, expect, it } from 'vitest'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { judgeSpending, mustAskBefore, questionOf, worksAsked } from './consent'
import { type ClosingInput, closingLetter, letterText, letterToOwner } from './letter'
import { judgeOutcome } from './outcome'

// What is agreed with an owner, and told to them. Common practice, no source.
const of = (record: Partial<MachineRecord>) => assess({ ...settled, ...record } as MachineRecord, now)
const codes = (record: Partial<MachineRecord>) => of(record).moves.map(m => m.code)
const consent = { allowed: ['open'] as 'open'[], upTo: 100, mustAsk: '' }

describe('money', () => {
  const spend = (amount: number, more: object = {}) => judgeSpending({ ours: false, consent, spentSoFar: 0, amount, currency: 'EUR', ...more })[0]!
  it('is spent to the cent of what was agreed, sums of cents included', () => {
    expect([100, 100.005].map(a => spend(a).level)).toEqual(['fine', 'stop'])
    expect(spend(0.1, { spentSoFar: 99.9 }).says).toBe('€0.00 is left of what the owner approved.')
    expect(spend(30).because).toEqual(['€30.00 of €100.00.'])
    expect(spend(30, { ours: true }).says).toBe('The collection’s own machine: €30.00 in all.')
  })
  it('and work are asked for, each in words of its own', () => {
    expect(mustAskBefore('open', false, consent)).toEqual([])
    expect(mustAskBefore('clean', false, consent)[0]?.because).toEqual(['It is not among what they agreed to.'])
    expect(mustAskBefore('clean', false, null)[0]?.because).toEqual(['No consent has been recorded.'])
    expect(Object.keys(questionOf)).toEqual(Object.keys(worksAsked))
  })
})

describe('a machine that belongs to somebody else', () => {
  it('is asked about first, by a coordinator, and counts as booked in once it was', () => {
    const asked = (record: Partial<MachineRecord>) => [
      codes(record).includes('consent'),
      of(record).run[0]?.steps.find(s => s.says === 'Agreed with its owner')?.done,
    ]
    expect(asked({ ours: true })).toEqual([false, undefined])
    expect(asked({ ours: false, consent: null })).toEqual([true, false])
    expect(asked({ ours: false, consent })).toEqual([false, true])
    expect(of({ ours: false }).moves.find(m => m.code === 'consent')).toMatchObject({ coordinator: true, who: 'the coordinator', band: 'owner' })
  })
})

describe('a path', () => {
  const looked = { id: 1, name: 'Case', presence: 'present' as const, grade: 1 }
  it('is chosen once everything has been looked at, while it is looked at or made safe', () => {
    const due = (record: Partial<MachineRecord>) => codes({ appraisal: null, stage: 'look', ...record }).includes('path')
    expect(due({})).toBe(true)
    expect(due({ stage: 'make-safe' })).toBe(true)
    expect(due({ stage: 'clean' })).toBe(false)
    expect(due({ assemblies: [] })).toBe(false)
    expect(due({ assemblies: [looked, { ...looked, id: 2, name: 'Board', presence: 'not-looked', grade: null }] })).toBe(false)
    expect(due({ appraisal: { path: 'run' } })).toBe(false)
    expect(due({ appraisal: { path: null } })).toBe(true)
  })
})

describe('a letter', () => {
  const about = {
    collection: 'Skerrow Head Signal Museum',
    owner: 'the trust',
    machine: 'Buoymaster',
    tag: 'SH-2026-012',
    writtenBy: 'Ilka Brandvold',
    assemblies: [{ name: 'Drive', found: 'grade 2', note: '' }],
    damages: ['rust'],
    path: { title: 'Run again', because: ['a', 'b'] },
    estimate: { hoursLow: 1, hoursHigh: 2, costLow: 5, costHigh: 5 },
    currency: 'EUR',
    spentSoFar: 0,
    agreedUpTo: null,
    questions: [],
    photographs: 1,
  }
  it('says one cost once, one photograph as one, and what its path rests on', () => {
    const { paragraphs, lists } = letterToOwner(about)
    expect(paragraphs[1]).toMatch(/A photograph is enclosed\.$/)
    expect(letterToOwner({ ...about, photographs: 0 }).paragraphs[1]).toMatch(/so far\.$/)
    expect(lists.find(l => l.title === 'Its parts')?.lines).toEqual(['Drive: grade 2'])
    expect(lists.find(l => l.title === 'What we would do')?.lines).toEqual(['Run again.', 'a', 'b'])
    expect(lists.find(l => l.title === 'What it would take')?.lines[1]).toBe('About €5.00 for parts. An estimate, not a price.')
    expect(lists.map(l => l.title)).not.toContain('We need your answer to')
    expect(letterText({ subject: '', paragraphs: ['a'], lists: [{ title: 't', lines: ['x', 'y'] }], closing: ['z'] })).toBe('a\n\nt\n- x\n- y\n\nz')
  })
  it('at the end names what changed, and calls nothing done beside what is open', () => {
    const closing: ClosingInput = {
      ...{ collection: about.collection, owner: about.owner, machine: about.machine, tag: about.tag, writtenBy: about.writtenBy, currency: 'EUR' },
      ...{ released: 'It is yours again.', replaced: [], kept: [], tested: ['keys'], limits: '', odd: [], open: [] },
      ...{
        parts: [
          { name: 'Case', found: 'clean', now: 'clean' },
          { name: 'Board', found: 'crusted', now: 'clean' },
        ],
        hoursWorked: 3.26,
        spent: 5,
        agreedUpTo: null,
      },
    }
    const list = (title: string, more: Partial<ClosingInput> = {}) => closingLetter({ ...closing, ...more }).lists.find(l => l.title === title)?.lines
    expect(list('As found, and as it goes')).toEqual(['Case: clean', 'Board: crusted; now clean'])
    expect(list('What was tested')).toEqual(['keys'])
    expect(list('What was tested', { limits: 'for demonstration' })).toEqual(['keys', 'It was signed off for demonstration.'])
    expect(list('What it took')).toEqual(['About 3.3 hours of volunteers’ work that were noted, at no charge.', '€5.00 for parts.'])
    expect(list('What it took', { agreedUpTo: 9 })?.[1]).toBe('€5.00 for parts; you had agreed to €9.00.')
    expect(list('Replaced and repaired')).toBeUndefined()
    expect(closingLetter(closing).paragraphs[1]).toContain('has come to its end')
    expect(closingLetter({ ...closing, open: ['drying'] }).paragraphs[1]).toContain('is not finished')
    expect(closingLetter(closing).closing[0]).toContain('does not say that the machine is safe')
  })
})

it('what came of it is held against what was thought, each from both sides', () => {
  const hours = (worked: number, low: number | null, high: number | null) =>
    judgeOutcome({ hours: { worked, low, high }, money: { spent: 0, low: 0, high: 1, currency: 'EUR' }, faults: { closed: 0, open: 0 } })[0]!
  expect([hours(20, 10, 20).level, hours(20.1, 10, 20).level]).toEqual(['fine', 'care'])
  expect([hours(10, 10, 20).because[0], hours(9, 10, 20).because[0]]).toEqual(['The estimate held.', 'It took less than was thought.'])
  expect(hours(5, 0, 0).code).toBe('outcome.hours.no-estimate')
  expect(hours(5, null, 3).code).toBe('outcome.hours.no-estimate')
  expect(hours(5, 3, null).code).toBe('outcome.hours.no-estimate')
  expect(hours(5, 0, 4).code).toBe('outcome.hours.grew')
  expect(hours(6, 3, 3).says).toBe('Hours that were noted: 6 h where 3 h were estimated.')
  expect([hours(299, 1, 3).because[0], hours(300, 1, 3).because[0]]).toEqual([
    expect.stringContaining('99.7 times'),
    expect.stringContaining('Hardly anything'),
  ])
  const open = (n: number) =>
    judgeOutcome({ hours: { worked: 1, low: 1, high: 1 }, money: { spent: 0, low: 0, high: 1, currency: 'EUR' }, faults: { closed: 0, open: n } })
  expect([open(0).length, open(1).at(-1)?.says, open(2).at(-1)?.says]).toEqual([2, 'One fault stays open.', '2 faults stay open.'])
})
