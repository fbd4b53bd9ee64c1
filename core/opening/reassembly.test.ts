import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type OpeningStep, fixingWords, reassemble } from './reassembly'

const step = (n: number, what: string, count: number, back: number | null, more: Partial<OpeningStep> = {}): OpeningStep => ({
  step: n,
  what,
  state: back === null ? 'undone' : 'back',
  fixings: [{ count, head: 'pan, cross', lengthMm: 8, tray: 'A', back }],
  connectors: [],
  hides: '',
  hazard: '',
  ...more,
})

it('what went last comes back first', () => {
  expect(reassemble([step(1, 'Lid', 4, null), step(2, 'Board', 5, null)]).steps.map(s => s.what)).toEqual(['Board', 'Lid'])
})

it('one screw missing is a stop that says which, from where, and what it may do', () => {
  const { findings, out, back } = reassemble([step(1, 'Lid', 4, 4), step(2, 'Board', 5, 4)])
  expect([out, back]).toEqual([9, 8])
  expect(findings[0]).toMatchObject({ level: 'stop', says: '1 of 5 missing: 1 × 8 mm pan, cross.' })
  expect(findings[0]!.because.join(' ')).toMatch(/Step 2: Board.*tray A.*shorts whatever it touches/)
  expect(findings.some(f => f.code === 'opening.complete')).toBe(false)
})

it('one left over is said too, and so is a step put back too early', () => {
  expect(reassemble([step(1, 'Lid', 4, 5)]).findings[0]).toMatchObject({ level: 'care', code: 'opening.too-many' })
  expect(reassemble([step(1, 'Lid', 4, 4), step(2, 'Board', 5, null)]).findings).toContainEqual(expect.objectContaining({ code: 'opening.order' }))
})

it('one too few in one step and one too many in another are not even', () => {
  const { findings, out, back } = reassemble([step(1, 'Lid', 4, 5), step(2, 'Board', 5, 4)])
  expect([out, back]).toEqual([9, 9])
  expect(findings.map(f => f.code)).toEqual(['opening.missing', 'opening.too-many', 'opening.uneven'])
})

it('a hazard is said while it lies ahead of whoever closes it', () => {
  expect(reassemble([step(1, 'Tail', 1, null, { hazard: 'The tail is brittle' })]).findings[0]).toMatchObject({ level: 'care', says: 'The tail is brittle.' })
})

it('steps taken over from a sister count only once they are done', () => {
  expect(reassemble([step(1, 'Lid', 4, null, { state: 'ahead' })])).toMatchObject({ out: 0, findings: [{ code: 'opening.closed' }] })
})

it('it is together again exactly when every fixing of every step went back', () => {
  const record = fc.array(fc.tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 9 })), { minLength: 1, maxLength: 8 })
  fc.assert(
    fc.property(record, counts => {
      const { findings } = reassemble(counts.map(([count, back], i) => step(i + 1, `Step ${i + 1}`, count, back)))
      const even = counts.every(([count, back]) => count === back)
      expect(findings.some(f => f.level === 'stop' || f.level === 'care')).toBe(!even)
    }),
  )
})

it('counts that are no counts are refused', () => {
  expect(() => reassemble([step(1, 'Lid', 2.5, null)])).toThrow(/whole numbers/)
  expect(fixingWords({ count: 3, head: '', lengthMm: null })).toBe('3 × fixing')
})

it('what is said last: nothing undone, some of it with where its fixings lie, all back, or all back unevenly', () => {
  const last = (...steps: OpeningStep[]) => reassemble(steps).findings.at(-1)!
  expect(last()).toMatchObject({ level: 'note', code: 'opening.closed' })
  const open = last(
    step(1, 'Lid', 4, null),
    step(2, 'Board', 5, 5),
    step(3, 'Drive', 2, null, { fixings: [{ count: 2, head: '', lengthMm: null, tray: 'B', back: null }] }),
  )
  expect(open).toMatchObject({ code: 'opening.open', says: '2 of 3 steps are still undone; 6 of 11 fixings lie in trays: A, B.' })
  const bare = step(1, 'Lid', 4, null, { fixings: [{ count: 4, head: '', lengthMm: null, tray: '', back: null }] })
  expect(last(bare).says).toMatch(/no tray named/)
  expect(last(step(1, 'Lid', 4, 4), step(2, 'Board', 5, 5))).toMatchObject({ level: 'fine', code: 'opening.complete' })
  expect(last(step(1, 'Lid', 4, 4), step(2, 'Board', 5, 4))).toMatchObject({ level: 'note', code: 'opening.uneven' })
})

it('a step is back too early where one that was undone after it is not, and the earliest such pair is named', () => {
  const order = (...steps: OpeningStep[]) =>
    reassemble(steps)
      .findings.filter(f => f.code === 'opening.order')
      .map(f => f.says)
  const [lid, board, drive] = [
    (back: number | null) => step(1, 'Lid', 4, back),
    (back: number | null) => step(2, 'Board', 5, back),
    (back: number | null) => step(3, 'Drive', 2, back),
  ]
  expect(order(lid(null), board(5), drive(2))).toEqual([])
  expect(order(lid(4), board(null), drive(2))).toEqual(['Step 1 is back, but step 2 is not.'])
  expect(order(lid(4), board(5), drive(null))).toEqual(['Step 2 is back, but step 3 is not.'])
  expect(order(lid(null), board(5), drive(null))).toEqual(['Step 2 is back, but step 3 is not.'])
  expect(order(lid(4), board(null), drive(null))).toEqual(['Step 1 is back, but step 3 is not.'])
  expect(order(lid(4), board(5), drive(2))).toEqual([])
})

it('only what is pressing of a step is told of the whole, and what is uneven by its kind', () => {
  const { findings, uneven } = reassemble([step(1, 'Tail', 1, 1, { hazard: 'The tail is brittle' }), step(2, 'Board', 5, 6), step(3, 'Lid', 4, 3)])
  expect(findings.map(f => f.code)).toEqual(['opening.missing', 'opening.too-many', 'opening.uneven'])
  expect(uneven).toMatchObject({ missing: [{ code: 'opening.missing' }], tooMany: [{ code: 'opening.too-many' }], order: [], undone: [] })
  expect(uneven.tooMany[0]!.because.join(' ')).toMatch(/Step 2: Board.*wrong hole/)
  expect(reassemble([step(1, 'Lid', 4, null)]).uneven.undone).toMatchObject([{ code: 'opening.open' }])
})
