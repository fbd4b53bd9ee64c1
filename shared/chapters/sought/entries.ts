import { z } from 'zod'
import { type OfferKind, type OfferTerms, offerKinds, offerTerms } from '#core/sharing/sought'
import { closed, ending, entry } from '../../kernel/contract'
import { word } from '../../kernel/fields'

const s = z.string()

export const entries = {
  'wants.shown': entry(
    z.object({ shows: z.boolean(), says: s }),
    d => (d.shows ? `What it wants is on the public list${d.says ? `: ${ending(d.says)}` : '.'}` : 'What it wants is no longer on the public list.'),
    closed,
  ),
  'board.set': entry(z.object({ open: z.boolean(), greeting: s }), d => `The public list of parts is ${d.open ? 'open to anybody' : 'closed'}.`, closed),
  'offer.made': entry(z.object({ name: s, kind: word<OfferKind>() }), d => `${offerKinds[d.kind].title}: ${d.name}.`, closed),
  'offer.taken-up': entry(
    z.object({ name: s, kind: word<OfferKind>(), who: s, terms: word<OfferTerms>() }),
    d => `${d.who}’s offer taken up: ${d.name}${d.kind === 'have' ? `, ${offerTerms[d.terms].toLowerCase()}` : ''}.`,
    { open: false, names: d => [{ word: d.who, kind: 'giver' }] },
  ),
  'offer.cleared': entry(
    z.object({ name: s, taken: z.boolean() }),
    d => (d.taken ? `An offer of ${d.name} is done with; what was said is forgotten.` : `An offer of ${d.name} was turned down; what was said is forgotten.`),
    closed,
  ),
} as const
