import { expect, it } from 'vitest'
import type { Held } from './ledger'
import { weightOf } from './allocation/weight'
import { type Named, mayServe, metBy, namesAgree, offersFor, serves } from './offers'

const named = (name: string, more: Partial<Named> = {}): Named => ({ name, kind: null, spec: {}, ...more })
const held = (name: string, more: Partial<Held & Named> = {}): Held & Named => ({
  ...named(name),
  count: 1,
  at: 'shelf',
  condition: 'new',
  machineId: null,
  needId: null,
  holder: '',
  dueBy: null,
  lies: '',
  lender: '',
  ...more,
})
const fuse = { ratingA: 1, speed: 'slow', breakingA: 35, voltageV: 250, size: '5 × 20 mm' }

it.each([
  ['Membrane for a Gannet', 'Gannet membranes', true],
  ['Membrane', 'Gannet membrane', true],
  ['Petrel membrane', 'Gannet membrane', false],
  ['IC7', 'IC17', false],
  ['the spare', 'Fan', false],
])('“%s” and “%s”: %s', (one, other, agree) => {
  expect(namesAgree(one, other)).toBe(agree)
  expect(namesAgree(other, one)).toBe(agree)
})

it('names alone make nothing fit; fields do, and what is of another kind has nothing to do with it', () => {
  expect(serves(named('Fuse'), named('Fuse, 1 A'))?.verdict).toBe('not-known')
  expect(serves(named('Fuse', { kind: 'fuse', spec: fuse }), named('T1', { kind: 'fuse', spec: fuse }))?.verdict).toBe('fits')
  expect(serves(named('Fuse', { kind: 'fuse', spec: fuse }), named('Fuse', { kind: 'fuse', spec: { ...fuse, ratingA: 2 } }))?.verdict).toBe('does-not')
  expect(serves(named('Mains fuse', { kind: 'fuse', spec: fuse }), named('Glass', { kind: 'fuse', spec: { ...fuse, ratingA: 2 } }))).toBeNull()
  expect(serves(named('Fuse', { kind: 'fuse', spec: fuse }), named('Fuse', { kind: 'fuse' }))?.verdict).toBe('not-known')
  expect(serves(named('Fuse', { kind: 'fuse' }), named('Fuse', { kind: 'socket' }))).toBeNull()
})

it('what was noted to do in its place is offered with its limit, and never as fitting; what its fields refuse is refused all the same', () => {
  const need = { ...named('Video chip, first issue'), wouldDo: 'Picture chip B: no colour\nPicture chip C', forFirstStart: 'Picture chip D: runs hot' }
  const of = (name: string) => serves(need, named(name))
  expect(of('Picture chip B')).toEqual({ verdict: 'note', says: 'Noted as a substitute: no colour.' })
  expect(of('Picture chip C')).toEqual({ verdict: 'not-known', says: 'Noted as a substitute; its limit is not known.' })
  expect(of('Picture chip D')).toEqual({ verdict: 'first-start', says: 'Noted as doing for a first start: runs hot.' })
  expect(of('Picture chip E')).toBeNull()
  const fused = { ...named('Fuse', { kind: 'fuse' as const, spec: fuse }), wouldDo: 'Glass: any' }
  expect(serves(fused, named('Glass', { kind: 'fuse', spec: { ...fuse, ratingA: 2 } }))?.verdict).toBe('does-not')
  expect(serves(fused, named('Glass'))?.verdict).toBe('note')
  expect(metBy({ ...need, quantity: 1 }, [{ ...named('Picture chip D'), count: 1 }])).toBe('for-a-start')
})

it('a need is met by what lasts; what does for a first start alone lets it be lived with', () => {
  const need = { quantity: 2, ...named('Fuse', { kind: 'fuse', spec: fuse }) }
  const fitted = (count: number, ratingA: number) => ({ count, ...named('Fuse', { kind: 'fuse', spec: { ...fuse, ratingA } }) })
  expect(metBy(need, [])).toBe('wanted')
  expect(metBy(need, [fitted(1, 1)])).toBe('wanted')
  expect(metBy(need, [fitted(1, 1), fitted(1, 1)])).toBe('fitted')
  expect(metBy(need, [fitted(1, 1), fitted(1, 0.8)])).toBe('for-a-start')
  expect(metBy(need, [fitted(1, 0.8)])).toBe('wanted')
  expect([mayServe(need, fitted(1, 0.8)), mayServe(need, fitted(1, 2)), mayServe(need, named('Lid'))]).toEqual([true, false, false])
})

it('a machine weighs what its appraisal makes of it, and one that nobody appraised the middle', () => {
  expect([weightOf({ rarity: 0, show: 0 }), weightOf({ rarity: 3, show: 2 }), weightOf(null)]).toEqual([1, 6, 8])
})

it('the best comes first, what is bad or away is not offered, and who else wants it is told', () => {
  const need = { id: 1, ...named('Gannet membrane') }
  const others = [need, { id: 2, ...named('Membrane') }, { id: 3, ...named('Fan') }]
  const rows = [
    held('Membrane', { at: 'donor', machineId: 9, condition: 'used' }),
    held('Membrane', { condition: 'bad' }),
    held('Membrane', { at: 'lent' }),
    held('Membrane', { condition: 'used' }),
    held('Gannet membrane', { at: 'donor', machineId: 9, condition: 'tested' }),
    held('Gannet membrane', { condition: 'tested' }),
  ]
  const offers = offersFor(need, rows, others)
  expect(offers.map(o => rows.indexOf(o.held))).toEqual([5, 4, 3, 0])
  expect(offers[0]!.alsoFor).toEqual([2])
})
