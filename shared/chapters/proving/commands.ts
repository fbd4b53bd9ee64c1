import { z } from 'zod'
import { command } from '../../kernel/contract'
import { text } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

export const onMachine = { 'sign-off': command(atTheBench, z.object({ statement: text('What was tested', 1000) })) } as const

export const onCollection = {} as const
