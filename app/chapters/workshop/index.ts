/** What other chapters may show of this one. */
export { default as SharedThingsCard } from './SharedThingsCard.vue'
export { default as UsedFromShelf } from './UsedFromShelf.vue'
