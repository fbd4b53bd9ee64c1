import { z } from 'zod'
import { command } from '../../kernel/contract'
import { atTheBench } from '../../kernel/roles'
import { StartTyped } from './shapes'

export const onMachine = {
  'begin-start': command(atTheBench, z.object(StartTyped), { asks: 'start' }),
  'end-start': command(atTheBench, z.object({})),
} as const
