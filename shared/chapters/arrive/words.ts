export const claimVerdicts = ['open', 'confirmed', 'refuted', 'undecided'] as const

export type ClaimVerdict = (typeof claimVerdicts)[number]

export const claimVerdictNames: Record<ClaimVerdict, string> = { open: 'Not tested yet', confirmed: 'Confirmed', refuted: 'Refuted', undecided: 'Undecided' }
