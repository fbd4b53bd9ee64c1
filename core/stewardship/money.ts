import { type Finding, commonPractice, finding } from '../kernel/finding'
import { money } from '../kernel/money'

export interface MachineMoney {
  spent: number
  /** What it was appraised to cost; nothing where nobody did. */
  estimate: { low: number; high: number } | null
  /** What its owner agreed to, nothing of it where nobody asked; `null` for the collection's own. */
  agreed: number | null
  currency: string
}

/** What was spent on a machine against what its owner agreed to, and against what it was thought to cost. */
export function judgeMoney({ spent, estimate, agreed, currency }: MachineMoney): Finding {
  const inMoney = (amount: number) => money(amount, currency)
  // Sums of cents end a hair beside the limit they meet.
  if (agreed !== null && spent > agreed + 1e-6)
    return finding(
      'stop',
      'money.beyond',
      `${inMoney(spent - agreed)} more than its owner agreed to.`,
      'Write to the owner before anything else is bought for it.',
      commonPractice,
    )
  if (estimate && spent > estimate.high + 1e-6)
    return finding(
      'care',
      'money.estimate',
      `${inMoney(spent - estimate.high)} more than it was thought to cost.`,
      `The appraisal says ${inMoney(estimate.low)} to ${inMoney(estimate.high)}. Appraise it anew, and see whether its path still holds.`,
      commonPractice,
    )
  if (agreed !== null)
    return finding('fine', 'money.left', `${inMoney(agreed - spent)} is left of what its owner agreed to.`, 'Spent so far against what was agreed.')
  if (!estimate) return finding('note', 'money.unknown', 'Nobody has said what it will cost.', 'Appraise it under Look.')
  return finding('fine', 'money.within', `Within what it was thought to cost: up to ${inMoney(estimate.high)}.`, 'Spent so far against the appraisal.')
}
