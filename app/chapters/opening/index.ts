/** What other chapters may show of this one. */
export { default as OpeningCard } from './OpeningCard.vue'
