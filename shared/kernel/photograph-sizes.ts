/** The copies that are made of a photograph: longest edge in pixels. */
export const photographSizes = { thumb: 360, working: 2000, full: 4800 } as const
export type PhotographSize = keyof typeof photographSizes

/** Where a copy is fetched, by the hash of the photograph's file. */
export const photographUrl = (hash: string, size: PhotographSize) => `/api/files/${hash}/${size}`
