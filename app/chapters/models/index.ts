/** What other chapters may show of this one. */
export { modelNamed } from './composables/models'
export { useModels } from './composables/useModels'
