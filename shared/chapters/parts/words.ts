export const partOutcomes = ['wanted', 'fitted', 'not-needed'] as const

export type PartOutcome = (typeof partOutcomes)[number]

export const partOutcomeNames: Record<PartOutcome, string> = { 'wanted': 'Wanted', 'fitted': 'Found and fitted', 'not-needed': 'No longer needed' }

/** Where a part may be when it is put on record; from there it moves. */
export const heldAtFirst = ['shelf', 'arrived', 'ordered', 'pledged', 'donor'] as const
