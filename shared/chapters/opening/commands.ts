import { z } from 'zod'
import { command } from '../../kernel/contract'
import { bounded, id, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { OpeningStep } from './rows'

const Step = { ...OpeningStep.typed, photographId: id.nullable().default(null) }

export const onMachine = {
  'record-opening-step': command(atTheBench, z.object(Step), { asks: 'open' }),
  'change-opening-step': command(atTheBench, z.object({ stepId: id, version, ...Step })),
  'reuse-opening': command(atTheBench, z.object({ fromTag: text('From which machine', 40) })),
  'count-back': command(
    atTheBench,
    z.object({
      stepId: id,
      version,
      back: z.array(bounded('Counted back', { from: 0, upTo: 400 }).pipe(z.number().int('Counted back: a whole number, please.'))).max(12),
    }),
  ),
} as const
