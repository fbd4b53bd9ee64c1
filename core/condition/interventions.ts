/** Signs that somebody was here before. They are logged as found, and undone only with a reason. */
export const interventionKinds = {
  'lifted-leg': 'Lifted leg',
  'added-wire': 'Added wire',
  'cut-lead': 'Cut lead',
  'replaced-part': 'Replaced part',
  'unplugged': 'Unplugged',
  'glue': 'Glue',
  'missing-screw': 'Missing screw',
  'flux': 'Flux left behind',
  'other': 'Something else',
} as const
export type InterventionKind = keyof typeof interventionKinds

export const interventionStates = ['not-understood', 'understood', 'undone'] as const
export type InterventionState = (typeof interventionStates)[number]
export const interventionStateNames: Record<InterventionState, string> = {
  'not-understood': 'Not understood yet',
  'understood': 'Understood',
  'undone': 'Undone',
}
