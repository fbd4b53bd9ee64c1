/** What other chapters may show of this one. */
export { default as RecapCard } from './RecapCard.vue'
export { default as RecapOrder } from './RecapOrder.vue'
