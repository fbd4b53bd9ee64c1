/** What other chapters may show of this one. */
export { default as CheckList } from './CheckList.vue'
export { default as RailsCard } from './RailsCard.vue'
