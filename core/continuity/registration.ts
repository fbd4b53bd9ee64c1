import { Matrix, SingularValueDecomposition, solve } from 'ml-matrix'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import type { Spot } from './board'

/** A place on the board that somebody has found on the photograph. */
export interface Pair {
  board: Spot
  /** On the photograph, as shares of its width and height. */
  photo: { x: number; y: number }
}
export interface RegistrationInput {
  pairs: readonly Pair[]
  widthPx: number
  heightPx: number
  /** With perspective, where the camera was not held straight; needs four. */
  perspective?: boolean
}
export interface Registration {
  /** Photograph in pixels from board in millimetres, row by row; the last row is 0 0 1 but for perspective. */
  matrix: number[]
  /** Root of the mean square of what is left at the pairs, in mm on the board; nothing where the pairs fit by themselves. */
  residualMm: number | null
  /** The pair that fits worst, and by how much. */
  worst: { pair: number; mm: number } | null
  /** Whether the board is seen from its back: mirrored. */
  mirrored: boolean
  findings: Finding[]
}

const mostPairs = 60
/** Half the pitch of a pin: beyond it the ring is on the neighbour. */
const halfPitchMm = 1.27

/**
 * Registers a board to a photograph by pairs of places: an affine map by least squares (normal equations), or one with perspective by the direct linear
 * transformation, on normalised points. Sources: least squares; Hartley and Zisserman, Multiple View Geometry, section 4.4 (from memory).
 * @throws InputError for too few pairs, or pairs that lie on one line
 */
export function register({ pairs, widthPx, heightPx, perspective = false }: RegistrationInput): Registration {
  const least = perspective ? 4 : 3
  if (pairs.length < least || pairs.length > mostPairs)
    throw new InputError(
      'pairs',
      pairs.length,
      `Places: from ${least} to ${mostPairs}, please${perspective ? '; with perspective it takes four' : ''}. These are ${pairs.length}.`,
    )
  if (!(widthPx > 0 && heightPx > 0)) throw new InputError('widthPx', widthPx, 'Photograph: its size in pixels, please.')
  const board = pairs.map(p => [p.board.xMm, p.board.yMm] as const)
  const photo = pairs.map(p => [p.photo.x * widthPx, p.photo.y * heightPx] as const)
  if (flat(board) || flat(photo))
    throw new InputError('pairs', pairs.length, 'Places: they are on one line, or on one spot. Choose corners that are far apart.')
  const matrix = perspective ? projective(board, photo) : affine(board, photo)
  const back = inverse(matrix)
  if (!back) throw new InputError('pairs', pairs.length, 'Places: no map fits them. One of them is probably on the wrong pin.')
  const left = pairs.map((p, i) => {
    const at = apply(back, photo[i]![0], photo[i]![1])
    return Math.hypot(at[0] - p.board.xMm, at[1] - p.board.yMm)
  })
  const free = pairs.length * 2 - (perspective ? 8 : 6)
  // By the degrees of freedom that are left, so that few pairs do not flatter it.
  const residualMm = free > 0 ? Math.sqrt(left.reduce((sum, mm) => sum + mm * mm, 0) / (free / 2)) : null
  const worst = free > 0 ? left.map((mm, pair) => ({ mm, pair })).sort((a, b) => b.mm - a.mm)[0]! : null
  const mirrored = matrix[0]! * matrix[4]! - matrix[1]! * matrix[3]! < 0
  return { matrix, residualMm, worst, mirrored, findings: findingsOf(residualMm, worst, pairs.length) }
}

function findingsOf(residualMm: number | null, worst: Registration['worst'], pairs: number): Finding[] {
  if (residualMm === null)
    return [
      finding(
        'note',
        'register.exact',
        'Its error is not known: these places fit by themselves.',
        `${pairs} places leave nothing over to check by. One more tells how well it fits.`,
      ),
    ]
  const says = `The places miss by ${residualMm.toFixed(2)} mm, place ${worst!.pair + 1} by ${worst!.mm.toFixed(2)} mm.`
  return [
    residualMm > halfPitchMm
      ? finding(
          'stop',
          'register.off',
          'It does not fit: the ring would be on the neighbouring pin.',
          [says, 'Choose the worst place again, or register with perspective.'],
          commonPractice,
        )
      : residualMm > halfPitchMm / 2
        ? finding('care', 'register.loose', 'It fits loosely: count the pins beside the ring.', says, commonPractice)
        : finding('fine', 'register.fits', 'It fits.', says),
  ]
}

