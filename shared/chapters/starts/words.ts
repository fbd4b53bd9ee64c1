export const startOutcomes = ['all-read', 'some-read', 'called-off', 'broken-off'] as const

export type StartOutcome = (typeof startOutcomes)[number]

export const startOutcomeNames: Record<StartOutcome, string> = {
  'all-read': 'Every rail was read',
  'some-read': 'Ended before every rail was read',
  'called-off': 'Called off',
  'broken-off': 'Broken off',
}
