import { describe, expect, it } from 'vitest'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { type OpeningStep, fixingWords, reassemble } from './reassembly'

// Common practice, no source: every screw is counted back, and what went last comes back first.
const fixing = (count: number, back: number | null, tray = 'A') => ({ count, head: 'pan', lengthMm: 8, tray, back })
const step = (n: number, state: OpeningStep['state'], ...fixings: ReturnType<typeof fixing>[]): OpeningStep => ({
  ...{ step: n, what: `Part ${n}`, state, fixings, connectors: [], hides: '', hazard: '' },
})
const of = (openingSteps: OpeningStep[], more: Partial<MachineRecord> = {}) => assess({ ...settled, openingSteps, ...more } as MachineRecord, now)

describe('the count', () => {
  it('says what is undone, with the trays it lies in, each once', () => {
    const says = (...steps: OpeningStep[]) => reassemble(steps).findings.find(f => f.code === 'opening.open')?.says
    expect(says(step(1, 'undone', fixing(4, null), fixing(2, null)), step(2, 'undone', fixing(3, null, 'B')), step(3, 'back', fixing(1, 1)))).toBe(
      '2 of 3 steps are still undone; 9 of 10 fixings lie in trays: A, B.',
    )
    expect(says(step(1, 'undone', fixing(4, null, '')))).toContain('no tray named')
    expect(says(step(1, 'back', fixing(4, 4)))).toBeUndefined()
  })
  it('refuses what is no count, at its place', () => {
    for (const [bad, field] of [
      [fixing(-1, null), 'steps.0.fixings.0.count'],
      [fixing(4, 1.5), 'steps.0.fixings.0.back'],
      [fixing(4, -1), 'steps.0.fixings.0.back'],
    ] as const)
      expect(() => reassemble([step(1, 'back', bad)])).toThrow(expect.objectContaining({ field }) as Error)
  })
  it('tells the order only where a step that is back stands in the way of one that is not', () => {
    const order = (...states: OpeningStep['state'][]) => reassemble(states.map((s, i) => step(i + 1, s))).uneven.order.map(f => f.says)
    expect(order('back', 'undone')).toEqual(['Step 1 is back, but step 2 is not.'])
    expect(order('undone', 'back')).toEqual([])
    expect(order('back', 'ahead')).toEqual([])
    expect(order('back', 'back')).toEqual([])
    expect(order('undone', 'back', 'undone')).toEqual(['Step 2 is back, but step 3 is not.'])
  })
  it('of one step is even, short or over, and a short one says where its screws belong', () => {
    const { uneven } = reassemble([step(1, 'back', fixing(4, 3), fixing(4, 5), fixing(4, 4), fixing(4, null))])
    expect(uneven.missing.map(f => f.says)).toEqual(['1 of 4 missing: 1 × 8 mm pan.'])
    expect(uneven.tooMany.map(f => f.says)).toEqual(['1 more went in than came out: 1 × 8 mm pan.'])
    expect(uneven.missing[0]?.because[0]).toBe('Step 1: Part 1. 4 × 8 mm pan, tray A.')
    expect(reassemble([step(1, 'back', { ...fixing(4, 3), tray: '' })]).uneven.missing[0]?.because[0]).toBe('Step 1: Part 1. 4 × 8 mm pan.')
    expect(fixingWords({ count: 1, head: 'pan', lengthMm: null })).toBe('1 × pan')
  })
  it('leaves what was not counted yet out of the sum', () => {
    expect(reassemble([step(1, 'back', fixing(4, null))])).toMatchObject({ out: 4, back: 0 })
    expect(reassemble([step(1, 'back', fixing(4, null))]).findings.map(f => f.code)).toEqual(['opening.uneven'])
  })
})

describe('what the gate hears of it', () => {
  const heardOf = (steps: OpeningStep[], more: Partial<MachineRecord> = {}) =>
    of(steps, more)
      .known.heard.filter(h => h.finding.concerns === 'loose')
      .map(h => `${h.finding.level} ${h.finding.code}`)
  it('is a stop for what is missing, care for the rest, and nothing for what comes out even', () => {
    expect(heardOf([step(1, 'back', fixing(4, 4))])).toEqual([])
    expect(heardOf([step(1, 'back', fixing(4, 3))])).toEqual(['stop opening.missing'])
    expect(heardOf([step(1, 'back', fixing(4, 5))])).toEqual(['care opening.too-many'])
    expect(heardOf([step(1, 'undone')])).toEqual(['care opening.open'])
    expect(heardOf([step(1, 'back'), step(2, 'undone')])).toEqual(['care opening.order', 'care opening.open'])
  })
  it('is not that it stands open where it is apart on the bench', () => {
    for (const kind of ['supply-alone', 'bench-supply'] as const) {
      const apart = { configuration: { kind, out: [] } }
      expect(heardOf([step(1, 'undone')], apart)).toEqual([])
      expect(heardOf([step(1, 'back', fixing(4, 3))], apart)).toEqual(['stop opening.missing'])
    }
    expect(heardOf([step(1, 'undone')], { configuration: { kind: 'partly', out: ['Case'] } })).toEqual(['care opening.open'])
  })
  it('sends somebody to look for a screw before anything that can wait', () => {
    const [first] = of([step(1, 'back', fixing(4, 3))]).moves
    expect(first).toMatchObject({ code: 'fixing-missing', band: 'loose', says: '1 of 4 missing: 1 × 8 mm pan.' })
    expect(of([step(1, 'undone'), step(2, 'back')]).known.stepsUndone).toBe(1)
  })
})
