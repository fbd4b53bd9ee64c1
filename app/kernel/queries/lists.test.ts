import { describe, expect, it } from 'vitest'
import type { MachineSummary, TodayView } from '#shared/kernel/machine'
import { patchedList, patchedToday } from './lists'

const move = { band: 'look' as const, code: 'look', says: 'Look', why: 'because', who: 'anybody', stage: 'look' as const }
const machine = (tag: string, more: Partial<MachineSummary> = {}): MachineSummary => ({
  tag,
  name: 'Gannet',
  maker: '',
  nickname: '',
  place: '',
  stage: 'arrive',
  life: null,
  acquired: 'found',
  onBench: true,
  bookedInAt: '2026-03-01T00:00:00.000Z',
  gate: 'not-yet-assessed',
  overruled: false,
  nextWaitAt: null,
  waits: 0,
  inHand: [],
  mains: true,
  moves: [move],
  run: [],
  harm: { rank: 0, findings: [] },
  openFaults: [],
  portrait: null,
  ...more,
})
const [a, b] = [machine('M-1'), machine('M-2')]
const list = { rows: [b, a], total: 2 }

describe('a list', () => {
  it('shows a machine that changed in its place', () => {
    const changed = machine('M-1', { gate: 'keep-off' })
    expect(patchedList(list, {}, [changed])).toEqual({ rows: [b, changed], total: 2 })
  })

  it.each<[string, Parameters<typeof patchedList>[1], MachineSummary]>([
    ['came', {}, machine('M-3')],
    ['left the gate that is shown', { gate: 'not-yet-assessed' }, machine('M-1', { gate: 'keep-off' })],
    ['left the bench', { bench: 'on' }, machine('M-1', { onBench: false })],
    ['left the stage', { stage: 'arrive' }, machine('M-1', { stage: 'look' })],
    ['moves up by its harm', { sort: 'harm' }, machine('M-1', { harm: { rank: 80, findings: [] } })],
    ['may be what was typed', { find: 'lamp' }, machine('M-3')],
  ])('is asked for anew when a machine %s', (_, query, changed) => expect(patchedList(list, query, [changed])).toBeNull())

  it('stays as it is when the machine does not belong', () => {
    expect(patchedList(list, { gate: 'keep-off' }, [machine('M-3')])).toEqual(list)
    expect(patchedList(list, { bench: 'off' }, [machine('M-3')])).toEqual(list)
  })
})

describe('today', () => {
  const wait = { id: 1, what: 'drying', until: '2026-03-05T00:00:00.000Z', tag: 'M-2', nickname: '', name: 'Gannet' }
  const waiting = machine('M-2', { waits: 1, nextWaitAt: wait.until })
  const view: TodayView = { machines: 2, urgent: { rows: [], total: 0 }, waiting: { rows: [wait], total: 1 }, moves: { rows: [waiting, a], total: 2 } }

  it('shows the next move of a machine that changed', () => {
    const changed = machine('M-1', { moves: [{ ...move, says: 'Assess the gate' }] })
    expect(patchedToday(view, [changed])?.moves.rows[1]).toEqual(changed)
  })

  it.each<[string, MachineSummary]>([
    ['gets worse by waiting', machine('M-1', { harm: { rank: 60, findings: [] } })],
    ['has nothing left to do', machine('M-1', { moves: [] })],
    ['leaves the bench', machine('M-1', { onBench: false })],
    ['begins to wait', machine('M-1', { waits: 1, nextWaitAt: '2026-03-06T00:00:00.000Z' })],
    ['waits no longer', machine('M-2')],
  ])('is asked for anew when a machine %s', (_, changed) => expect(patchedToday(view, [changed])).toBeNull())
})
