/** How a yellowed part is treated. */
export const exposureKinds = { cream: 'Cream under film', bath: 'Bath', vapour: 'Vapour', sun: 'Sun', lamp: 'Under the lamp' } as const
export type ExposureKind = keyof typeof exposureKinds
