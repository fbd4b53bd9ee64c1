/** What other chapters may show of this one. */
export { default as FirstStartCard } from './FirstStartCard.vue'
