/** What other chapters may show of this one. */
export { default as CapacitorFields } from './CapacitorFields.vue'
export { default as AllocationCard } from './AllocationCard.vue'
export { default as PartsCard } from './PartsCard.vue'
export { default as SpecFields } from './SpecFields.vue'
export { default as HeldCard } from './HeldCard.vue'
export { default as WantedCards } from './WantedCards.vue'
