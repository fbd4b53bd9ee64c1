import { z } from 'zod'
import { attemptAreas } from '#core/diagnosis/back-to-basics'
import { observationNames } from '#core/diagnosis/ladder'
import { Finding } from '../../kernel/shapes'
import { leftAsWords, theoryStates } from './commands'
import { Fault, Repair } from './rows'
import { BenchMaps, SwapPartShape, SwapTrial } from './shapes'

const id = z.number()
const n = z.number()
const s = z.string()
const b = z.boolean()

/** A code with what machines that showed it turned out to have. */
const Code = z.object({ code: s, says: s, turnedOut: z.array(z.object({ cause: s, tag: s })) })

export const view = z.object({
  /** Error and beep codes of the model. */
  codes: z.array(Code),
  /** What the instruments of the bench know of the model; it has no maps where it is of no known model. */
  modelId: n.nullable(),
  benchMaps: BenchMaps,
  /** Which version of each map it is; none where there is no map yet. */
  benchMapVersions: z.record(s, n),
  /** What its rails, as they were read, say to the ladder. */
  railsOnRecord: z.enum(observationNames).nullable(),
  /** What the model is known for. */
  knownFaults: z.array(s),
  /** What machines of the same model had, and what it turned out to be; the newest. */
  sisterFaults: z.array(z.object({ tag: s, name: s, symptom: s, open: b, did: s })),
  /** Functions that hang on nets which probing found broken: each is a theory worth writing down. */
  brokenFunctions: z.array(z.object({ net: s, does: s })),
  /** How likely parts of a kind are at fault, where the collection's own causes say something of it. */
  partPriors: z.record(s, n),
  /** Parts of this machine, for a swap board that has none yet. */
  partsToSwap: z.array(SwapPartShape),
  faults: z.array(
    z.object({
      id,
      version: n,
      ...Fault.seen,
      firstSeen: s,
      open: b,
      leftAs: z.enum(leftAsWords),
      cause: s,
      /** Minutes of all attempts. */
      minutes: n,
      observations: z.array(z.object({ id, says: s, at: s, photograph: z.object({ id, hash: s }).nullable() })),
      repairs: z.array(z.object({ id, ...Repair.seen, at: s })),
      attempts: z.array(z.object({ id, area: z.enum(attemptAreas), did: s, minutes: n.nullable(), trial: SwapTrial.nullable(), capture: s, by: s, at: s })),
      theories: z.array(z.object({ id, says: s, why: s, wouldRefute: s, damaged: b, state: z.enum(theoryStates), stateWhy: s, by: s, at: s })),
      swapParts: z.array(SwapPartShape),
      /** Whether it has to go back to basics. */
      findings: z.array(Finding),
      /** Causes that earlier faults of the model with a symptom in common had. */
      likelyCauses: z.array(z.object({ cause: s, right: n, of: n, machines: z.array(s) })),
    }),
  ),
})

/** Faults of a model over the collection. */
export const FaultsOfModel = z.object({
  faults: z.array(z.object({ id, tag: s, name: s, symptom: s, symptoms: z.array(s), open: b, leftAs: s, cause: s, did: s, minutes: n })),
  causes: z.array(z.object({ cause: s, right: n, of: n, machines: z.array(s) })),
  codes: z.array(Code),
  benchMaps: BenchMaps,
  /** Which version of each map it is; none where there is no map yet. */
  benchMapVersions: z.record(s, n),
})
export type FaultsOfModel = z.infer<typeof FaultsOfModel>
