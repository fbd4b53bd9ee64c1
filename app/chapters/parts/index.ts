/** What other chapters may show of this one. */
export { default as PartsCard } from './PartsCard.vue'
export { default as SpecFields } from './SpecFields.vue'
