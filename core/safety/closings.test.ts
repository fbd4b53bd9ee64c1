import { expect, it } from 'vitest'
import type { Finding } from '../kernel/finding'
import type { Opening } from '../kernel/heard'
import { type Closing, closingsOf, opened } from './closings'
import { whole } from './configuration'
import { assessGate } from './gate'
import { basisOf, stillStands } from './overrule'
import { inWorkingOrder } from './working-order'

const found = (code: string, level: Finding['level'], more: Partial<Finding> = {}): Finding => ({ code, level, says: `${code}.`, because: [], ...more })
const opens = (code: string, more: Partial<Opening> = {}): Opening => ({ code, do: code, who: 'anybody', ...more })

it('what keeps a gate closed weighs by what it does to it, and is known by what it is about', () => {
  const closings = closingsOf({
    findings: [
      found('a', 'care'),
      found('b', 'stop'),
      found('c', 'care', { open: 'unsettled' }),
      found('d', 'note', { open: 'not-looked' }),
      found('e', 'fine'),
      found('f', 'note'),
    ],
    toOpen: [opens('a', { about: 'hazard:battery', leave: 'mains' }), opens('b', { about: 'hazard:battery' })],
  })
  // Two about one thing are one, as strong as the stronger; what has no opening goes by its own name.
  expect(closings).toEqual([
    { about: 'hazard:battery', weight: 3, says: 'b.' },
    { about: 'c', weight: 2, says: 'c.' },
  ])
  expect(closingsOf({ findings: [found('a', 'care')], toOpen: [opens('a', { leave: 'mains' })] })).toEqual([
    { about: 'a', weight: 1, says: 'a.', leave: 'mains' },
  ])
})

it('what weighs less than before has opened, be it gone or only weaker; what weighs as much has not', () => {
  const one = (about: string, weight: number): Closing => ({ about, weight, says: about })
  const before = [one('x', 3), one('y', 2), one('z', 1)]
  expect(opened(before, before)).toEqual([])
  expect(opened(before, [])).toEqual(before)
  expect(opened(before, [one('x', 2), one('y', 3), one('z', 1)])).toEqual([one('x', 3)])
  // Something new is nothing that opens.
  expect(opened([one('x', 1)], [one('x', 1), one('new', 3)])).toEqual([])
})

it('an overrule rests on the school, on every reason, and on what is connected', () => {
  const facts = { mainsLead: 'cut' }
  const gate = assessGate({ school: 'caps-first', facts, inspectedBy: 'Ilka' })
  const overrule = { verdict: 'guarded-start' as const, basis: basisOf(gate, whole) }
  expect(stillStands(overrule, gate, whole)).toBe(true)
  expect(stillStands(null, gate, whole)).toBe(false)
  // The order in which reasons are found is none of them.
  expect(basisOf({ ...gate, findings: [...gate.findings].reverse() }, whole)).toBe(overrule.basis)
  expect(stillStands(overrule, assessGate({ school: 'baseline-first', facts, inspectedBy: 'Ilka' }), whole)).toBe(false)
  expect(stillStands(overrule, assessGate({ school: 'caps-first', facts: { mainsLead: 'sound' }, inspectedBy: 'Ilka' }), whole)).toBe(false)
  expect(stillStands(overrule, gate, { kind: 'partly', out: ['Drive A'] })).toBe(false)
  const partly = basisOf(gate, { kind: 'partly', out: ['Drive A'] })
  expect(partly).not.toBe(basisOf(gate, { kind: 'partly', out: ['Drive B'] }))
})

it('what would open a gate is worked through in the order that hurts least', () => {
  const findings = [
    found('power', 'stop', { when: 'powered' }),
    found('name', 'note', { open: 'not-signed' }),
    found('look', 'note', { open: 'not-looked' }),
    found('care', 'care'),
    found('differ', 'care', { open: 'unsettled' }),
    found('waits', 'stop', { when: 'by-itself' }),
    found('dry', 'stop', { when: 'dry' }),
    found('off', 'stop'),
  ]
  const order = (of: Finding[]) =>
    inWorkingOrder(
      of,
      of.map(f => opens(f.code)),
    ).map(o => o.code)
  expect(order(findings)).toEqual(['off', 'differ', 'look', 'care', 'waits', 'dry', 'name', 'power'])
  // Where nothing dries, what wants it dry need not wait for it.
  expect(order(findings.filter(f => f.code !== 'waits')).indexOf('dry')).toBeLessThan(2)
  // Only what has an opening is in it.
  expect(inWorkingOrder(findings, [opens('off')]).map(o => o.code)).toEqual(['off'])
})
