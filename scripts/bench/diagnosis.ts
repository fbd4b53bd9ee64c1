import { type SwapInput, reasonSwaps } from '#core/diagnosis/swap'
import { scoreSwaps } from '#core/diagnosis/swap-simulation'
import { seeded } from '#core/kernel/random'
import { judgeLines } from '#core/signals/judge-lines'
import { madeUpCapture } from '#core/signals/made-up'
import { readCapture } from '#core/signals/read-capture'
import { median, row } from './row'

/** A board of swaps as large as it may be: thirty failing tests of three groups that share nothing, so that some two thousand sets of three explain them. */
function largest(): SwapInput {
  const parts = Array.from({ length: 40 }, (_, i) => ({ name: `P${i}`, kind: 'logic' as const }))
  const tests = Array.from({ length: 30 }, (_, t) => ({ parts: parts.slice((t % 3) * 13, (t % 3) * 13 + 13).map(p => p.name), outcome: 'fails' as const }))
  return { parts, tests }
}

/** How long swaps are weighed, and captures read and judged. */
export function benchDiagnosis(): Promise<void> {
  row(
    'swaps weighed: 40 parts, 30 tests, three at fault',
    median(7, () => reasonSwaps(largest())),
  )
  swapsNamed()
  const text = madeUpCapture('running', { changes: 1_600_000 })
  const changes = readCapture(text).lines.reduce((sum, l) => sum + l.levels.length, 0)
  row(
    `capture of ${(changes / 1e6).toFixed(1)} M changes read`,
    median(3, () => readCapture(text)),
  )
  const capture = readCapture(text)
  row(
    '  its lines judged',
    median(3, () => judgeLines(capture)),
  )
  return Promise.resolve()
}

/** How often what the swaps name at 90 of 100 is right, in made-up collections, beside somebody who changes one part after the other. */
function swapsNamed(): void {
  row('swaps followed, 80 machines each', 'named', 'right', 'tests', 'minutes')
  for (const intermittent of [0, 0.3, 1])
    for (const counted of [true, false])
      for (const faults of [1, 2] as const)
        for (const chooser of counted && faults === 1 ? (['advice', 'one by one'] as const) : (['advice'] as const)) {
          const { named, right, tests, minutes } = scoreSwaps({ intermittent, counted, faults }, 80, seeded(17), chooser)
          row(
            `  ${intermittent * 100} % come and go, ${counted ? 'counted' : 'told'}, ${faults} at fault, ${chooser}`,
            `${named}`,
            `${((right / Math.max(1, named)) * 100).toFixed(0)} %`,
            tests.toFixed(1),
            minutes.toFixed(0),
          )
        }
}
