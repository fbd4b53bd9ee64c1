import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, roughDay, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

export const onMachine = {
  'report-fault': command(atTheBench, z.object({ symptom: text('Symptom', 200), firstSeen: roughDay('First seen'), stopsMachine: z.boolean().default(true) })),
  'change-fault': command(atTheBench, z.object({ faultId: id, version, symptom: text('Symptom', 200), stopsMachine: z.boolean() })),
  'observe-fault': command(atTheBench, z.object({ faultId: id, says: text('Observation', 1000) })),
  'repair-fault': command(atTheBench, z.object({ faultId: id, did: text('What was done', 1000), closes: z.boolean() })),
} as const

export const onCollection = {} as const
