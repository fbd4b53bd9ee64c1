import { expect, it } from 'vitest'
import { judgeSpending, mustAskBefore } from './consent'
import { letterText, letterToOwner } from './letter'

const consent = { allowed: ['open', 'clean'] as ('open' | 'clean')[], upTo: 100, mustAsk: '' }
const spend = (amount: number, more = {}) => judgeSpending({ ours: false, consent, spentSoFar: 60, amount, currency: 'EUR', ...more })[0]!

it('what is not ours is spent on up to the limit and not a cent further', () => {
  expect(spend(40)).toMatchObject({ level: 'fine', code: 'spending.within' })
  expect(spend(40.01)).toMatchObject({ level: 'stop', code: 'spending.beyond' })
  expect(spend(40.01).because[0]).toBe('€60.00 was spent before; with €40.01 it would be €100.01.')
  expect(spend(0.01, { consent: null })).toMatchObject({ level: 'stop', code: 'spending.no-consent' })
  expect(spend(1e5, { ours: true, consent: null })).toMatchObject({ level: 'fine' })
  // Thirty cents as a binary fraction is a hair more than three times ten.
  expect(spend(0.1, { consent: { ...consent, upTo: 0.3 }, spentSoFar: 0.2 })).toMatchObject({ level: 'fine' })
})

it('work that was not agreed to is asked for', () => {
  expect(mustAskBefore('clean', false, consent)).toEqual([])
  expect(mustAskBefore('donor', false, consent)[0]).toMatchObject({ level: 'stop', says: 'Ask the owner first: take parts from it.' })
  expect(mustAskBefore('donor', true, null)).toEqual([])
})

it('a letter tells what was found, what it would take and what is asked, and leaves out what there is not', () => {
  const about = {
    collection: 'Skerrow Head Signal Museum',
    owner: 'the trust',
    machine: 'Buoymaster',
    tag: 'SH-2026-012',
    writtenBy: 'Ilka Brandvold',
    assemblies: [{ name: 'Disk drive', found: 'grade 2', note: 'foam perished' }],
    damages: [],
    path: null,
    estimate: { hoursLow: 90, hoursHigh: 160, costLow: 60, costHigh: 310 },
    currency: 'EUR',
    spentSoFar: 38.5,
    agreedUpTo: 120,
    questions: ['May it cost up to 310 EUR?'],
    photographs: 2,
  }
  const letter = letterToOwner(about)
  expect(letter.lists.map(l => l.title)).toEqual(['Its parts', 'What it would take', 'We need your answer to'])
  const text = letterText(letter)
  for (const part of [
    'Dear the trust,',
    '2 photographs are enclosed',
    'Disk drive: grade 2 (foam perished)',
    '€60.00 to €310.00',
    '€38.50 has been spent; you agreed to €120.00',
    '- May it cost up to 310 EUR?',
    'Ilka Brandvold',
  ])
    expect(text).toContain(part)
  expect(letterText(letterToOwner({ ...about, agreedUpTo: null, photographs: 0, estimate: null }))).toMatch(/no limit has been agreed yet/)
})
