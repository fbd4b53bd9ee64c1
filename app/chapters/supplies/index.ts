/** What other chapters may show of this one. */
export { default as InletFields } from './InletFields.vue'
export { default as SupplyCard } from './SupplyCard.vue'
export { typedInlet } from './composables/inlet'
