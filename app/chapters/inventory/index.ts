/** What other chapters may show of this one. */
export { default as InventoryCard } from './InventoryCard.vue'
export { default as InventoryFindings } from './InventoryFindings.vue'