/** Whether points lie on one line, or nearly. */
function flat(points: readonly (readonly [number, number])[]): boolean {
  const [mx, my] = [mean(points.map(p => p[0])), mean(points.map(p => p[1]))]
  let [xx, xy, yy] = [0, 0, 0]
  for (const [x, y] of points) {
    xx += (x - mx) ** 2
    xy += (x - mx) * (y - my)
    yy += (y - my) ** 2
  }
  const [half, root] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)]
  return !(half - root > 1e-4 * (half + root))
}
const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length

function affine(from: readonly (readonly [number, number])[], to: readonly (readonly [number, number])[]): number[] {
  const rows = new Matrix(from.map(([x, y]) => [x, y, 1]))
  const solved = solve(rows, new Matrix(to.map(p => [p[0], p[1]])), true)
  return [solved.get(0, 0), solved.get(1, 0), solved.get(2, 0), solved.get(0, 1), solved.get(1, 1), solved.get(2, 1), 0, 0, 1]
}

/** Moves points about their middle, and to a mean distance of √2. */
function normal(points: readonly (readonly [number, number])[]) {
  const [mx, my] = [mean(points.map(p => p[0])), mean(points.map(p => p[1]))]
  const scale = Math.SQRT2 / (mean(points.map(([x, y]) => Math.hypot(x - mx, y - my))) || 1)
  return { matrix: [scale, 0, -scale * mx, 0, scale, -scale * my, 0, 0, 1], points: points.map(([x, y]) => [(x - mx) * scale, (y - my) * scale] as const) }
}

function projective(from: readonly (readonly [number, number])[], to: readonly (readonly [number, number])[]): number[] {
  const [a, b] = [normal(from), normal(to)]
  const rows = a.points.flatMap(([x, y], i) => {
    const [u, v] = b.points[i]!
    return [
      [-x, -y, -1, 0, 0, 0, u * x, u * y, u],
      [0, 0, 0, -x, -y, -1, v * x, v * y, v],
    ]
  })
  // A square system, so that the last right singular vector is there also with four pairs.
  while (rows.length < 9) rows.push(new Array<number>(9).fill(0))
  const right = new SingularValueDecomposition(new Matrix(rows), { autoTranspose: false }).rightSingularVectors
  const h = Array.from({ length: 9 }, (_, i) => right.get(i, 8))
  const whole = times(times(inverse(b.matrix)!, h), a.matrix)
  const last = whole[8]!
  return Math.abs(last) > 1e-12 ? whole.map(v => v / last) : whole
}

const times = (a: readonly number[], b: readonly number[]) =>
  Array.from({ length: 9 }, (_, i) => [0, 1, 2].reduce((sum, k) => sum + a[Math.floor(i / 3) * 3 + k]! * b[k * 3 + (i % 3)]!, 0))

/** The map the other way; nothing where there is none. */
export function inverse(m: readonly number[]): number[] | null {
  const [a, b, c, d, e, f, g, h, i] = m as [number, number, number, number, number, number, number, number, number]
  const cofactors = [e * i - f * h, c * h - b * i, b * f - c * e, f * g - d * i, a * i - c * g, c * d - a * f, d * h - e * g, b * g - a * h, a * e - b * d]
  const det = a * cofactors[0]! + b * cofactors[3]! + c * cofactors[6]!
  return Number.isFinite(det) && Math.abs(det) > 1e-12 ? cofactors.map(v => v / det) : null
}

/** A point through a map. */
export function apply(m: readonly number[], x: number, y: number): [number, number] {
  const w = m[6]! * x + m[7]! * y + m[8]!
  return [(m[0]! * x + m[1]! * y + m[2]!) / w, (m[3]! * x + m[4]! * y + m[5]!) / w]
}

/** Where a place of the board is on the photograph, as shares of its width and height. */
export function onPhoto(
  { matrix }: Pick<Registration, 'matrix'>,
  { xMm, yMm }: Spot,
  { widthPx, heightPx }: { widthPx: number; heightPx: number },
): { x: number; y: number } {
  const [x, y] = apply(matrix, xMm, yMm)
  return { x: x / widthPx, y: y / heightPx }
}
