import { serverChapter } from '../../kernel/chapter'
import { addModel, changeModel } from './carry-out'

/** Models: what can be done, with its rules in the core. */
export const modelsChapter = serverChapter({ onCollection: { 'add-model': addModel, 'change-model': changeModel } })
export * from './carry-out'
export * from './schema'
export * from './view'
