import { describe, expect, it } from 'vitest'
import { judgeBooking } from './bookings'
import { judgeDrying } from './drying'
import { neutralise } from './neutralise'
import { immersive, lookUp, rankMethods } from './methods'
import { type PlanPart, planCleaning } from './plan'
import { driesAlready } from './rules'
import { takeFrom } from './shelf'
import { materialNames, methodNames, soilNames } from './words'

// The whole table asked, and what is said of each answer. Common practice, no source.
describe('what is said of a method', () => {
  const schools = { boards: 'wash', plastic: 'whiten' } as const
  const all = (works: 'works' | 'dead' | 'not-known') =>
    materialNames.flatMap(material => soilNames.flatMap(soil => rankMethods({ material, soil, works, schools }).ranked.map(r => ({ ...r, material, soil }))))

  it('is its own rows, and what is not known, of no use, or at stake; no more and no less', () => {
    for (const works of ['works', 'dead', 'not-known'] as const)
      for (const { method, material, soil, suits, findings } of all(works)) {
        const table = lookUp(method, material, soil)
        const stake =
          (immersive as readonly string[]).includes(method) &&
          ['bare-board', 'masked-board', 'gold-contacts', 'tin-contacts'].includes(material) &&
          works !== 'dead' &&
          table.suits !== 'never' &&
          table.suits !== 'no-use'
        const expected = [
          ...table.why.map(w => w.says),
          ...(suits === 'no-use' ? [expect.stringContaining('is not known to do anything about') as string] : []),
          ...(suits === 'not-known' ? [expect.stringMatching(/^Not known for .*: try where it cannot be seen\.$/) as string] : []),
          ...(stake ? [works === 'works' ? 'It works: a bath may end that.' : 'Nobody knows whether it works, and a bath may end that.'] : []),
        ]
        expect(
          findings.map(f => f.says),
          `${method}, ${material}, ${soil}, ${works}`,
        ).toEqual(expected)
        expect(suits).toBe(stake && table.suits === 'suited' ? 'careful' : table.suits)
      }
  })
  it('ranks what may be done before what is not known, and that before what is of no use or forbidden', () => {
    const worst = ['suited', 'careful', 'not-known', 'no-use', 'never']
    for (const material of materialNames)
      for (const soil of soilNames) {
        const { ranked, findings } = rankMethods({ material, soil, works: 'dead', schools })
        const others = ranked.filter(r => r.method !== 'leave').map(r => worst.indexOf(r.suits))
        expect(others, `${material}, ${soil}`).toEqual([...others].sort((a, b) => a - b))
        const usable = ranked.some(r => r.suits === 'suited' || r.suits === 'careful')
        expect(findings.map(f => f.code)).toEqual(usable ? [] : ['methods.none'])
        // What alone is left to do nothing is last of all that may be done.
        const leave = ranked.findIndex(r => r.method === 'leave')
        if (!ranked[leave]!.school && ranked[leave]!.suits === 'suited')
          expect(ranked.slice(leave + 1).every(r => r.suits !== 'suited' && r.suits !== 'careful')).toBe(true)
      }
    expect(methodNames.length).toBeGreaterThan(8)
  })
})

describe('a plan', () => {
  const part = (more: Partial<PlanPart>): PlanPart => ({ name: 'Board', materials: [], soils: [], works: 'works', ...more })
  const plan = (more: Partial<PlanPart>, plastic: 'whiten' | 'leave' = 'leave') => planCleaning({ parts: [part(more)], schools: { boards: 'spot', plastic } })
  it('asks what a part is made of only where something is on it and nobody has said', () => {
    const codes = (more: Partial<PlanPart>) => plan(more).findings.map(f => f.code)
    expect(codes({ soils: ['dust'] })).toEqual(['plan.material-unknown'])
    expect(codes({})).toEqual([])
    expect(codes({ soils: ['dust'], materials: ['abs'] })).toEqual([])
  })
  it('speaks of patina for what is yellow and left, and for nothing else', () => {
    expect(plan({ soils: ['yellowing'], materials: ['abs'] }).findings.map(f => f.code)).toEqual(['plan.patina'])
    expect(plan({ soils: ['yellowing'], materials: ['abs'] }, 'whiten').findings).toEqual([])
    const codes = soilNames
      .filter(s => s !== 'yellowing')
      .flatMap(soil => plan({ soils: [soil], materials: ['masked-board', 'abs'] }).findings.map(f => f.code))
    expect(codes).not.toContain('plan.patina')
  })
  it('is one job a method, but for what has to be made harmless first', () => {
    const jobs = plan({ soils: ['alkali', 'dust', 'grease'], materials: ['masked-board'], works: 'dead' }).steps.filter(s => s.kind === 'method')
    expect(new Set(jobs.map(j => j.method)).size).toBe(jobs.length)
    expect(jobs[0]!.method).toBe('acid-neutralise')
  })
})

