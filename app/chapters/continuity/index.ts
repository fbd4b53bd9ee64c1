/** What other chapters may show of this one. */
export { default as ProbeCard } from './ProbeCard.vue'
