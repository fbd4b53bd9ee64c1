/** What other chapters may show of this one. */
export { default as SisterBulletins } from './SisterBulletins.vue'
