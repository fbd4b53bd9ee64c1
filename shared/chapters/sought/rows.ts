import { z } from 'zod'
import { offerKindNames, soughtKeyPattern } from '#core/sharing/sought'
import { oneOf, optionalText, text } from '../../kernel/fields'

/** What anybody may send to a line of the list: who they are, how they are reached, and what they have to say. */
export const OfferMade = z.object({
  about: z.string().regex(soughtKeyPattern, 'About: choose a line of the list.'),
  kind: oneOf(offerKindNames, 'What you can do'),
  who: text('Your name', 80),
  reach: text('How we reach you', 120),
  says: text('What you have to say', 600),
})
export type OfferMade = z.infer<typeof OfferMade>

/** The list as a whole: whether anybody may read it, and what stands above it. */
export const boardFields = { open: z.boolean(), greeting: optionalText('Above the list', 600) }
