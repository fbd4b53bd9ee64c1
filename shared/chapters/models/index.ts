import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** What is known of each model. */
export const models = chapter({ name: 'models', onCollection, entries })
export { ModelPage, ModelView, type SpelledOtherwise } from './view'
export { Model } from './rows'
