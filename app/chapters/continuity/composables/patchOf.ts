import { type BoardArea, keptFree } from '#core/continuity/areas'
import { type Landing, type PatchPlan, landingsOf, planPatch } from '#core/continuity/patch-plan'
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'
import type { ProbeSheet } from '#shared/chapters/continuity/index'

/** The wires that bridge a broken net for the current that was typed; what stands in their way is said. */
export function patchOf(
  { pieces }: Pick<ProbeSheet['nets'][number], 'pieces'>,
  current: string,
  side: 'front' | 'back',
  areas: readonly BoardArea[],
): { plan?: PatchPlan; pieces?: Landing[][]; trouble?: string } {
  const landings = pieces.map(landingsOf)
  if (landings.some(piece => !piece.length))
    return { trouble: 'The file has no places for its pins: nobody can say how long a wire is. Choose its ends yourself.' }
  try {
    return { plan: planPatch({ pieces: landings, currentA: parseQuantity(current, 'A', 'currentA'), side, ...keptFree(areas) }), pieces: landings }
  } catch (error) {
    if (error instanceof InputError) return { trouble: error.message }
    throw error
  }
}
