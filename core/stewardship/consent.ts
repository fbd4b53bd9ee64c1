import { type Finding, finding } from '../kernel/finding'
import { money } from '../kernel/money'

/** Kinds of work that an owner is asked about. */
export const worksAsked = {
  open: 'Open it and look',
  clean: 'Clean it',
  start: 'Start it',
  repair: 'Repair with like parts',
  substitute: 'Fit substitute parts',
  cosmetic: 'Change how it looks: whiten, paint, polish',
  show: 'Show it to the public',
  donor: 'Take parts from it',
} as const
export type WorkAsked = keyof typeof worksAsked
/** What a letter asks for each. */
export const questionOf: Record<WorkAsked, string> = {
  open: 'May we open it and look inside?',
  clean: 'May we clean it?',
  start: 'May we start it, attended and with limited current?',
  repair: 'May we repair it with like parts?',
  substitute: 'May we fit substitute parts where like ones cannot be had?',
  cosmetic: 'May we change how it looks, such as by whitening yellowed parts?',
  show: 'May we show it to the public, here and by its public record?',
  donor: 'May we take parts from it for another machine?',
}

/** What the owner of a machine that is not ours has agreed to. */
export interface Consent {
  allowed: WorkAsked[]
  /** Up to what cost nobody has to ask again, in the currency of the collection. */
  upTo: number
  /** What must be asked before it is done, in words. */
  mustAsk: string
}

export interface SpendingInput {
  /** Whether the machine belongs to the collection. */
  ours: boolean
  consent: Consent | null
  spentSoFar: number
  amount: number
  currency: string
}

/**
 * Whether money may be spent on a machine. What is not the collection's own is spent on up to what its owner agreed to, and not a cent further.
 * @returns a stop with the reason, or what is left afterwards
 */
export function judgeSpending({ ours, consent, spentSoFar, amount, currency }: SpendingInput): Finding[] {
  const after = spentSoFar + amount
  if (ours)
    return [
      finding('fine', 'spending.own', `The collection’s own machine: ${money(after, currency)} in all.`, `${money(spentSoFar, currency)} was spent before.`),
    ]
  if (!consent)
    return [
      finding(
        'stop',
        'spending.no-consent',
        'Nothing may be spent on it yet.',
        'It belongs to somebody else, and what its owner agreed to has not been recorded. Ask first.',
      ),
    ]
  // Sums of cents end a hair beside the limit they meet.
  if (after > consent.upTo + 1e-6) {
    return [
      finding('stop', 'spending.beyond', `That is more than the owner approved: ${money(consent.upTo, currency)}.`, [
        `${money(spentSoFar, currency)} was spent before; with ${money(amount, currency)} it would be ${money(after, currency)}.`,
        'Write to the owner, and record the answer.',
      ]),
    ]
  }
  return [
    finding(
      'fine',
      'spending.within',
      `${money(consent.upTo - after, currency)} is left of what the owner approved.`,
      `${money(after, currency)} of ${money(consent.upTo, currency)}.`,
    ),
  ]
}

/** What must be asked of the owner before a kind of work is done. Empty for the collection's own. */
export function mustAskBefore(work: WorkAsked, ours: boolean, consent: Consent | null): Finding[] {
  if (ours || consent?.allowed.includes(work)) return []
  return [
    finding(
      'stop',
      'consent.ask',
      `Ask the owner first: ${worksAsked[work].charAt(0).toLowerCase()}${worksAsked[work].slice(1)}.`,
      consent ? 'It is not among what they agreed to.' : 'No consent has been recorded.',
    ),
  ]
}
