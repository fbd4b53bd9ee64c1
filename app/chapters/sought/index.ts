/** What other chapters may show of this one. */
export { default as OfferForm } from './OfferForm.vue'
export { default as OffersCard } from './OffersCard.vue'
export { default as WantsShownCard } from './WantsShownCard.vue'
