import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type Held, type HeldMove, type HeldPlace, countsAsGood, heldPlaceNames, isTestedOn, moveHeld, partConditionNames, waysOf } from './ledger'

const held = (more: Partial<Held> = {}): Held => ({
  count: 4,
  at: 'shelf',
  condition: 'new',
  machineId: null,
  needId: null,
  holder: '',
  dueBy: null,
  lies: 'Box B',
  lender: '',
  ...more,
})
const sums = (rows: readonly Held[]) => rows.reduce((n, one) => n + one.count, 0)

it('moved at random, no unit is doubled or lost, and each is in one place, with what that place asks for', () => {
  const row = fc.record({
    count: fc.integer({ min: 1, max: 9 }),
    at: fc.constantFrom<HeldPlace>('ordered', 'pledged', 'arrived', 'shelf', 'donor'),
    condition: fc.constantFrom(...partConditionNames),
    lender: fc.constantFrom('', 'Varnsund Pilot Office'),
  })
  const step = fc.record({
    which: fc.nat(30),
    way: fc.nat(11),
    count: fc.integer({ min: 0, max: 4 }),
    machineId: fc.constantFrom(null, 1, 2, 2),
    holder: fc.constantFrom('', 'Rua', 'Rua'),
    dueBy: fc.constantFrom(null, '2026-04-01', '2026-04-01'),
    tested: fc.constantFrom('', 'held against the old one', 'measured'),
    condition: fc.option(fc.constantFrom(...partConditionNames), { nil: undefined }),
  })
  let moves = 0
  fc.assert(
    fc.property(fc.array(row, { minLength: 1, maxLength: 4 }), fc.array(step, { maxLength: 40 }), (rows, steps) => {
      const ledger: Held[] = rows.map(r => held({ ...r, machineId: r.at === 'donor' ? 3 : null }))
      const before = sums(ledger)
      for (const { which, way, ...move } of steps) {
        const at = which % ledger.length
        // Mostly a way that there is, now and then any.
        const to = waysOf(ledger[at]!)[way] ?? heldPlaceNames[way]!
        let done
        try {
          done = moveHeld(ledger[at]!, { ...move, to })
        } catch {
          continue
        }
        moves++
        ledger.splice(at, 1, ...(done.stays ? [done.stays] : []), done.goes)
        const { goes } = done
        expect(goes.machineId !== null).toBe(goes.at === 'fitted' || goes.at === 'promised')
        expect([goes.holder !== '', goes.dueBy !== null]).toEqual([goes.at === 'lent' || goes.at === 'given', goes.at === 'lent'])
        if (['fitted', 'promised', 'lent', 'given'].includes(goes.at)) expect(goes.condition).not.toBe('bad')
        if (goes.at === 'lent' || goes.at === 'given') expect(goes.lender).toBe('')
      }
      expect(sums(ledger)).toBe(before)
      for (const one of ledger) expect(one.count).toBeGreaterThan(0)
    }),
    { numRuns: 400 },
  )
  expect(moves).toBeGreaterThan(300)
})

// Common practice, no source.
it.each<[string, Partial<Held>, HeldMove, string]>([
  ['more than there are', {}, { count: 5, to: 'fitted', machineId: 1 }, 'count'],
  ['half a one', {}, { count: 0.5, to: 'fitted', machineId: 1 }, 'count'],
  ['into no machine', {}, { count: 1, to: 'fitted' }, 'tag'],
  ['what is known bad', { condition: 'bad' }, { count: 1, to: 'fitted', machineId: 1 }, 'condition'],
  ['found bad on the way', {}, { count: 1, to: 'lent', holder: 'Rua', dueBy: '2026-04-01', tested: 'x', condition: 'bad' }, 'condition'],
  ['an order that is not here', { at: 'ordered' }, { count: 1, to: 'shelf' }, 'to'],
  ['what arrived and nobody looked at', { at: 'arrived', condition: 'not-looked-at' }, { count: 1, to: 'shelf' }, 'tested'],
  ['looked at, and nothing found', { at: 'arrived', condition: 'not-looked-at' }, { count: 1, to: 'shelf', tested: 'pitch' }, 'condition'],
  ['what nobody ever looked at', { condition: 'not-looked-at' }, { count: 1, to: 'fitted', machineId: 1 }, 'tested'],
  ['lent to nobody', {}, { count: 1, to: 'lent', dueBy: '2026-04-01', tested: 'works' }, 'holder'],
  ['lent for ever', {}, { count: 1, to: 'lent', holder: 'Rua', tested: 'works' }, 'dueBy'],
  ['back untested', { at: 'lent', holder: 'Rua', dueBy: '2026-04-01' }, { count: 1, to: 'shelf' }, 'tested'],
  ['given to nobody', {}, { count: 1, to: 'given', tested: 'works' }, 'holder'],
  ['given away untested', {}, { count: 1, to: 'given', holder: 'Rua' }, 'tested'],
  ['what is borrowed, given away', { lender: 'Varnsund' }, { count: 1, to: 'given', holder: 'Rua', tested: 'works' }, 'to'],
  ['an order, sent back', { at: 'ordered' }, { count: 1, to: 'returned' }, 'to'],
  ['a promise that is not here', { at: 'pledged' }, { count: 1, to: 'shelf' }, 'to'],
  ['what is borrowed, lent on', { lender: 'Varnsund' }, { count: 1, to: 'lent', holder: 'Rua', dueBy: '2026-04-01', tested: 'works' }, 'to'],
  ['our own, given back', {}, { count: 1, to: 'returned' }, 'to'],
  ['from the donor into the donor', { at: 'donor', machineId: 3 }, { count: 1, to: 'fitted', machineId: 3 }, 'tag'],
  ['what is scrapped', { at: 'scrapped' }, { count: 1, to: 'shelf' }, 'to'],
])('refuses %s', (_, more, move, field) => {
  expect(() => moveHeld(held(more), move)).toThrow(expect.objectContaining({ field }) as Error)
})

it('what is borrowed goes back from where it is, out of a machine too', () => {
  const { goes, stays } = moveHeld(held({ at: 'fitted', machineId: 1, needId: 7, lender: 'Varnsund', count: 1 }), { count: 1, to: 'returned' })
  expect([goes.at, goes.machineId, goes.needId, stays]).toEqual(['returned', null, null, null])
})

it('what is set aside for a need stays so when it is fitted, and not in another machine', () => {
  const aside = held({ at: 'promised', machineId: 1, needId: 7 })
  expect(moveHeld(aside, { count: 1, to: 'fitted' }).goes).toMatchObject({ machineId: 1, needId: 7, lies: '' })
  expect(moveHeld(aside, { count: 1, to: 'fitted', machineId: 2 }).goes).toMatchObject({ machineId: 2, needId: null })
})

it('every place is left again but those where it is gone, and good is only what somebody looked at', () => {
  expect(heldPlaceNames.filter(at => !waysOf({ at, lender: '' }).length)).toEqual(['returned', 'given', 'scrapped', 'missed'])
  expect(partConditionNames.filter(condition => countsAsGood({ condition }))).toEqual(['new', 'tested'])
  expect(heldPlaceNames.filter(to => isTestedOn({ at: 'arrived', condition: 'new' }, to) && waysOf({ at: 'arrived', lender: '' }).includes(to))).toEqual([
    'shelf',
    'promised',
    'fitted',
  ])
})
