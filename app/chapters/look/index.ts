/** What other chapters may show of this one. */
export { default as PhotographForIt } from './PhotographForIt.vue'
export { default as PhotographsCard } from './PhotographsCard.vue'
