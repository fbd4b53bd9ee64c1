import { performance } from 'node:perf_hooks'

/** A line of figures: the first cell names them. */
export const row = (...cells: string[]) => console.log(cells.map((cell, i) => (i ? cell.padStart(14) : cell.padEnd(58))).join(''))

/** The median of a few runs, in milliseconds. */
export function median(runs: number, work: () => unknown): string {
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  return `${times[Math.floor(runs / 2)]!.toFixed(1)} ms`
}
