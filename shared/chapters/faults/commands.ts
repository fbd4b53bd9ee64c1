import { z } from 'zod'
import { attemptAreas } from '#core/diagnosis/back-to-basics'
import { partKindNames } from '#core/diagnosis/part-priors'
import { command } from '../../kernel/contract'
import { found, id, oneOf, optionalQuantity, optionalText, roughDay, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { Fault, Repair } from './rows'
import { BenchMap, SwapParts, SwapTrial, faultInstrumentIds } from './shapes'

/** How a theory can come to stand. */
export const theoryStates = ['held', 'struck', 'confirmed'] as const
/** Why a fault stays open and is worked on no more, or only when it shows. */
export const leftAsWords = ['', 'known', 'came-back'] as const

export const onMachine = {
  'report-fault': command(atTheBench, z.object({ ...Fault.typed, firstSeen: roughDay('First seen') })),
  'change-fault': command(
    atTheBench,
    z.object({
      faultId: id,
      version,
      ...Fault.typed,
      // Whoever says nothing of them leaves them as they are.
      symptoms: Fault.typed.symptoms.unwrap().optional(),
      conditions: Fault.typed.conditions.unwrap().optional(),
      found,
    }),
    { opens: 'saying' },
  ),
  'observe-fault': command(atTheBench, z.object({ faultId: id, says: text('Observation', 1000), photographId: id.nullable().default(null) })),
  'repair-fault': command(
    atTheBench,
    z.object({
      faultId: id,
      ...Repair.typed,
      /** What it was, once that is known. */
      cause: optionalText('Cause', 200),
      causeKind: z.enum(['', ...partKindNames]).default(''),
    }),
    { asks: 'repair' },
  ),
  /** Something that was tried, with the time it took; a swap says what took part and how it came out. */
  'try-on-fault': command(
    atTheBench,
    z.object({
      faultId: id,
      area: oneOf(attemptAreas, 'What was tested'),
      did: text('What was tried', 500),
      minutes: optionalQuantity('min', 'Minutes', { from: 0, upTo: 6000 }),
      trial: SwapTrial.nullable().default(null),
    }),
  ),
  /** What an instrument of the bench says of it, as an attempt; a capture stays with it. */
  'keep-judgement': command(
    atTheBench,
    z.object({
      faultId: id,
      tool: z.enum(faultInstrumentIds),
      input: z.record(z.string(), z.unknown()),
      name: optionalText('Name', 80),
      minutes: optionalQuantity('min', 'Minutes', { from: 0, upTo: 6000 }),
    }),
  ),
  'set-swap-parts': command(atTheBench, z.object({ faultId: id, version, parts: SwapParts })),
  'hold-theory': command(
    atTheBench,
    z.object({
      faultId: id,
      says: text('Theory', 200),
      why: text('Why', 300),
      wouldRefute: text('What would refute it', 300),
      damaged: z.boolean().default(false),
    }),
  ),
  'judge-theory': command(
    atTheBench,
    z.object({
      theoryId: id,
      state: oneOf(theoryStates, 'Status'),
      why: text('What shows it', 300),
      /** The equipment of the test was itself known good. */
      trusted: z.boolean().default(false),
    }),
  ),
  'leave-fault': command(atTheBench, z.object({ faultId: id, version, leftAs: oneOf(leftAsWords, 'How it stays open'), says: text('Why', 300) })),
} as const

export const onCollection = {
  /** What an error or beep code of a model means; said again, it is put right. */
  /** What the instruments of the bench have to know of a model; kept again, it takes the place of what was kept. */
  'keep-bench-map': command(atTheBench, z.object({ modelId: id, version, map: BenchMap })),
  'note-code': command(atTheBench, z.object({ modelId: id, code: text('Code', 40), says: text('What it means', 200) })),
} as const
