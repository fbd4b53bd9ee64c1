import { type PatchPlan, type Landing, planPatch } from '#core/continuity/patch-plan'
import { InputError } from '#core/kernel/input-error'
import type { ProbeSheet } from '#shared/chapters/continuity/index'

type Net = ProbeSheet['nets'][number]

/** The pieces of a net as a wire can reach them; through-hole pins are legs. Nothing where a place is not known. */
export function landingsOf(net: Pick<Net, 'pieces'>): Landing[][] | null {
  const pieces = net.pieces.map(piece =>
    piece.flatMap((e): Landing[] =>
      e.xMm === null || e.yMm === null ? [] : [{ name: e.name, xMm: e.xMm, yMm: e.yMm, side: e.side, leg: e.side === 'both' && !e.socketed }],
    ),
  )
  return pieces.length > 1 && pieces.every(p => p.length) ? pieces : null
}

/** The wires that bridge a broken net; what stands in their way is said. */
export function patchOf(net: Pick<Net, 'pieces'>, currentA: number, side: 'front' | 'back'): { plan?: PatchPlan; pieces?: Landing[][]; trouble?: string } {
  const pieces = landingsOf(net)
  if (!pieces) return { trouble: 'The file has no places for its pins: nobody can say how long a wire is. Choose its ends yourself.' }
  try {
    return { plan: planPatch({ pieces, currentA, side }), pieces }
  } catch (error) {
    if (error instanceof InputError) return { trouble: error.message }
    throw error
  }
}
