import type { ViewOf } from '#shared/chapters/index'
import type { ViewInput } from '../../kernel/file'

/** Faults with what was observed and repaired. */
export const faultsView = ({ file }: ViewInput): ViewOf<'faults'> => ({
  faults: file.faults.map(({ id, version, symptom, firstSeen, stopsMachine, open, observations, repairs }) => ({
    id,
    version,
    symptom,
    firstSeen,
    stopsMachine,
    open,
    observations: observations.map(({ id, says, at }) => ({ id, says, at })),
    repairs: repairs.map(({ id, did, closes, at }) => ({ id, did, closes, at })),
  })),
})
