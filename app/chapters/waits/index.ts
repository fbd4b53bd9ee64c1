/** What other chapters may show of this one. */
export { default as WaitsCard } from './WaitsCard.vue'
