/** What other chapters may show of this one. */
export { default as SettingsFoundCard } from './SettingsFoundCard.vue'
