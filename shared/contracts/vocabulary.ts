/** Words that are kept in the database and shown on screen, with the same meaning in both. */
export const roles = ['coordinator', 'volunteer', 'reader'] as const
export type Role = (typeof roles)[number]
export const roleNames: Record<Role, string> = { coordinator: 'Coordinator', volunteer: 'Volunteer', reader: 'Reader' }

export const acquisitions = ['given', 'bought', 'found', 'lent', 'for-repair'] as const
export type Acquisition = (typeof acquisitions)[number]
export const acquisitionNames: Record<Acquisition, string> = { 'given': 'Given', 'bought': 'Bought', 'found': 'Found', 'lent': 'Lent to us', 'for-repair': 'For repair only' }
/** Ways of coming in that leave the machine somebody else's. */
export const notOurs: readonly Acquisition[] = ['lent', 'for-repair']

export const claimVerdicts = ['open', 'confirmed', 'refuted', 'undecided'] as const
export type ClaimVerdict = (typeof claimVerdicts)[number]
export const claimVerdictNames: Record<ClaimVerdict, string> = { open: 'Not tested yet', confirmed: 'Confirmed', refuted: 'Refuted', undecided: 'Undecided' }

export const checkOutcomes = ['nothing', 'found'] as const
export type CheckOutcome = (typeof checkOutcomes)[number]
export const checkOutcomeNames: Record<CheckOutcome, string> = { nothing: 'Nothing found', found: 'Something found' }

export const partOutcomes = ['wanted', 'fitted', 'not-needed'] as const
export type PartOutcome = (typeof partOutcomes)[number]
export const partOutcomeNames: Record<PartOutcome, string> = { 'wanted': 'Wanted', 'fitted': 'Found and fitted', 'not-needed': 'No longer needed' }

export const startOutcomes = ['all-read', 'some-read', 'called-off', 'broken-off'] as const
export type StartOutcome = (typeof startOutcomes)[number]
export const startOutcomeNames: Record<StartOutcome, string> = { 'all-read': 'Every rail was read', 'some-read': 'Ended before every rail was read', 'called-off': 'Called off', 'broken-off': 'Broken off' }
