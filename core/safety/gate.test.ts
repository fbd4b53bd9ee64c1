import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { goodFacts } from '../../tests/support/good-facts'
import { type GateInput, assessGate } from './gate'
import { type GateVerdict, gateVerdicts, mayBeStarted } from './gate-words'
import { type PowerFactName, type PowerFacts, factValue, powerFactNames, powerFacts, schools } from './power-facts'

// The rules of the gate are common practice, no source; these checks are of the rules' logic.
const best: PowerFacts = { ...goodFacts, fan: 'present', rails: 'good' }
const gate = (facts: PowerFacts, school: GateInput['school'] = 'caps-first', inspectedBy = 'Ilka') => assessGate({ school, facts, inspectedBy })

/** How far open a verdict is, 0 closed to 3 open. */
const openness = (verdict: GateVerdict) => gateVerdicts.indexOf(verdict)

const anyFacts: fc.Arbitrary<PowerFacts> = fc.record(
  Object.fromEntries(powerFactNames.map(name => [name, fc.option(fc.constantFrom(...Object.keys(powerFacts[name].values)), { nil: undefined })])) as Record<
    PowerFactName,
    fc.Arbitrary<string | undefined>
  >,
)

describe('the gate', () => {
  it('is not yet assessed with nothing looked at, and says what to look at', () => {
    const nothing = gate({}, 'caps-first', '')
    expect(nothing.verdict).toBe('not-yet-assessed')
    expect(nothing.toOpen).toHaveLength(powerFactNames.length + 1)
  })

  it('asks those for an answer who have leave to give it', () => {
    const skillFor = (name: PowerFactName) => gate({}, 'caps-first', '').toOpen.find(o => o.code === `gate.${name}.not-looked`)?.skill
    expect(skillFor('filterCapacitors')).toBe('mains')
    expect(skillFor('liquidOrDirt')).toBeUndefined()
  })

  it('keeps a machine off for old capacitors under caps first, guards it under baseline first', () => {
    expect(gate({ ...best, filterCapacitors: 'sound' }).verdict).toBe('keep-off')
    expect(gate({ ...best, filterCapacitors: 'sound' }, 'baseline-first').verdict).toBe('guarded-start')
    expect(gate({ ...best, filterCapacitors: 'cracked' }, 'baseline-first').verdict).toBe('keep-off')
  })

  it('guards the first start until the rails were read', () => {
    expect(gate({ ...best, rails: 'unread' }).verdict).toBe('guarded-start')
    expect(gate(best).verdict).toBe('clear-to-run')
    expect(gate(best, 'caps-first', ' ').verdict).toBe('not-yet-assessed')
  })

  it.each([
    [{ battery: 'gone' }, 'facts.battery'],
    [{ colour: 'beige' }, 'facts.colour'],
  ])('refuses %o at %s', (facts, field) => {
    expect(() => gate(facts as PowerFacts)).toThrow(expect.objectContaining({ field }) as Error)
  })
})

describe('always', () => {
  it('adding a hazard never opens it', () => {
    fc.assert(
      fc.property(anyFacts, fc.constantFrom(...schools), fc.constantFrom(...powerFactNames), (facts, school, name) => {
        const before = openness(gate(facts, school).verdict)
        const inOrder = ['fine', 'note'].includes(factValue(name, facts[name])?.level ?? '')
        for (const [value, row] of Object.entries(powerFacts[name].values)) {
          const worse = row.level === 'stop' || (row.level === 'care' && inOrder)
          if (worse) expect(openness(gate({ ...facts, [name]: value }, school).verdict)).toBeLessThanOrEqual(before)
        }
      }),
    )
  })

  it('the strict school is never looser', () => {
    fc.assert(
      fc.property(anyFacts, facts => {
        expect(openness(gate(facts, 'caps-first').verdict)).toBeLessThanOrEqual(openness(gate(facts, 'baseline-first').verdict))
      }),
    )
  })

  it('every verdict has a reason, and whatever is not open says what would open it', () => {
    fc.assert(
      fc.property(anyFacts, fc.constantFrom(...schools), (facts, school) => {
        const result = gate(facts, school)
        expect(result.findings.every(f => f.because.length > 0)).toBe(true)
        expect(result.toOpen.length > 0).toBe(result.verdict !== 'clear-to-run')
      }),
    )
  })

  it('clearing the last reason opens it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...powerFactNames), fc.constantFrom(...schools), (name, school) => {
        for (const value of Object.keys(powerFacts[name].values)) {
          if (gate({ ...best, [name]: value }, school).verdict !== 'clear-to-run') expect(gate(best, school).verdict).toBe('clear-to-run')
        }
      }),
    )
  })
})

it('names the school only where it changes what a fact means, and who may clear what', () => {
  const because = (school: 'caps-first' | 'baseline-first') =>
    gate({ ...best, filterCapacitors: 'sound' }, school).findings.find(f => f.code === 'gate.filterCapacitors.sound')!.because
  expect(because('caps-first')).toHaveLength(2)
  expect(because('caps-first')[1]).toContain('Caps first')
  expect(because('baseline-first')).toHaveLength(1)
  const opening = (facts: PowerFacts) => gate({ ...best, ...facts }).toOpen[0]
  expect(opening({ mainsLead: 'cut' })?.skill).toBe('mains')
  expect(opening({ burntTrace: 'yes' })?.skill).toBe('fine-rework')
  expect(opening({ pictureTube: 'open' })?.skill).toBe('picture-tube')
  expect(opening({ shortedRail: 'yes' })).toMatchObject({ who: 'a bench volunteer with a meter' })
  expect(opening({ shortedRail: 'yes' })).not.toHaveProperty('skill')
  expect(opening({ liquidOrDirt: 'yes' })).toMatchObject({ who: 'a bench volunteer' })
})

it('a start is let through by two verdicts alone, and an unknown school is refused', () => {
  expect(gateVerdicts.filter(mayBeStarted)).toEqual(['guarded-start', 'clear-to-run'])
  expect(() => gate(best, 'sometimes' as never)).toThrow('no school')
  const connected = assessGate({ school: 'caps-first', facts: best, inspectedBy: 'Ilka' }).findings.map(f => f.code)
  expect(connected).not.toContain('gate.configuration')
  expect(
    assessGate({ school: 'caps-first', facts: best, inspectedBy: 'Ilka', configuration: { kind: 'partly', out: ['Case'] } }).findings.map(f => f.code),
  ).toContain('gate.configuration')
})
