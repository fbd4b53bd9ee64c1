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

/** A fitted approach, y(t) = end + gap·d(t/τ), with bands that hold the truth about 95 times of 100. */
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
  /** The shape that fits best; several may be allowed, and the bands hold for all of these. */
  shape: ApproachShape['kind']
  endBand: Band
  valueAt: (at: number) => Band
  /** What is left above the end at a time. */
  leftAt: (at: number) => Band
}

/** How an approach may run, with u = t/τ: each of its parts from 1 at 0 towards 0; of two parts, how much is whose is fitted too. */
export interface ApproachShape {
  kind: 'exponential' | 'stretched' | 'late' | 'steady-first' | 'two-speed' | 'diffusion' | 'power'
  parts: readonly ((u: number) => number)[]
  /** So much worse, in χ², a shape may begin: the more unusual, the more it has to be shown. Common practice, no source. */
  penalty: number
}
const quick = (u: number) => Math.exp(-u)
const stretched = (power: number): ApproachShape => ({
  kind: 'stretched',
  parts: [u => Math.exp(-(Math.max(0, u) ** power))],
  penalty: Math.min(1, 2 * Math.abs(1 - power)),
})
const late = (lag: number): ApproachShape => ({ kind: 'late', parts: [u => Math.exp(-Math.max(0, u - lag))], penalty: lag })
const twoSpeed = (times: number): ApproachShape => ({ kind: 'two-speed', parts: [quick, u => Math.exp(-u / times)], penalty: 0.5 })
/** At one rate first, as what is wet on its surface dries, then an exponential of the same slope. Source: two periods of drying, handbooks, from memory. */
const steadyFirst = (until: number): ApproachShape => ({
  kind: 'steady-first',
  parts: [u => (u < until ? 1 - u / (1 + until) : Math.exp(until - u) / (1 + until))],
  penalty: 0.3,
})
/** A reaction of a higher order, and water in pores of many sizes, drag on by a power of time: no exponential bounds what they leave. */
const powerLaw = (power: number): ApproachShape => ({ kind: 'power', parts: [u => (1 + Math.max(0, u)) ** -power], penalty: 0.6 })
/**
 * Diffusion out of a slab, u = π²·D·t/l². Source: Crank 1975, The mathematics of diffusion: 1 − 4·√(u/π³) at first, the first terms of its
 * series later; where they meet, they differ by less than a thousandth.
 */
const slab = (u: number) =>
  u < 0.5 ? 1 - 4 * Math.sqrt(Math.max(0, u) / Math.PI ** 3) : (8 / Math.PI ** 2) * (Math.exp(-u) + Math.exp(-9 * u) / 9 + Math.exp(-25 * u) / 25)
/** Real parts and wet boards seldom are one exponential: they begin late, drag on (Kohlrausch 1854), or have a slow remainder. */
const approachShapes: readonly ApproachShape[] = [
  { kind: 'exponential', parts: [quick], penalty: 0 },
  ...[0.9, 0.8, 0.7, 0.6, 0.5, 1.15, 1.35].map(stretched),
  ...[0.05, 0.1, 0.17, 0.25, 0.33, 0.42, 0.52, 0.65, 0.8].map(late),
  ...[0.5, 1.2, 2.5].map(steadyFirst),
  ...[3, 5, 8, 13, 20, 30].map(twoSpeed),
  { kind: 'diffusion', parts: [slab], penalty: 0.3 },
  ...[1, 2, 4].map(powerLaw),
]
export const exponentialAlone: readonly ApproachShape[] = approachShapes.slice(0, 1)
/** No more than this of all that goes is taken to be slow. Common practice, no source. */
const mostSlow = 0.4

/** χ² with one degree of freedom, 95 %. Source: tables of the distribution. */
const chi95 = 3.841
/** No shape is quite that of a part: so large a share of the way to its last value may be the shape's own error. Common practice, no source. */
const shapeShare = 0.018
/** The same for what is still to go: by so large a share of it the bands are wider. Common practice, no source. */
const leftShare = 0.3
/** Student's t, two-sided 95 %, by degrees of freedom from 1. Source: tables of the distribution. */
const t95 = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131]
/** χ² 95 % by degrees of freedom from 1. Source: tables of the distribution. */
const chiTable = [3.841, 5.991, 7.815, 9.488, 11.07, 12.592, 14.067, 15.507, 16.919, 18.307, 19.675, 21.026, 22.362, 23.685, 24.996]
const from = (table: readonly number[], df: number) => table[Math.min(df, table.length) - 1]!

interface Linear {
  shape: ApproachShape
  tau: number
  end: number
  /** What each part of the shape has to go. */
  gaps: number[]
  /** χ²: the squares of what is left over, each by its own error. */
  chi2: number
  /** The inverse of the normal matrix, end first. */
  inverse: number[][]
}

/** A point with its weight: one over the square of its error. */
interface Weighed extends Point {
  weight: number
}

