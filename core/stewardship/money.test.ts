import { expect, it } from 'vitest'
import { type MachineMoney, judgeMoney } from './money'

const told = (more: Partial<MachineMoney>) => {
  const { level, code, says } = judgeMoney({ spent: 0, estimate: null, agreed: null, currency: 'EUR', ...more })
  return [level, code.replace('money.', ''), says]
}

// Common practice, no source.
it('what was spent is told against what its owner agreed to before anything else, then against the estimate', () => {
  const estimate = { low: 10, high: 40 }
  expect(told({ spent: 41, estimate, agreed: 40 })).toEqual(['stop', 'beyond', '€1.00 more than its owner agreed to.'])
  expect(told({ spent: 41, estimate, agreed: 60 })).toEqual(['care', 'estimate', '€1.00 more than it was thought to cost.'])
  expect(told({ spent: 30, estimate, agreed: 60 })).toEqual(['fine', 'left', '€30.00 is left of what its owner agreed to.'])
  expect(told({ spent: 40, estimate })).toEqual(['fine', 'within', 'Within what it was thought to cost: up to €40.00.'])
  expect(told({ spent: 3 })).toEqual(['note', 'unknown', 'Nobody has said what it will cost.'])
  expect(told({ spent: 1, agreed: 0 })[1]).toBe('beyond')
  // 0.1 + 0.2 is a hair more than 0.3, and no cent was overspent.
  expect(told({ spent: 0.1 + 0.2, agreed: 0.3 })[1]).toBe('left')
})
