/**
 * What kind of wait it is decides what the gate hears of it, and a person says which. Words only propose: a wait that nobody has said of is read
 * as they propose, and shown so until somebody looks. Common practice, no source.
 */
export const waitKinds = {
  wet: { title: 'Wet', means: 'It dries, soaks, or was just washed.', gate: 'stop' },
  curing: { title: 'Curing', means: 'Lacquer, mask or glue hardens.', gate: 'stop' },
  hot: { title: 'Hot', means: 'In the oven, or cooling.', gate: 'stop' },
  away: { title: 'Away', means: 'Part of it is elsewhere, or being worked on.', gate: 'care' },
  post: { title: 'The post', means: 'Something is on its way; the machine is as it was.', gate: null },
  owner: { title: 'An answer', means: 'Somebody is asked; the machine is as it was.', gate: null },
  test: { title: 'A test', means: 'It runs or rests, and nothing of it is undone.', gate: null },
  other: { title: 'Something else', means: 'Not recorded what it waits for, so it is treated with caution.', gate: 'care' },
} as const satisfies Record<string, { title: string; means: string; gate: 'stop' | 'care' | null }>
export type WaitKind = keyof typeof waitKinds
export const waitKindNames = Object.keys(waitKinds) as WaitKind[]

/** What people write of each, the most dangerous first: what may be wet is not taken for what is in the post. */
const words: [WaitKind, RegExp][] = [
  ['hot', /\b(ovens?|bak(es?|ed|ing)|warm(ing|s)? up|cool(s|ed|ing)?( down)?)\b/i],
  ['curing', /\b(hardens?|hardening|cur(es?|ed|ing)|varnish(ed|ing)?|lacquer(ed|ing)?|(solder|uv) mask|glue[ds]?|epoxy|resin|paint(ed)?)\b/i],
  [
    'wet',
    /\b(dry|dries|dried|drying|wet|damp|rins\w*|wash(es|ed|ing)?|soak(s|ed|ing)?(?! test)|baths?|neutralis\w*|vinegar|citric|alcohol|isopropyl|ipa|peroxide|soap|suds|water|steam\w*|submerged)\b/i,
  ],
  ['test', /\b(soak tests?|overnight|without mains|runs?|running|clock)\b/i],
  ['owner', /\b(answers?|repl(y|ies)|letters?|owners?|quotes?|asked)\b/i],
  ['away', /\b(on loan|lent|borrowed|at the workshop|sent away|being (repaired|rewound|worked on))\b/i],
  ['post', /\b(post|parcels?|deliver\w*|orders?|ordered|arriv\w*|parts?|from)\b/i],
]

/** The kind that words propose; `other` where they say nothing that is known. */
export const proposedWaitKind = (what: string): WaitKind => words.find(([, said]) => said.test(what))?.[0] ?? 'other'
/** The kind that holds: the one that was said, else the one that words propose. */
export const waitKindOf = ({ what, kind }: { what: string; kind: WaitKind | null }): WaitKind => kind ?? proposedWaitKind(what)
/** Whether something of the machine is wet, hot or hardening in it. */
export const keepsOff = (kind: WaitKind): boolean => waitKinds[kind].gate === 'stop'
