import { decimals } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { money } from '../kernel/money'

export interface OutcomeInput {
  hours: { worked: number; low: number | null; high: number | null }
  money: { spent: number; low: number | null; high: number | null; currency: string }
  faults: { closed: number; open: number }
}

/** Beyond so many times an estimate was none, and the figure says nothing. */
const mostTold = 100

/** What came of it against what was estimated, kindly: a job that grew teaches the next estimate. Common practice, no source. */
export function judgeOutcome({ hours, money: cost, faults }: OutcomeInput): Finding[] {
  const findings: Finding[] = []
  const compare = (what: string, code: string, is: number, low: number | null, high: number | null, show: (n: number) => string, begin = show) => {
    if (low === null || high === null || (!low && !high)) {
      findings.push(
        finding('note', `${code}.no-estimate`, `${what}: ${show(is)}; nothing was estimated.`, 'An estimate before the next one makes the one after better.'),
      )
      return
    }
    const range = low === high ? show(low) : `${begin(low)} to ${show(high)}`
    if (is > high)
      findings.push(
        finding(
          'care',
          `${code}.grew`,
          `${what}: ${show(is)} where ${range} were estimated.`,
          is / high < mostTold ? `It grew to ${(is / high).toFixed(1)} times of the upper figure. Jobs do.` : 'Hardly anything had been estimated. Jobs grow.',
          commonPractice,
        ),
      )
    else
      findings.push(
        finding('fine', `${code}.held`, `${what}: ${show(is)} of ${range} estimated.`, is < low ? 'It took less than was thought.' : 'The estimate held.'),
      )
  }
  compare(
    'Hours that were noted',
    'outcome.hours',
    hours.worked,
    hours.low,
    hours.high,
    n => `${decimals(n, 1)} h`,
    n => `${decimals(n, 1)}`,
  )
  compare('Money', 'outcome.money', cost.spent, cost.low, cost.high, n => money(n, cost.currency))
  if (faults.open)
    findings.push(
      finding('note', 'outcome.open', `${faults.open === 1 ? 'One fault stays' : `${faults.open} faults stay`} open.`, 'The next owner should know of it.'),
    )
  return findings
}
