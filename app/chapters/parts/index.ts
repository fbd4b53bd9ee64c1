/** What other chapters may show of this one. */
export { default as PartsCard } from './PartsCard.vue'
