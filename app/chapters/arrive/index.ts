/** What other chapters may show of this one. */
export { default as DateCodeForm } from './DateCodeForm.vue'