it('a wait dries nothing from its last instant on, and a series that was ended dries nothing', () => {
  const now = '2026-03-03T19:00:00.000Z'
  const wait = (until: string) => ({ waits: [{ what: 'Main board', until, kind: 'wet' as const }], dryings: [] })
  expect([driesAlready('board', wait('2026-03-03T19:00:00.001Z'), now), driesAlready('board', wait(now), now)]).toEqual([true, false])
  const series = (endedAt: string | null) => ({ waits: [], dryings: [{ what: 'Main board', endedAt }] })
  expect([driesAlready('board', series(null), now), driesAlready('board', series(now), now)]).toEqual([true, false])
})

it('the shelf gives all that it has, and no more', () => {
  const one = { name: 'Isopropyl alcohol', amount: 0.3, unit: 'ml' as const }
  expect(takeFrom(one, 0.1 + 0.2)).toBe(0)
  expect(takeFrom(one, 0.1)).toBeCloseTo(0.2, 12)
  for (const taken of [0.31, 0, -1]) expect(() => takeFrom(one, taken)).toThrow('Used:')
})

describe('a part booked beside others', () => {
  const at = (hour: number) => new Date(Date.UTC(2026, 2, 3, hour)).toISOString()
  const oven = { name: 'Oven', kind: 'oven' as const, roomL: 60, minC: 30, maxC: 80 }
  const job = (what: string, from: number, until: number, roomL: number) => ({ what, from: at(from), until: at(until), roomL, minC: null, maxC: 40, bath: '' })
  const fits = (wanted: ReturnType<typeof job>, ...others: ReturnType<typeof job>[]) =>
    judgeBooking({ thing: oven, others, wanted, now: '2026-01-01T00:00:00.000Z' } as never).fits
  it('has room where one comes out as the next goes in, and where it fills what is left to the drop', () => {
    expect(fits(job('Desk', 4, 10, 40), job('Board', 0, 6, 20), job('Case', 6, 9, 20))).toBe(true)
    expect(fits(job('Desk', 4, 10, 40.1), job('Board', 0, 6, 20), job('Case', 6, 9, 20))).toBe(false)
    expect(fits(job('Desk', 4, 10, 40), job('Board', 0, 6, 20), job('Case', 5, 9, 20))).toBe(false)
    // What begins before it, and ends, was never in it together with what comes later.
    expect(fits(job('Desk', 4, 10, 20), job('Board', 0, 5, 40), job('Case', 5, 9, 40))).toBe(true)
  })
})

it('what leaked decides the acid or alkali that is reckoned with, and mercury cells give neither', () => {
  const amount = (source: 'nickel' | 'lead-acid' | 'zinc-carbon' | 'lithium') => neutralise({ source, cells: 1, capacityMah: 1000 }).amountG
  // 2 g of potassium hydroxide and 7.5 g of sulphuric acid to an ampere-hour, from memory of battery handbooks; see the edges of doses.
  expect(amount('lead-acid')).toBeCloseTo(7.5, 9)
  expect(amount('nickel')).toBeCloseTo(1, 9)
  expect([amount('zinc-carbon'), amount('lithium')]).toEqual([null, null])
})

it('drying speaks of grams that are left in the singular, and of hours up to ten thousand', () => {
  const series = (last: number) =>
    judgeDrying({ weighings: [300, 290, 284, 280].map((massG, i) => ({ atHours: (last * i) / 3, massG })), errorG: 0.1, leftG: 0.5, nowHours: last })
  expect(() => series(10_000)).not.toThrow()
  expect(() => series(10_001)).toThrow('Hours: from 0 to 10000')
  const says = series(10)
    .findings.map(f => f.says)
    .join(' ')
  expect(says).toMatch(/ g is left\./)
  expect(says).not.toContain('are left')
})