/** A symmetric matrix, its upper half by rows; the last row and column are nothing where there are two. */
type Symmetric = readonly [a: number, b: number, c: number, d: number, e: number, f: number]

/** Its inverse by cofactors, as full rows. A package for matrices makes the whole fit several times as long: it runs some thousand times in each. */
function inverted([a, b, c, d, e, f]: Symmetric, rows: 2 | 3): number[][] {
  if (rows === 2) {
    const det = a * d - b * b
    return [
      [d / det, -b / det],
      [-b / det, a / det],
    ]
  }
  const [A, B, C, D, E, F] = [d * f - e * e, c * e - b * f, b * e - c * d, a * f - c * c, b * c - a * e, a * d - b * b]
  const det = a * A + b * B + c * C
  return [
    [A / det, B / det, C / det],
    [B / det, D / det, E / det],
    [C / det, E / det, F / det],
  ]
}

/** With shape and τ given the model is linear in its end and gaps; weighted least squares by the normal equations. */
function linearAt(points: readonly Weighed[], shape: ApproachShape, tau: number): Linear {
  const [first, second] = shape.parts as [(u: number) => number, ((u: number) => number)?]
  // Sums of products of 1, the first part, the second, and the value.
  let [s, x, xx, z, zz, xz, y, xy, zy, yy] = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0]
  // Values are taken from the first of them, so that small differences of large masses stay exact.
  const base = points[0]!.value
  for (const { at, value, weight } of points) {
    const a = first(at / tau)
    const b = second ? second(at / tau) : 0
    const v = value - base
    s += weight
    x += weight * a
    xx += weight * a * a
    z += weight * b
    zz += weight * b * b
    xz += weight * a * b
    y += weight * v
    xy += weight * a * v
    zy += weight * b * v
    yy += weight * v * v
  }
  const right = [y, xy, zy]
  const inverse = inverted([s, x, z, xx, xz, zz], second ? 3 : 2)
  const [end, ...gaps] = inverse.map(row => row.reduce((sum, cell, i) => sum + cell * right[i]!, 0)) as [number, ...number[]]
  const chi2 = Math.max(0, yy - end * y - gaps.reduce((sum, gap, i) => sum + gap * right[i + 1]!, 0))
  // A slow part that goes the other way, or is most of it, is another shape.
  const share = gaps.length > 1 ? gaps[1]! / (gaps[0]! + gaps[1]!) : 0
  const odd = !(share >= 0 && share <= mostSlow)
  return { shape, tau, end: end + base, gaps, chi2: Number.isFinite(chi2) && !odd ? chi2 : Infinity, inverse }
}
const valueOf = ({ shape, tau, end, gaps }: Linear, at: number, withEnd = 1) =>
  withEnd * end + gaps.reduce((sum, gap, i) => sum + gap * shape.parts[i]!(at / tau), 0)

/** The best of a grid made better: between its neighbours, by halving the step. */
function narrowed(points: readonly Weighed[], rough: Linear, factor: number): Linear {
  let [best, step] = [rough, Math.sqrt(factor)]
  for (; step > 1.002; step = Math.sqrt(step))
    for (const tau of [best.tau / step, best.tau * step]) {
      const other = linearAt(points, best.shape, tau)
      if (other.chi2 < best.chi2) best = other
    }
  return best
}

/** The best of all made better by Levenberg and Marquardt. */
function refined(points: readonly Weighed[], { shape, ...rough }: Linear, [quickest, slowest]: readonly [number, number]): Linear {
  // End and gap follow from the rate, so that the rate alone is sought: variable projection (Golub and Pereyra 1973).
  const { parameterValues } = levenbergMarquardt(
    { x: points.map(p => p.at), y: points.map(p => p.value) },
    ([rate]) => {
      const line = linearAt(points, shape, 1 / rate!)
      return (x: number) => valueOf(line, x)
    },
    {
      // Its weights are errors.
      weights: points.map(p => 1 / Math.sqrt(p.weight)),
      initialValues: [1 / rough.tau],
      minValues: [1 / slowest],
      maxValues: [1 / quickest],
      maxIterations: 40,
      errorTolerance: 1e-12,
      improvementThreshold: 1e-9,
      gradientDifference: 1e-6 / rough.tau,
      centralDifference: true,
    },
  )
  const better = linearAt(points, shape, 1 / parameterValues[0]!)
  return better.chi2 <= rough.chi2 ? better : { shape, ...rough }
}

/**
 * Fits an approach to three or more points, and says how sure it is.
 *
 * The bands are the profile likelihood: with shape and τ given, any value of the curve is linear in end and gap and has an exact band;
 * the union of these over every shape and τ that the points allow is the band. So it holds for parts that are no single exponential,
 * and is as wide as that takes.
 * @param points three or more, at different times
 * @param stated the error of one value, one standard deviation
 * @param shapes those that may be
 */
