import { describe, expect, it } from 'vitest'
import { checkMark, placeOnPicture } from './marks'
import { rateCorrosion } from './corrosion-rating'
import { type TriageInput, triage } from './triage'

// Each term of the triage from both sides. Weights: common practice, no source.
const sound = { presence: 'present', grade: 0 } as const
const machine = (change: Partial<TriageInput> = {}): TriageInput => ({
  assemblies: ['Supply', 'Main board', 'Drive', 'Case'].map(name => ({ name, ...sound })),
  significance: { historic: 1, research: 1, rarity: 1, completeness: 2, show: 2 },
  hours: { low: 4, high: 10 },
  cost: { low: 10, high: 20 },
  sisters: { running: 0, wanting: 1 },
  ours: true,
  ...change,
})
const terms = (input: TriageInput) => triage(input).paths.flatMap(p => p.terms.map(t => t.says))
const code = (input: TriageInput, name: string) => triage(input).findings.find(f => f.code === name)

describe('what speaks for a path', () => {
  it('is told by its strongest three that speak for it, and never by what speaks against', () => {
    const { paths, findings } = triage(machine())
    const [first] = findings
    expect(first!.because).toEqual(
      [...paths[0]!.terms]
        .filter(t => t.weight > 0)
        .sort((a, b) => b.weight - a.weight)
        .slice(0, 3)
        .map(t => t.says),
    )
  })
  it('says what has not been looked at, and nothing where all was', () => {
    expect(code(machine(), 'triage.unseen')).toBeUndefined()
    const unseen = machine({
      assemblies: [
        { name: 'Supply', ...sound },
        { name: 'Drive', presence: 'not-looked', grade: null },
      ],
    })
    expect(code(unseen, 'triage.unseen')!.says).toBe('1 of 2 assemblies have not been looked at yet.')
    const none = machine({ assemblies: [{ name: 'Drive', presence: 'not-looked', grade: null }] })
    expect(code(none, 'triage.first')).toMatchObject({ level: 'care', says: 'Nobody has looked at it: no path is supported yet.' })
    // Found, and not graded yet: not looked at, and no sound one either.
    expect(code(machine({ assemblies: [{ name: 'Supply', presence: 'present', grade: null }] }), 'triage.first')!.says).toContain('Nobody has looked at it')
  })
  it('costs more than the owner agreed to where it does, by its lower end', () => {
    const agreed = (upTo: number, low: number) =>
      terms(machine({ ours: false, cost: { low, high: 100 }, consent: { allowed: [], upTo, mustAsk: '' } })).filter(t => t.includes('where its owner agreed'))
    expect(agreed(10, 10)).toEqual([])
    expect(agreed(10, 11).length).toBeGreaterThan(0)
    expect(agreed(0, 0)).toEqual([])
    expect(agreed(0, 1)[0]).toBe('At least 1, where its owner agreed to 0.')
    expect(terms(machine({ cost: { low: 11, high: 100 } })).some(t => t.includes('where its owner agreed'))).toBe(false)
  })
  it('would change by what is tried both up and down, and by a sister that runs only where none does', () => {
    const says = (input: TriageInput) => triage(input).wouldChange.map(c => c.says)
    const all = [0, 1, 2, 3].flatMap(show =>
      [0, 1, 2, 3].flatMap(historic =>
        [0, 1].flatMap(running =>
          says(
            machine({
              significance: { historic, research: 0, rarity: 0, completeness: 1, show },
              hours: { low: 20, high: 60 },
              sisters: { running, wanting: 2 },
            }),
          ),
        ),
      ),
    )
    expect(all.some(s => /is judged 1 instead of 0/.test(s) || /is judged 2 instead of 1/.test(s))).toBe(true)
    expect(all.some(s => /is judged 1 instead of 2/.test(s) || /is judged 0 instead of 1/.test(s) || /is judged 2 instead of 3/.test(s))).toBe(true)
    expect(all.join()).not.toMatch(/judged (-1|4)/)
    const running = says(machine({ sisters: { running: 1, wanting: 3 } }))
    expect(running).not.toContain('A sister is made to run first.')
  })
})

it('areas of a surface add up to all of it, and no more', () => {
  expect(() => rateCorrosion({ areasPct: [50, 50] })).not.toThrow()
  expect(() => rateCorrosion({ areasPct: Array.from({ length: 10 }, () => 10) })).not.toThrow()
  expect(() => rateCorrosion({ areasPct: [50, 50.1] })).toThrow('cannot be more than 100')
  const because = (areasPct: number[]) =>
    rateCorrosion({ areasPct })
      .findings.find(f => f.code === 'corrosion.rated')!
      .because.join(' ')
  // ISO 10289, from memory: 5 % is rating 3 at most, 0.1 % rating 9.
  expect(because([20])).toContain('look beneath the mask')
  expect(because([0.2])).toContain('Look again in some weeks')
})

it('a mark lies on its photograph, its edges among it', () => {
  expect(() => checkMark({ form: 'point', points: [[0, 1]] })).not.toThrow()
  for (const at of [
    [-0.001, 0.5],
    [0.5, 1.001],
    [Number.NaN, 0],
  ] as [number, number][])
    expect(() => checkMark({ form: 'point', points: [at] })).toThrow('outside the photograph')
  expect(() =>
    checkMark({
      form: 'polygon',
      points: [
        [0, 0],
        [1, 1],
      ],
    }),
  ).toThrow('A polygon needs 3 points or more.')
})

it('a mark lies in a ninth of its photograph, by the middle of its points', () => {
  const ninths = [1 / 6, 1 / 2, 5 / 6].flatMap(y => [1 / 6, 1 / 2, 5 / 6].map(x => placeOnPicture([[x, y]]).replace(' of the photograph', '')))
  expect(ninths).toEqual(['top left', 'top', 'top right', 'left', 'middle', 'right', 'bottom left', 'bottom', 'bottom right'])
  expect(
    placeOnPicture([
      [0, 0],
      [1, 1],
    ]),
  ).toBe('middle of the photograph')
  expect([placeOnPicture([[1 / 3, 0.5]]), placeOnPicture([[2 / 3, 0.5]]), placeOnPicture([[0.67, 0.5]])]).toEqual([
    'middle of the photograph',
    'middle of the photograph',
    'right of the photograph',
  ])
})
