import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, optionalQuantity, optionalText, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { ExpectedRails } from '../../kernel/shapes'
import { InletTyped } from '../supplies/index'

const Model = {
  maker: text('Maker', 80),
  name: text('Model', 80),
  about: optionalText('About it', 1000),
  variants: z.array(text('Board issue or variant', 160)).max(30, 'Thirty at most.'),
  usualKit: z.array(text('Usual kit', 80)).max(40, 'Forty at most.'),
  assemblies: z.array(text('Assembly', 60)).max(60, 'Sixty at most.'),
  knownFaults: z.array(text('Known fault', 300)).max(60, 'Sixty at most.'),
  rails: ExpectedRails,
  inlet: InletTyped.nullable().default(null),
  weightKg: optionalQuantity('kg', 'Weight', { above: 0, upTo: 2000 }),
  madeFrom: optionalQuantity('', 'Made from', { above: 1900, upTo: 2100 }),
  madeTo: optionalQuantity('', 'Made to', { above: 1900, upTo: 2100 }),
}

const madeInOrder = <T extends { madeFrom: number | null; madeTo: number | null }>({ madeFrom, madeTo }: T, context: z.RefinementCtx<T>) => {
  if (madeFrom !== null && madeTo !== null && madeTo < madeFrom)
    context.addIssue({ code: 'custom', path: ['madeTo'], message: 'Made to: this year lies before the first one.' })
}

export const onCollection = {
  'add-model': command(atTheBench, z.object(Model).superRefine(madeInOrder)),
  'change-model': command(atTheBench, z.object({ modelId: id, version, ...Model }).superRefine(madeInOrder)),
} as const
