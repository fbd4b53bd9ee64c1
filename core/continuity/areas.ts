import type { Spot } from './board'
import type { KeepOut } from './patch-plan'

/** What a wire keeps clear of. */
export const areaKinds = ['socket', 'hole', 'slot', 'hot', 'via'] as const
export type AreaKind = (typeof areaKinds)[number]
const areaKindNames: Record<AreaKind, string> = { socket: 'A socket', hole: 'A mounting hole', slot: 'A slot', hot: 'A hot part', via: 'A bare via' }

/** A part of the board, in mm seen from the front; a via has no size. */
export interface BoardArea {
  kind: AreaKind
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
}

/** As many as a patch plan takes. */
const most = { outlines: 40, vias: 300 } as const
const farMm = 5000

/** Lines that were typed: `socket 60 20 20 50` with the corner nearest to the origin, width and height; `via 33 41.5`. */
export function readAreas(text: string): { areas: BoardArea[]; problems: { line: number; message: string }[] } {
  const areas: BoardArea[] = []
  const problems: { line: number; message: string }[] = []
  text.split('\n').forEach((raw, i) => {
    const [word = '', ...rest] = raw
      .trim()
      .toLowerCase()
      .split(/[\s,;]+/)
    if (!word) return
    const wrong = (message: string) => problems.push({ line: i + 1, message })
    const kind = areaKinds.find(k => k === word)
    const numbers = rest.map(Number)
    if (!kind) return wrong(`“${word.slice(0, 20)}”: begin with ${areaKinds.join(', ')}.`)
    if (numbers.length !== (kind === 'via' ? 2 : 4) || numbers.some(n => !Number.isFinite(n) || Math.abs(n) > farMm))
      return wrong(kind === 'via' ? 'A via takes x and y in mm.' : `A ${kind} takes x, y, width and height in mm.`)
    const [xMm = 0, yMm = 0, widthMm = 0, heightMm = 0] = numbers
    if (kind !== 'via' && !(widthMm > 0 && heightMm > 0)) return wrong('Width and height are larger than nothing.')
    const kept = areas.filter(a => (a.kind === 'via') === (kind === 'via')).length
    if (kept >= (kind === 'via' ? most.vias : most.outlines)) return wrong(`Up to ${most.outlines} areas and ${most.vias} vias are kept with a board.`)
    areas.push({ kind, xMm, yMm, widthMm, heightMm })
  })
  return { areas, problems }
}
export const areaLine = ({ kind, xMm, yMm, widthMm, heightMm }: BoardArea) => [kind, xMm, yMm, ...(kind === 'via' ? [] : [widthMm, heightMm])].join(' ')

/** What a patch plan keeps free, and the vias that it warns of. */
export const keptFree = (areas: readonly BoardArea[]): { keepOuts: KeepOut[]; vias: Spot[] } => ({
  keepOuts: areas.flatMap(({ kind, xMm, yMm, widthMm, heightMm }) =>
    kind === 'via'
      ? []
      : [
          {
            why: areaKindNames[kind],
            outline: [
              [xMm, yMm],
              [xMm + widthMm, yMm],
              [xMm + widthMm, yMm + heightMm],
              [xMm, yMm + heightMm],
            ] as const,
          },
        ],
  ),
  vias: areas.filter(a => a.kind === 'via').map(({ xMm, yMm }) => ({ xMm, yMm })),
})
