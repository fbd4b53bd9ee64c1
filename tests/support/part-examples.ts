import type { EntryData, EntryKind } from '#shared/chapters/index'

type OfParts = Extract<
  EntryKind,
  `part.${'wanted' | 'changed' | 'settled'}` | `held.${string}` | `offer.${string}` | 'order.placed' | 'wants.shown' | 'board.set'
>

const membrane = {
  name: 'Gannet membrane',
  condition: 'new',
  lies: 'Box B',
  source: 'Varnsund Pilot Office',
  unitPrice: 18.5,
  dateCode: '',
  lender: '',
  backBy: null,
  note: '',
  keepAtLeast: null,
  kind: null,
  spec: {},
} as const

/** Entries about parts with what each says; see `entry-examples.ts`. */
export const ofParts: { [K in OfParts]: [EntryData<K>, string] } = {
  'part.wanted': [
    {
      name: 'Fuse',
      quantity: 2,
      stops: 'function',
      affects: 'Sound',
      place: 'Main board, F2',
      workaround: 'headphones',
      byWhen: '2026-05-01',
      wouldDo: 'Fuse 0.8 A: blows early\nWire link',
      forFirstStart: '',
      kind: 'fuse',
      spec: { ratingA: 1, speed: 'slow' },
      seeker: 'Rua Tamihana',
    },
    'Wanted: 2 × Fuse (1 A, slow (T)), for Main board, F2; without it there is no sound; until then: headphones; wanted by 2026-05-01; would do: Fuse 0.8 A: blows early, Wire link; Rua Tamihana looks for it.',
  ],
  'part.changed': [
    {
      name: 'Fuse',
      quantity: 1,
      stops: 'start',
      affects: '',
      place: '',
      workaround: '',
      byWhen: null,
      wouldDo: '',
      forFirstStart: '',
      kind: null,
      spec: {},
      seeker: '',
    },
    'Wanted, as it now reads: 1 × Fuse; cannot be started without it.',
  ],
  'held.added': [
    { ...membrane, count: 2, at: 'shelf', donor: null, dueBy: null },
    '2 × Gannet membrane: on the shelf; new; from Varnsund Pilot Office; it lies in Box B.',
  ],
  'held.changed': [{ ...membrane, dueBy: null }, 'Gannet membrane, as it now reads: new; from Varnsund Pilot Office; it lies in Box B.'],
  'held.moved': [
    {
      name: 'Gannet membrane',
      count: 1,
      from: 'shelf',
      to: 'fitted',
      out: null,
      into: 'M-2026-004',
      holder: '',
      dueBy: null,
      lies: '',
      condition: 'new',
      tested: 'tails held against the old one',
    },
    '1 × Gannet membrane: on the shelf before, now fitted in M-2026-004; new: tails held against the old one.',
  ],
  'held.written-off': [
    { name: 'Gannet membrane', count: 1, holder: 'Rua Tamihana', reason: 'broke on the way' },
    '1 × Gannet membrane, lent to Rua Tamihana, written off: broke on the way.',
  ],
  'held.given': [
    { name: 'Petrel modulator', count: 1, holder: 'Varnsund Pilot Office', inReturn: 'a Gannet membrane' },
    '1 × Petrel modulator given to Varnsund Pilot Office, for a Gannet membrane.',
  ],
  'held.put': [{ parts: ['2 × Gannet membrane', '1 × Fan'], lies: 'Box B' }, 'Put in Box B: 2 × Gannet membrane, 1 × Fan.'],
  'held.spared': [{ name: 'Petrel modulator', spared: true }, 'Petrel modulator can be spared.'],
  'order.placed': [
    { supplier: 'a shop abroad', dueBy: '2026-05-01', lines: 2, cost: '€12.40' },
    'Ordered from a shop abroad: 2 lines, for €12.40; expected by 2026-05-01.',
  ],
  'wants.shown': [{ shows: true, says: 'It ran the ferry' }, 'What it wants is on the public list: It ran the ferry.'],
  'board.set': [{ open: true, greeting: 'Hello' }, 'The public list of parts is open to anybody.'],
  'offer.made': [{ name: 'Fuse', kind: 'have' }, 'I have one: Fuse.'],
  'offer.taken-up': [{ name: 'Fuse', kind: 'have', who: 'Oona Vehvi', terms: 'given' }, 'Oona Vehvi’s offer taken up: Fuse, given.'],
  'offer.cleared': [{ name: 'Fuse', taken: false }, 'An offer of Fuse was turned down; what was said is forgotten.'],
  'part.settled': [{ name: 'Fuse', outcome: 'fitted' }, 'Fuse: found and fitted.'],
}
