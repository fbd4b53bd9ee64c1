import { z } from 'zod'
import type { AttemptArea } from '#core/diagnosis/back-to-basics'
import { partKindNames } from '#core/diagnosis/part-priors'
import { bases } from '#core/diagnosis/address-map'
import { type LadderRule, machineClasses, observationNames, rungs } from '#core/diagnosis/ladder'
import { outcomes } from '#core/diagnosis/swap'

const b = z.boolean()
const name = z.string().trim().min(1, 'Part: give it a name.').max(80, 'Part: up to 80 characters, please.')
const count = z.number().int().min(1).max(10_000)

/** A part that takes part in swaps, as it travels and is kept. */
export const SwapPartShape = z.object({
  name,
  kind: z.enum(partKindNames),
  place: z.string().trim().max(40).optional(),
  prior: z.number().gt(0).lt(1).optional(),
  harms: b.optional(),
  precious: b.optional(),
  knownGood: b.optional(),
  optional: b.optional(),
  atHand: b.optional(),
  minutes: z.number().min(0).max(10_000).optional(),
})
export const SwapParts = z.array(SwapPartShape).max(40, 'Parts: up to 40 on one board, please.')
/** A swap that was tried. */
export const SwapTrial = z.object({
  parts: z.array(name).min(1, 'Say what took part.').max(40),
  outcome: z.enum(outcomes),
  runs: count.default(1),
  failures: z.number().int().min(0).max(10_000).optional(),
  trusted: b.default(true),
})

const lines = (label: string, most: number) =>
  z
    .string()
    .trim()
    .max(most, `${label}: up to ${most.toLocaleString('en-GB')} characters, please.`)
const Rung = z.enum(rungs)
/** What a model adds to the ladder. */
const LadderRuleShape = z.object({
  when: z.enum(observationNames as [LadderRule['when'], ...LadderRule['when'][]]),
  proves: z.array(Rung).max(rungs.length).default([]),
  suspects: z.array(Rung).max(rungs.length).default([]),
  because: z.string().trim().min(1, 'Why: say it in a few words.').max(200, 'Why: up to 200 characters, please.'),
})
/** What the instruments of the bench have to know of a model; written once, there at every fault. */
export const BenchMap = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ladder'), machine: z.enum(machineClasses), more: z.array(LadderRuleShape).max(40, 'Forty rules at most.') }),
  z.object({ kind: z.literal('keyboard'), keys: lines('Keys', 4000), printed: b, diodes: b }),
  z.object({
    kind: z.literal('memory'),
    base: z.enum(bases),
    widthBits: z.number().int().min(1).max(40),
    bitsPerChip: z.number().int().min(1).max(40),
    banks: lines('Banks', 8000),
  }),
])
export type BenchMap = z.infer<typeof BenchMap>
export type BenchMapOf<K extends BenchMap['kind']> = Extract<BenchMap, { kind: K }>
/** Those of one model, by what they are of. */
export const BenchMaps = z.object({ ladder: BenchMap.options[0].optional(), keyboard: BenchMap.options[1].optional(), memory: BenchMap.options[2].optional() })
export type BenchMaps = z.infer<typeof BenchMaps>

/** Instruments that are at hand on a fault, and what their verdict counts as an attempt at. */
export const faultInstruments = {
  'diagnosis/ladder': 'other',
  'diagnosis/keyboard-matrix': 'keyboard',
  'diagnosis/memory-fault': 'memory',
  'diagnosis/address-map': 'memory',
  'signals/capture': 'processor',
} as const satisfies Record<string, AttemptArea>
export type FaultInstrument = keyof typeof faultInstruments
export const faultInstrumentIds = Object.keys(faultInstruments) as [FaultInstrument, ...FaultInstrument[]]
