import { z } from 'zod'
import type { NeedStops } from '#core/parts/needs'
import { word } from '../../kernel/fields'
import { PartNeed } from './rows'
import { partOutcomes } from './words'

const id = z.number()
const s = z.string()

const need = { id, version: z.number(), ...PartNeed.seen, stops: word<NeedStops>(), seekerId: id.nullable(), seeker: s }

export const view = z.object({ parts: z.array(z.object({ ...need, outcome: z.enum(partOutcomes) })) })

export const WantedPart = z.object({ ...need, tag: s, machine: s, wantedAt: s })

export type WantedPart = z.infer<typeof WantedPart>
