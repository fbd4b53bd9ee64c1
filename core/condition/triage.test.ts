import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type TriageInput, paths, triage } from './triage'

const sound = { presence: 'present', grade: 0 } as const
const machine = (change: Partial<TriageInput> = {}): TriageInput => ({
  assemblies: [
    { name: 'Supply', ...sound },
    { name: 'Main board', ...sound },
    { name: 'Drive', ...sound },
    { name: 'Case', ...sound },
  ],
  significance: { historic: 1, research: 0, rarity: 0, completeness: 2, show: 3 },
  hours: { low: 4, high: 10 },
  cost: { low: 0, high: 20 },
  sisters: { running: 0, wanting: 1 },
  ours: true,
  ...change,
})
const lost = { presence: 'missing', grade: null } as const
const first = (input: TriageInput) => triage(input).paths[0]!.path

// Source of the expectations: common practice, no source.
it('plain cases go the way people would expect', () => {
  expect(first(machine())).toBe('run-again')
  expect(
    first(
      machine({
        assemblies: [
          { name: 'Supply', ...sound },
          { name: 'Main board', ...lost },
          { name: 'Drive', ...lost },
          { name: 'Case', presence: 'present', grade: 3 },
        ],
        significance: { historic: 0, research: 0, rarity: 0, completeness: 0, show: 1 },
        hours: { low: 40, high: 80 },
        sisters: { running: 1, wanting: 4 },
      }),
    ),
  ).toBe('donor')
  expect(
    first(
      machine({
        significance: { historic: 3, research: 3, rarity: 3, completeness: 3, show: 0 },
        hours: { low: 100, high: 200 },
        assemblies: [
          { name: 'Core memory', presence: 'present', grade: 3, irreplaceable: true },
          { name: 'Case', ...sound },
        ],
      }),
    ),
  ).toBe('conserve')
  expect(
    first(
      machine({
        assemblies: [
          { name: 'Display', ...lost, irreplaceable: true },
          { name: 'Main board', ...sound },
          { name: 'Supply', ...sound },
          { name: 'Case', ...sound },
        ],
      }),
    ),
  ).toBe('run-with-substitutes')
})

it('every path comes with its terms, and the sum is theirs', () => {
  for (const { terms, balance } of triage(machine()).paths)
    expect(balance).toBeCloseTo(
      terms.reduce((sum, t) => sum + t.weight, 0),
      10,
    )
})

it('back to its owner is offered only where there is one', () => {
  expect(triage(machine()).paths.map(p => p.path)).not.toContain('back-to-owner')
  expect(triage(machine({ ours: false })).paths).toHaveLength(Object.keys(paths).length)
})

it('what its owner has not agreed to is a stop and a question, also for the cost', () => {
  const { paths: ranked, ask } = triage(machine({ ours: false, consent: { allowed: ['open', 'clean', 'start'], upTo: 10, mustAsk: '' } }))
  const run = ranked.find(p => p.path === 'run-again')!
  expect(run.findings.map(f => [f.level, f.code])).toEqual([
    ['stop', 'consent.ask'],
    ['stop', 'triage.cost'],
  ])
  expect(ask).toEqual(expect.arrayContaining(['May we repair with like parts?', 'May it cost up to €20.00?']))
})

it('what would change the order does change it', () => {
  const input = machine()
  const { wouldChange, paths: ranked } = triage(input)
  expect(wouldChange.length).toBeGreaterThan(0)
  for (const { to } of wouldChange) expect(to).not.toBe(ranked[0]!.path)
  const lostForGood = wouldChange.find(c => c.says === 'It turns out to be lost for good: main board.')
  if (lostForGood)
    expect(first(machine({ assemblies: input.assemblies.map(a => (a.name === 'Main board' ? { ...a, grade: 3, irreplaceable: true } : a)) }))).toBe(
      lostForGood.to,
    )
})

it('what has not been looked at is said', () => {
  expect(
    triage(
      machine({
        assemblies: [
          { name: 'Supply', presence: 'not-looked', grade: null },
          { name: 'Case', ...sound },
        ],
      }),
    ).findings,
  ).toContainEqual(expect.objectContaining({ code: 'triage.unseen', level: 'care' }))
})

