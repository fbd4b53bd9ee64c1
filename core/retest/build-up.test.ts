import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type BuildUpStep, type StepSeen, checkBuildUp, configurationAt, explain, judgeBuildUp, planBuildUp, readSteps, writeSteps } from './build-up'

// Common practice, no source: least first, one thing at a time, back one step where it fails.
const named = (...names: string[]) => names.map(name => ({ name, role: null }))
const names = ['Case', 'Drive A', 'Keyboard', 'Main board', 'Supply', 'Video card', 'Drive controller']
const parts = named(...names)
const plan = planBuildUp(parts)
const adds = (steps: readonly Pick<BuildUpStep, 'adds'>[]) => steps.flatMap(s => s.adds)
const ok = (step: number): StepSeen => ({ step, outcome: 'as-expected' })
const bad = (step: number): StepSeen => ({ step, outcome: 'failed' })
const codes = (seen: StepSeen[]) => judgeBuildUp(plan, seen).findings.map(f => f.code)

describe('the plan', () => {
  it('begins with the supply, ends with the case, and puts in one thing at a time', () => {
    expect(adds(plan)).toEqual(['Supply', 'Main board', 'Video card', 'Keyboard', 'Drive controller', 'Drive A', 'Case'])
    expect(plan.every(s => s.adds.length === 1 && s.expect)).toBe(true)
  })

  it('says what looks wrong only because something is missing', () => {
    expect(plan[1]!.misleads).toMatch(/No picture, and no cursor.*ask for a keyboard/)
    expect(plan.at(-1)!.misleads).toBe('')
  })

  it('follows the order of its model, and puts what that does not name where its like go', () => {
    const steps = planBuildUp(parts, [
      { adds: ['Supply', 'Fan'], expect: 'Rails' },
      { adds: ['Keyboard'], expect: '' },
      { adds: ['Case'], expect: '' },
    ])
    expect(adds(steps)).toEqual(['Supply', 'Main board', 'Video card', 'Keyboard', 'Drive controller', 'Drive A', 'Case'])
    expect(steps[0]!.expect).toBe('Rails')
    expect(() => planBuildUp([])).toThrow('nothing to build up')
  })

  it('names every assembly once, whatever it is made of', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.string({ minLength: 1, maxLength: 12 }), { minLength: 1, maxLength: 12 }), names => {
        expect([...adds(planBuildUp(named(...names)))].sort()).toEqual([...names].sort())
      }),
    )
  })

  it('reads the same again as it was written down', () => {
    const written = writeSteps([
      { adds: ['Drive A', 'Drive B'], expect: 'Both seek: home' },
      { adds: ['Case'], expect: '' },
    ])
    expect(written).toBe('Drive A + Drive B: Both seek: home\nCase: ')
    expect(writeSteps(readSteps(written))).toBe(written)
  })

  it('refuses what goes in twice, and what is not there', () => {
    expect(() => checkBuildUp([{ adds: ['Supply'] }, { adds: ['Supply'] }], names)).toThrow('has gone in already')
    expect(() => checkBuildUp([{ adds: ['Fan'] }], names)).toThrow('no “Fan”')
    expect(() => checkBuildUp([{ adds: [] }], names)).toThrow('say what goes in')
  })
})

it('what is connected grows with the steps: the supply alone, then some of it out, whole at the end', () => {
  expect(configurationAt(plan, 0, parts)).toEqual({ kind: 'supply-alone', out: [] })
  expect(configurationAt(plan, 1, parts)).toMatchObject({ kind: 'partly', out: ['Case', 'Drive A', 'Keyboard', 'Video card', 'Drive controller'] })
  expect(configurationAt(plan, plan.length - 1, parts)).toEqual({ kind: 'whole', out: [] })
})

it('goes by what somebody said a part is for, whatever its name proposes', () => {
  const said = [
    { name: 'Supply cover', role: 'case' as const },
    { name: 'Grey box', role: 'supply' as const },
    { name: 'Card 3', role: 'memory' as const },
  ]
  const steps = planBuildUp(said)
  expect(adds(steps)).toEqual(['Grey box', 'Card 3', 'Supply cover'])
  expect(steps[1]!.expect).toContain('memory test')
  expect(configurationAt(steps, 0, said)).toEqual({ kind: 'supply-alone', out: [] })
  // With its name alone it would have been taken for the supply.
  expect(configurationAt([{ adds: ['Supply cover'] }], 0, said)).toEqual({ kind: 'partly', out: ['Grey box', 'Card 3'] })
  // What went in and is not there any more is no supply alone.
  expect(configurationAt([{ adds: ['Gone board'] }], 0, said)).toMatchObject({ kind: 'partly' })
})

describe('where it stands', () => {
  it('goes on after what was expected, and back one step after what was not', () => {
    expect(judgeBuildUp(plan, [ok(0), ok(1)])).toMatchObject({ at: 2, verdict: 'go-on', failing: false })
    expect(judgeBuildUp(plan, [ok(0), ok(1), bad(2)])).toMatchObject({ at: 1, verdict: 'gone-back', failing: true })
    expect(judgeBuildUp(plan, [ok(0), ok(1), bad(2), ok(1)])).toMatchObject({ at: 2, findings: [{ code: 'build-up.again', level: 'care' }] })
    expect(
      judgeBuildUp(
        plan,
        plan.map((_, i) => ok(i)),
      ),
    ).toMatchObject({ at: plan.length, verdict: 'done' })
  })

  it('says it was not what went in, where it fails without it too', () => {
    const { findings } = judgeBuildUp(plan, [ok(0), ok(1), bad(2), bad(1)])
    expect(findings[0]!.because[0]).toContain('so it was not that')
    expect(judgeBuildUp(plan, [ok(0), ok(1), bad(2)]).findings[0]!.because[0]).toContain('likeliest cause')
  })

  it('stops where the least that runs fails', () => {
    expect(judgeBuildUp(plan, [bad(0)])).toMatchObject({ at: 0, verdict: 'stuck', findings: [{ level: 'stop' }] })
    expect(codes([ok(0), bad(1), bad(0)])).toContain('build-up.stuck')
  })

  it('warns of two at once until they are in', () => {
    const two = explain(
      [
        { adds: ['Supply'], expect: '' },
        { adds: ['Drive A', 'Drive B'], expect: '' },
      ],
      parts,
    )
    expect(judgeBuildUp(two, []).findings).toMatchObject([{ code: 'build-up.two-at-once' }])
    expect(judgeBuildUp(two, [ok(0), ok(1)]).findings.map(f => f.code)).toEqual(['build-up.done'])
  })
})
