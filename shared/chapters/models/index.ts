import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** What is known of each model. */
export const models = chapter({ name: 'models', onMachine, onCollection, entries, view })
export { ModelPage, ModelView, type SpelledOtherwise } from './view'
