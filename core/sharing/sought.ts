/** What somebody may say to a part on the list of what is sought and spared. */
export const offerKinds = {
  have: { title: 'I have one', asks: 'What you have, how it is, and whether you give, lend or swap it' },
  know: { title: 'I know somebody', asks: 'Who has one, or where you saw it' },
  want: { title: 'I could use one', asks: 'What you would use it for' },
} as const
export type OfferKind = keyof typeof offerKinds
export const offerKindNames = Object.keys(offerKinds) as [OfferKind, ...OfferKind[]]

/** A line of the list: something that is sought here, or something that can be spared. */
export type SoughtKey = `w${number}` | `s${number}`
export const soughtKeyPattern = /^[ws][1-9]\d{0,9}$/
/** What may be said to which: to what is sought, that there is one; to what is spared, that it is wanted. */
export const kindsFor = (key: string): OfferKind[] => (key.startsWith('s') ? ['want'] : ['have', 'know'])

/** So many offers wait to be looked at, of anybody; then no more are taken until somebody has looked. */
export const mostWaitingOffers = 200

/** How a part comes to the house that was offered. */
export const offerTerms = { given: 'Given', lent: 'Lent', swapped: 'Swapped', bought: 'Bought' } as const
export type OfferTerms = keyof typeof offerTerms
export const offerTermNames = Object.keys(offerTerms) as [OfferTerms, ...OfferTerms[]]
