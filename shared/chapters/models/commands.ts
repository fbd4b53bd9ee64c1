import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { Model } from './rows'

const madeInOrder = <T extends { madeFrom: number | null; madeTo: number | null }>({ madeFrom, madeTo }: T, context: z.RefinementCtx<T>) => {
  if (madeFrom !== null && madeTo !== null && madeTo < madeFrom)
    context.addIssue({ code: 'custom', path: ['madeTo'], message: 'Made to: this year lies before the first one.' })
}

export const onCollection = {
  'add-model': command(atTheBench, z.object(Model.typed).superRefine(madeInOrder)),
  'change-model': command(atTheBench, z.object({ modelId: id, version, ...Model.typed }).superRefine(madeInOrder)),
} as const
