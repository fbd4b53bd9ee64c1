/** What becomes of something that broke at the bench. */
export const breakageOutcomes = { part: 'A part wanted', fault: 'A repair to be made', nothing: 'Nothing: it is only noted' } as const

/** How a yellowed part is treated. */
export const exposureKinds = { cream: 'Cream under film', bath: 'Bath', vapour: 'Vapour', sun: 'Sun', lamp: 'Under the lamp' } as const
export type ExposureKind = keyof typeof exposureKinds
