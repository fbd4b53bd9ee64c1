import { z } from 'zod'
import { type BoardPin, longestName, mostPins } from '#core/continuity/board'

const name = z.string().min(1).max(longestName)
const n = z.number().min(-5000).max(5000)

/** A pin as it travels and is kept: net, part, pin, x and y in mm, side, in a socket. A board has thousands. */
export const PinRow = z.tuple([name, name, name, n.nullable(), n.nullable(), z.enum(['f', 'b', '']), z.union([z.literal(0), z.literal(1)])])
export type PinRow = z.infer<typeof PinRow>
export const PinRows = z.array(PinRow).min(1, 'No pin of the board was read.').max(mostPins)

const letters = { front: 'f', back: 'b', both: '' } as const
const sideOf = { 'f': 'front', 'b': 'back', '': 'both' } as const
export const rowOf = ({ net, part, pin, xMm, yMm, side, socketed }: BoardPin): PinRow => [
  net,
  part,
  pin,
  xMm ?? null,
  yMm ?? null,
  letters[side ?? 'both'],
  socketed ? 1 : 0,
]
export const pinOf = ([net, part, pin, x, y, side, socketed]: PinRow): BoardPin => ({
  net,
  part,
  pin,
  ...(x === null || y === null ? {} : { xMm: x, yMm: y }),
  side: sideOf[side],
  socketed: socketed === 1,
})
