/** What other chapters may show of this one. */
export { default as ConsentCard } from './ConsentCard.vue'
export { default as LettersCard } from './LettersCard.vue'
export { default as PathsCard } from './PathsCard.vue'
export { default as SpendingCard } from './SpendingCard.vue'
