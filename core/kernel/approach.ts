import { levenbergMarquardt } from 'ml-levenberg-marquardt'

/** One measured point of something that approaches an end: a time or a dose, and a value. */
export interface Point {
  at: number
  value: number
}
export interface Band {
  low: number
  mid: number
  high: number
}

/** A fitted exponential approach, y(t) = end + gap·e^(−t/τ), with bands that hold the truth about 95 times of 100. */
export interface Approach {
  tau: number
  end: number
  gap: number
  /** Whether the end is bounded by what was measured; else the points may as well lie on a line that goes on. */
  bounded: boolean
  /** The error that the bands rest on, in the unit of the values: what was stated, or more where the points scatter more. */
  sigma: number
  /** Whether the points scatter more than the stated error explains. */
  scatters: boolean
  endBand: Band
  valueAt: (at: number) => Band
  /** What is left above the end at a time. */
  leftAt: (at: number) => Band
}

/** χ² with one degree of freedom, 95 %. Source: tables of the distribution. */
const chi95 = 3.841
/** Student's t, two-sided 95 %, by degrees of freedom from 1. Source: tables of the distribution. */
const t95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131]
/** χ² 95 % by degrees of freedom from 1. Source: tables of the distribution. */
const chiTable = [3.841, 5.991, 7.815, 9.488, 11.07, 12.592, 14.067, 15.507, 16.919, 18.307, 19.675, 21.026, 22.362, 23.685, 24.996]
const from = (table: readonly number[], df: number) => table[Math.min(df, table.length) - 1]!

interface Linear {
  tau: number
  end: number
  gap: number
  sse: number
  /** The inverse of the normal matrix: [end·end, end·gap, gap·gap]. */
  inverse: [number, number, number]
}

/** With τ given the model is linear in its end and gap; least squares by the normal equations. */
function linearAt(points: readonly Point[], tau: number): Linear {
  let [s, e, ee, y, ey] = [0, 0, 0, 0, 0]
  for (const p of points) {
    const x = Math.exp(-p.at / tau)
    s += 1
    e += x
    ee += x * x
    y += p.value
    ey += x * p.value
  }
  const det = s * ee - e * e
  const end = (ee * y - e * ey) / det
  const gap = (s * ey - e * y) / det
  const sse = points.reduce((sum, p) => sum + (p.value - end - gap * Math.exp(-p.at / tau)) ** 2, 0)
  return { tau, end, gap, sse, inverse: [ee / det, -e / det, s / det] }
}

/**
 * Fits an exponential approach to three or more points, and says how sure it is.
 *
 * The fit is by Levenberg and Marquardt, begun from the best of a grid of time constants. The bands are the profile likelihood: with τ given, any
 * value of the curve is linear in end and gap and has an exact band; the union of these over every τ that the points allow is the band.
 * @param points three or more, at different times
 * @param sigma the error of one value, one standard deviation
 */
export function fitApproach(points: readonly Point[], sigma: number): Approach {
  const at0 = Math.min(...points.map(p => p.at))
  const moved = points.map(p => ({ at: p.at - at0, value: p.value }))
  const span = Math.max(...moved.map(p => p.at))
  // From far quicker than the first step to far slower than all of it; beyond that the curve is a line.
  const [quickest, slowest] = [span / 200, span * 60]
  const taus = Array.from({ length: 400 }, (_, i) => quickest * (slowest / quickest) ** (i / 399))
  const grid = taus.map(tau => linearAt(moved, tau))
  const rough = grid.reduce((best, one) => (one.sse < best.sse ? one : best))
  const fitted = levenbergMarquardt(
    { x: moved.map(p => p.at), y: moved.map(p => p.value) },
    ([end, gap, rate]) =>
      (x: number) =>
        end! + gap! * Math.exp(-x * rate!),
    {
      initialValues: [rough.end, rough.gap, 1 / rough.tau],
      jacobianFunction:
        ([, gap, rate]) =>
        (x: number) => [1, Math.exp(-x * rate!), -gap! * x * Math.exp(-x * rate!)],
      minValues: [-1e12, -1e12, 1 / slowest],
      maxValues: [1e12, 1e12, 1 / quickest],
      maxIterations: 60,
      errorTolerance: 1e-12,
      improvementThreshold: 1e-9,
    },
  )
  const refined = linearAt(moved, 1 / fitted.parameterValues[2]!)
  const best = refined.sse <= rough.sse ? refined : rough

  const df = points.length - 3
  const scatters = df > 0 && best.sse / sigma ** 2 > from(chiTable, df)
  const used = scatters ? Math.sqrt(best.sse / df) : sigma
  const allowed = scatters ? from(t95, df) ** 2 : chi95
  const inside = [...grid, best].filter(one => (one.sse - best.sse) / used ** 2 <= allowed)
  const bounded = !inside.includes(grid.at(-1)!) && !inside.includes(grid[0]!)

  /** The band of a·end + b(τ)·gap. */
  const band = (a: number, b: (tau: number) => number): Band => {
    let [low, high] = [Infinity, -Infinity]
    for (const one of inside) {
      const x = b(one.tau)
      const value = a * one.end + x * one.gap
      const [ee, eg, gg] = one.inverse
      const se = Math.sqrt(Math.max(0, a * a * ee + 2 * a * x * eg + x * x * gg)) * used
      const reach = se * Math.sqrt(Math.max(0, allowed - (one.sse - best.sse) / used ** 2))
      low = Math.min(low, value - reach)
      high = Math.max(high, value + reach)
    }
    return { low, mid: a * best.end + b(best.tau) * best.gap, high }
  }
  return {
    tau: best.tau,
    end: best.end,
    gap: best.gap * Math.exp(at0 / best.tau),
    bounded,
    sigma: used,
    scatters,
    endBand: band(1, () => 0),
    valueAt: at => band(1, tau => Math.exp(-(at - at0) / tau)),
    leftAt: at => band(0, tau => Math.exp(-(at - at0) / tau)),
  }
}

/** The slope of a least-squares line, and its standard error for a stated error of one value. */
export function slopeOf(points: readonly Point[], sigma: number): { slope: number; error: number } {
  const mean = points.reduce((sum, p) => sum + p.at, 0) / points.length
  const spread = points.reduce((sum, p) => sum + (p.at - mean) ** 2, 0)
  const value = points.reduce((sum, p) => sum + p.value, 0) / points.length
  return { slope: points.reduce((sum, p) => sum + (p.at - mean) * (p.value - value), 0) / spread, error: sigma / Math.sqrt(spread) }
}
