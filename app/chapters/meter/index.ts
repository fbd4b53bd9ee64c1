/** What other chapters may show of this one. */
export { default as MeterButton } from './MeterButton.vue'
export { speak, useHandsFree } from './composables/useHandsFree'
export { useMeter } from './composables/useMeter'
