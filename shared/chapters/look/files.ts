/** What a photograph may be, and the copies that are made of it: longest edge in pixels. */
export const largestPhotographBytes = 30e6
export const photographSizes = { thumb: 360, working: 2000, full: 4800 } as const
export type PhotographSize = keyof typeof photographSizes

export const photographUrl = (hash: string, size: PhotographSize) => `/api/files/${hash}/${size}`

/** What the server says of a file that it has taken in. */
export interface FileKept {
  hash: string
  bytes: number
  widthPx: number
  heightPx: number
  takenAt: string
}
