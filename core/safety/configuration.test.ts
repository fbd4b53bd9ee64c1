import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type Configuration, checkConfiguration, configurationKindNames, keyOf, mayBeOut } from './configuration'
import { assessGate } from './gate'
import { gateVerdicts } from './gate-words'
import { hazardKindNames, hazardKinds } from './hazards'
import { type PowerFacts, powerFactNames, powerFacts, schools } from './power-facts'
import { goodFacts } from '../../tests/support/good-facts'

// The rules are common practice, no source; these checks are of their logic.
const best: PowerFacts = { ...goodFacts, fan: 'present', rails: 'good' }
const gate = (facts: PowerFacts, kind: Configuration['kind'], out: string[] = []) =>
  assessGate({ school: 'caps-first', facts, inspectedBy: 'Ilka', configuration: { kind, out } })

it('asks only about what gets power, and says what the verdict leaves out', () => {
  const leaking = { ...best, battery: 'leaking' }
  expect(gate(leaking, 'whole').verdict).toBe('keep-off')
  expect(gate(leaking, 'supply-alone').verdict).toBe('clear-to-run')
  expect(gate({ ...best, filterCapacitors: 'cracked', mainsLead: 'cut' }, 'bench-supply').verdict).toBe('clear-to-run')
  expect(gate({ ...best, filterCapacitors: 'cracked' }, 'partly', ['Drive A']).verdict).toBe('keep-off')
  expect(gate(best, 'partly', ['Drive A']).findings.find(f => f.code === 'gate.configuration')?.says).toContain('out: Drive A')
})

it('wants something named where some of it is out, and nothing where nothing can be', () => {
  expect(() => checkConfiguration({ kind: 'partly', out: [] })).toThrow(/name at least one/)
  expect(() => checkConfiguration({ kind: 'whole', out: ['Case'] })).toThrow(/leaves no single assembly out/)
  for (const kind of configurationKindNames) expect(() => checkConfiguration({ kind, out: mayBeOut(kind) ? ['Case'] : [] })).not.toThrow()
  expect(keyOf({ kind: 'partly', out: ['b', 'a'] })).toBe(keyOf({ kind: 'partly', out: ['a', 'b'] }))
  expect(keyOf({ kind: 'whole', out: [] })).toBe('whole')
})

it('in every configuration, a hazard never opens the gate, the strict school is never looser, and each verdict has its reasons', () => {
  const anyFacts = fc.record(
    Object.fromEntries(powerFactNames.map(name => [name, fc.option(fc.constantFrom(...Object.keys(powerFacts[name].values)), { nil: undefined })])),
  )
  const open = (verdict: string) => gateVerdicts.indexOf(verdict as 'keep-off')
  fc.assert(
    fc.property(
      anyFacts,
      fc.constantFrom(...schools),
      fc.constantFrom(...configurationKindNames),
      fc.constantFrom(...hazardKindNames),
      (facts, school, kind, hazard) => {
        const input = { school, facts: facts as PowerFacts, inspectedBy: 'Ilka', configuration: { kind, out: mayBeOut(kind) ? ['Card'] : [] } }
        const before = assessGate(input)
        const after = assessGate({ ...input, hazards: [{ kind: hazard, state: 'present', evidence: ['Seen.'], settled: true }] })
        expect(open(after.verdict)).toBeLessThanOrEqual(open(before.verdict))
        expect(open(assessGate({ ...input, school: 'caps-first' }).verdict)).toBeLessThanOrEqual(
          open(assessGate({ ...input, school: 'baseline-first' }).verdict),
        )
        expect(after.findings.every(f => f.because.length > 0)).toBe(true)
        expect(after.toOpen.length > 0).toBe(after.verdict !== 'clear-to-run')
        // What would open it, done, leaves nothing to do.
        expect(assessGate({ ...input, facts: best }).verdict).toBe('clear-to-run')
        expect(hazardKinds[hazard].deal).toBeTruthy()
      },
    ),
  )
})
