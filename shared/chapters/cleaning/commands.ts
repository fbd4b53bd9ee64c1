import { z } from 'zod'
import { command } from '../../kernel/contract'
import { optionalText, text } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

export const onMachine = {
  'record-cleaning': command(
    atTheBench,
    z.object({ what: text('What was cleaned', 200), withWhat: text('With what', 200), byWhom: optionalText('By whom', 80) }),
  ),
} as const

export const onCollection = {} as const
