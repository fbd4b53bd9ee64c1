import { expect, it } from 'vitest'
import { merged } from './merge'

const base = { facts: { battery: 'in', smoke: 'no' }, note: '', cells: 3 }

it('two people who answer different facts lose nothing', () => {
  const mine = { facts: { battery: 'in', smoke: 'no', fan: 'missing' }, note: '', cells: '3' }
  const theirs = { facts: { battery: 'out', smoke: 'no', wiring: 'known' }, note: '', cells: 3, version: 4 }
  const wanted = { facts: { battery: 'out', smoke: 'no', fan: 'missing', wiring: 'known' }, note: '', cells: '3' }
  expect(merged(base, mine, theirs)).toEqual({ mine: wanted, theirs: wanted, conflicts: [] })
})

it('where both changed one thing, it is named, and keeping mine keeps what only they added', () => {
  const mine = { facts: { battery: 'leaking', smoke: 'no' }, note: '', cells: 3 }
  const theirs = { facts: { battery: 'out', smoke: 'no', wiring: 'known' }, note: 'dusty', cells: 3 }
  expect(merged(base, mine, theirs)).toEqual({
    mine: { facts: { battery: 'leaking', smoke: 'no', wiring: 'known' }, note: 'dusty', cells: 3 },
    theirs: { facts: { battery: 'out', smoke: 'no', wiring: 'known' }, note: 'dusty', cells: 3 },
    conflicts: ['facts.battery'],
  })
})

it('what one of them emptied is emptied; what the row does not hold is left alone; lists are taken whole', () => {
  expect(merged({ facts: { fan: 'missing' } }, { facts: { fan: 'missing' } }, { facts: {} }).mine).toEqual({ facts: { fan: undefined } })
  expect(merged({ what: 'a', extra: 1 }, { what: 'b', extra: 1 }, { what: 'a' })).toEqual({
    mine: { what: 'b', extra: 1 },
    theirs: { what: 'b', extra: 1 },
    conflicts: [],
  })
  expect(merged({ out: ['A'] }, { out: ['A', 'B'] }, { out: ['C'] }).conflicts).toEqual(['out'])
})
