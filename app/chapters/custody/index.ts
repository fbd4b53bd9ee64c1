/** What other chapters may show of this one. */
export { default as AwayCard } from './AwayCard.vue'
