/** What a claim of a kind tends to mean, and what is worth knowing before it is believed. Common practice, no source. */
const kinds = [
  {
    kind: 'fuse',
    said: /\bfus(e|es)\b/i,
    title: 'only a fuse',
    know: 'A fuse blows for a reason: something drew too much. A new one of the same rating, in a machine nobody has looked into, finds it again with smoke.',
  },
  {
    kind: 'untested',
    said: /\buntested|not tested|never tried\b/i,
    title: 'untested',
    know: 'Often known faulty, with the supply withheld. Ask who powered it last, and what happened.',
  },
  {
    kind: 'worked',
    said: /\bwork(s|ed|ing)\b|\bran\b/i,
    title: 'worked when stored',
    know: 'It worked before it was put away is not the same as it works: machines die in storage.',
  },
  { kind: 'smoke', said: /\bsmok(e|ed|ing)\b|\bbang\b|\bburn(t|ing)\b/i, title: 'smoked', know: 'It stays off until the cause has been found.' },
  { kind: 'dead', said: /\bdead\b|does nothing|no power|won.?t start/i, title: 'dead', know: 'Sometimes it wanted no more than its lead.' },
] as const
export type ClaimKind = (typeof kinds)[number]['kind']

export const claimKinds = Object.fromEntries(kinds.map(k => [k.kind, { title: k.title }])) as Record<ClaimKind, { title: string }>
/** What words of a claim propose; nothing where they say nothing that is known. */
export const proposedClaimKind = (says: string): ClaimKind | null => kinds.find(k => k.said.test(says))?.kind ?? null
/** Of what kind it is: as somebody said, else as its words propose. `other` is like no other. */
export const claimKindOf = ({ says, kind }: ClaimMade): ClaimKind | 'other' | null => kind ?? proposedClaimKind(says)
export interface ClaimMade {
  says: string
  /** As somebody said; nothing where nobody has. */
  kind: ClaimKind | 'other' | null
}

export interface ClaimOutcomes {
  kind: ClaimKind
  /** Such claims as people put them. */
  title: string
  know: string
  confirmed: number
  refuted: number
  undecided: number
  /** Nobody has said yet what became of it. */
  open: number
  says: string
}

/** What claims of the same kind have turned out to be here; nothing for a claim of no known kind. */
export function claimOutcomes(claim: ClaimMade, past: readonly (ClaimMade & { verdict: string })[]): ClaimOutcomes | null {
  const kind = kinds.find(k => k.kind === claimKindOf(claim))
  if (!kind) return null
  const alike = past.filter(c => claimKindOf(c) === kind.kind)
  const n = (verdict: string) => alike.filter(c => c.verdict === verdict).length
  const [confirmed, refuted, undecided, open] = [n('confirmed'), n('refuted'), n('undecided'), n('open')]
  const judged = confirmed + refuted
  const told = judged
    ? `Of ${judged} claims like “${kind.title}” that were looked into here, ${confirmed} ${confirmed === 1 ? 'was' : 'were'} confirmed and ${refuted} refuted.`
    : alike.length
      ? `${alike.length} like it ${alike.length === 1 ? 'was' : 'were'} made here, and none looked into yet.`
      : 'None like it was made here before.'
  return { kind: kind.kind, title: kind.title, know: kind.know, confirmed, refuted, undecided, open, says: told }
}
