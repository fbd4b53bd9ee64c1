import { serverChapter } from '../../kernel/chapter'
import { eq } from 'drizzle-orm'
import { machines, models } from '../../kernel/trunk'
import { addModel, changeModel } from './carry-out'

/** Models: what can be done, with its rules in the core. */
export const modelsChapter = serverChapter({
  name: 'models',
  rests: { model: { table: models, of: ({ machine }) => machine.modelId } },
  scopes: { model: id => eq(machines.modelId, id) },
  onCollection: { 'add-model': addModel, 'change-model': changeModel },
})
export * from './carry-out'
export { models } from '../../kernel/trunk'
export * from './view'

declare module '../../kernel/file' {
  interface MachineFile {
    model: typeof models.$inferSelect | null
  }
}
