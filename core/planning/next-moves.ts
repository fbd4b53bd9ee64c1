import { type NextMove, bands, move } from '../kernel/move'
import { disciplines } from './disciplines'
import type { MachineKnown } from '../kernel/machine'
import { stageNames, stages } from '../kernel/stages'

/**
 * What to do next with one machine, most pressing first, each with its reason and who can do it.
 * When nothing else is left, the move is on to the next stage.
 */
export function nextMoves(known: MachineKnown): NextMove[] {
  const moves = disciplines.flatMap(d => d.moves?.(known) ?? []).sort((a, b) => bands.indexOf(a.band) - bands.indexOf(b.band))
  const next = stages[stages.indexOf(known.stage) + 1]
  const onwards =
    !moves.length && next && !known.waits.length
      ? [move('life', 'move-on', next, { says: `Move on to ${stageNames[next]}`, why: `Nothing is left to do in ${stageNames[known.stage]}.` })]
      : []
  return [...moves, ...onwards]
}