export function fitApproach(points: readonly Point[], stated: number, shapes = approachShapes): Approach {
  // No figure is better than a millionth of itself; smaller errors are slips of typing, and break the arithmetic.
  const sigma = Math.max(stated, 1e-6 * Math.max(...points.map(p => Math.abs(p.value))), 1e-9)
  const at0 = Math.min(...points.map(p => p.at))
  const { value: lastValue } = points.reduce((a, b) => (b.at >= a.at ? b : a))
  const errorOf = (value: number) => Math.hypot(sigma, shapes.length > 1 ? shapeShare * (value - lastValue) : 0)
  const moved = points.map(p => ({ at: p.at - at0, value: p.value, weight: 1 / errorOf(p.value) ** 2 }))
  const span = Math.max(...moved.map(p => p.at))
  // From far quicker than the first step to far slower than all of it; beyond that the curve is a line.
  const [quickest, slowest, steps] = [span / 200, span * 60, 36]
  const factor = (slowest / quickest) ** (1 / (steps - 1))
  const taus = Array.from({ length: steps }, (_, i) => quickest * factor ** i)
  const grids = shapes.map(shape => taus.map(tau => linearAt(moved, shape, tau)))
  const rough = grids.map(grid => grid.reduce((best, one) => (one.chi2 < best.chi2 ? one : best)))
  const bests = rough.map(one => narrowed(moved, one, factor))
  const least = Math.min(...bests.map(b => b.chi2))

  const df = points.length - 3
  const scatters = df > 0 && least > from(chiTable, df)
  const wider = scatters ? Math.sqrt(least / df) : 1
  const cost = (one: Linear) => one.chi2 / wider ** 2 + one.shape.penalty
  const best = refined(
    moved,
    bests.reduce((a, b) => (cost(b) < cost(a) ? b : a)),
    [quickest, slowest],
  )
  const allowed = scatters ? from(t95, df) ** 2 : chi95
  const excess = (one: Linear) => cost(one) - cost(best)
  // The span of τ that the points allow may be narrower than a step of the grid: its edges are sought, and it is filled.
  const inside = bests.flatMap((top, k) => {
    if (excess(top) > allowed) return []
    const edges = [1 / factor, factor].map(step => {
      let [within, beyond] = [top.tau, top.tau]
      do beyond *= step
      while (excess(linearAt(moved, top.shape, beyond)) <= allowed && beyond > quickest && beyond < slowest)
      for (let i = 0; i < 10; i++) {
        const middle = Math.sqrt(within * beyond)
        if (excess(linearAt(moved, top.shape, middle)) <= allowed) within = middle
        else beyond = middle
      }
      return within
    }) as [number, number]
    const between = Array.from({ length: 9 }, (_, i) => linearAt(moved, top.shape, edges[0] * (edges[1] / edges[0]) ** (i / 8)))
    return [top, ...(top.shape === best.shape ? [best] : []), ...[...grids[k]!, ...between].filter(one => excess(one) <= allowed)]
  })
  // One that is over long since has a known end, however quick it was.
  const bounded = !inside.some(one => one.tau >= slowest / factor)

  /** The band of the curve at a time, or of what is left of it without its end. */
  const band = (at: number, withEnd: 0 | 1): Band => {
    let [low, high] = [Infinity, -Infinity]
    for (const one of inside) {
      const x = [withEnd, ...one.shape.parts.map(part => part(at / one.tau))]
      const value = valueOf(one, at, withEnd)
      const variance = one.inverse.reduce((sum, row, i) => sum + row.reduce((part, cell, j) => part + cell * x[i]! * x[j]!, 0), 0)
      const reach = Math.sqrt(Math.max(0, variance)) * wider * Math.sqrt(Math.max(0, allowed - excess(one)))
      low = Math.min(low, value - reach)
      high = Math.max(high, value + reach)
    }
    const mid = valueOf(best, at, withEnd)
    const shape = shapes.length > 1 ? leftShare * Math.abs(valueOf(best, at, 0)) : 0
    return { low: mid - Math.hypot(mid - low, shape), mid, high: mid + Math.hypot(high - mid, shape) }
  }
  return {
    tau: best.tau,
    end: best.end,
    gap: valueOf(best, -at0, 0),
    bounded,
    sigma: sigma * wider,
    scatters,
    shape: best.shape.kind,
    endBand: band(Infinity, 1),
    valueAt: at => band(at - at0, 1),
    leftAt: at => band(at - at0, 0),
  }
}

/** The slope of a least-squares line, and its standard error for a stated error of one value. */
export function slopeOf(points: readonly Point[], sigma: number): { slope: number; error: number } {
  const mean = points.reduce((sum, p) => sum + p.at, 0) / points.length
  const spread = points.reduce((sum, p) => sum + (p.at - mean) ** 2, 0)
  const value = points.reduce((sum, p) => sum + p.value, 0) / points.length
  return { slope: points.reduce((sum, p) => sum + (p.at - mean) * (p.value - value), 0) / spread, error: sigma / Math.sqrt(spread) }
}
