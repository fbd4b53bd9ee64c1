import type { CommandRequest } from '#shared/chapters/index'
import type { OfferMade } from '#shared/chapters/sought/index'

/** What stands above the public list, which machines are on it, and what people have said to it. */
export const greeting =
  'We bring the computers of harbours, ferries and lighthouses back to life, on Tuesday and Thursday evenings. If one of these lies in a loft of yours, write a line: we come and fetch it, and say where it went.'

export const shown: readonly { nickname: string; says: string; picture?: true }[] = [
  { nickname: 'Ferry accounts', says: 'It kept the accounts of a ferry; all it lacks is a picture.', picture: true },
  { nickname: 'Lifeboat house', says: 'It stood in the sea for a tide, and is nearly dry.', picture: true },
  { nickname: 'Radio hut', says: '' },
]

/** Said from outside, by the name of the part. */
export const offers: readonly (Omit<OfferMade, 'about'> & { part: string })[] = [
  {
    part: 'Video card for the Spindrift',
    kind: 'have',
    who: 'Ottilie Brask',
    reach: 'ottilie@post.example',
    says: 'I have a card that fits the long slot, out of a clone of my father’s. It gave a picture ten years ago. You can have it; the post here goes on Fridays.',
  },
  {
    part: '80 mm fan, 12 V',
    kind: 'know',
    who: 'Kerbrat, harbour electrician',
    reach: 'by the harbour office, mornings',
    says: 'The chandlery had a box of them under the stairs last winter.',
  },
]
/** Said by somebody of the house. */
export const ofTheHouse: Omit<CommandRequest<'offer-part'>, 'partId'> & { part: string } = {
  part: '40-pin turned-pin socket',
  kind: 'have',
  says: 'Two of them at home, unused, in the tin with the crystals. I bring them on Thursday.',
}
