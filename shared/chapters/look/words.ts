export const checkOutcomes = ['nothing', 'found'] as const

export type CheckOutcome = (typeof checkOutcomes)[number]

export const checkOutcomeNames: Record<CheckOutcome, string> = { nothing: 'Nothing found', found: 'Something found' }