it('more hours and more loss never speak for running it again', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 3 }), (a, b, show) => {
      const balance = (hours: number, grade: number) =>
        triage(
          machine({
            hours: { low: hours, high: hours },
            significance: { historic: 1, research: 1, rarity: 1, completeness: 1, show },
            assemblies: [
              { name: 'Main board', presence: 'present', grade },
              { name: 'Case', ...sound },
            ],
          }),
        ).paths.find(p => p.path === 'run-again')!.balance
      expect(balance(Math.max(a, b), 1)).toBeLessThanOrEqual(balance(Math.min(a, b), 1))
      expect(balance(a, 3)).toBeLessThanOrEqual(balance(a, 1))
    }),
  )
})

it('ranges the wrong way round and marks outside 0 to 3 are refused', () => {
  expect(() => triage(machine({ hours: { low: 9, high: 2 } }))).toThrow(/lower figure first/)
  expect(() => triage(machine({ significance: { historic: 4, research: 0, rarity: 0, completeness: 0, show: 0 } }))).toThrow(/From 0/)
})

it('what a machine never had changes nothing', () => {
  const bare = { ...triage(machine()), findings: [] }
  const never = machine({ assemblies: [...machine().assemblies, { name: 'Sound card', presence: 'never', grade: null, irreplaceable: true }] })
  expect({ ...triage(never), findings: [] }).toEqual(bare)
})

it('what nobody has looked at is not sound, and what is all missing is no display', () => {
  const unseen = machine({ assemblies: machine().assemblies.map(a => ({ ...a, presence: 'not-looked', grade: null })) })
  expect(triage(unseen).findings[0]).toMatchObject({ level: 'care', says: 'Nobody has looked at it: no path is supported yet.' })
  const balance = (input: TriageInput, path: string) => triage(input).paths.find(p => p.path === path)!.balance
  expect(balance(unseen, 'run-again')).toBeLessThan(balance(machine(), 'run-again') - 1.5)
  const gone = machine({
    assemblies: machine().assemblies.map(a => ({ ...a, ...lost })),
    significance: { historic: 3, research: 0, rarity: 0, completeness: 0, show: 0 },
  })
  expect(first(gone)).not.toBe('display-only')
})

it('what nobody has looked at ranks nothing, and which look would change the order most an hour is named', () => {
  const [supply, board, drive, shell] = machine().assemblies
  const seen = [{ ...supply!, grade: 2 }, board!, shell!]
  const unlooked = { ...drive!, presence: 'not-looked' as const, grade: null }
  // Donor and display do not gain by what nobody has looked at.
  for (const path of ['donor', 'display-only', 'conserve', 'run-with-substitutes'])
    expect(triage(machine({ assemblies: [...seen, unlooked] })).paths.find(p => p.path === path)!.balance).toBeCloseTo(
      triage(machine({ assemblies: seen })).paths.find(p => p.path === path)!.balance,
      9,
    )
  const looks = triage(
    machine({
      assemblies: [...seen, unlooked, { name: 'Picture tube', presence: 'not-looked', grade: null, irreplaceable: true }],
      significance: { historic: 3, research: 0, rarity: 0, completeness: 2, show: 1 },
    }),
  ).nextLooks
  expect(looks.map(l => l.name)).toHaveLength(2)
  expect(looks[0]!.gainPerHour).toBeGreaterThanOrEqual(looks[1]!.gainPerHour)
  expect(looks.every(l => l.changes >= 0 && l.changes <= 1)).toBe(true)
})

it('what costs three times what its owner agreed to is not first, and an owner who allows it does not speak against it', () => {
  const consent = { allowed: ['open', 'clean', 'start', 'repair', 'substitute', 'donor'] as const, upTo: 50, mustAsk: '' }
  const lent = machine({ ours: false, consent: { ...consent, allowed: [...consent.allowed] }, cost: { low: 150, high: 300 } })
  expect(['run-again', 'run-with-substitutes']).not.toContain(first(lent))
  const terms = (input: TriageInput, path: string) =>
    triage(input)
      .paths.find(p => p.path === path)!
      .terms.map(t => t.says)
      .join(' ')
  expect(terms(lent, 'donor')).not.toContain('not ours')
  expect(terms({ ...lent, consent: { ...consent, allowed: ['open'] } }, 'donor')).toContain('not ours')
})
