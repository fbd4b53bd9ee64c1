/** What becomes of something that broke at the bench. */
export const breakageOutcomes = { part: 'A part wanted', fault: 'A repair to be made', nothing: 'Nothing: it is only noted' } as const

/** What bare copper is sealed with. */
export const sealants = { mask: 'Mask cured by ultraviolet', lacquer: 'Plain lacquer', tin: 'Tinned with solder' } as const
export type Sealant = keyof typeof sealants

/** How a yellowed part is treated. */
export const exposureKinds = { cream: 'Cream under film', bath: 'Bath', vapour: 'Vapour', sun: 'Sun', lamp: 'Under the lamp' } as const
export type ExposureKind = keyof typeof exposureKinds
