import highs from 'highs'
import type { Solve } from '#core/kernel/programme'

/** So long one programme may take, in seconds; what is not the best is not given out as it. */
const longestSeconds = 8

/** The solver of integer programmes, for a thread beside the request loop. */
export async function openSolver(): Promise<Solve> {
  const { solve: run } = await highs()
  return programme => {
    const answer = run(programme, { mip_rel_gap: 0, mip_abs_gap: 0, time_limit: longestSeconds })
    if (answer.Status !== 'Optimal') return null
    return { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal])) }
  }
}
