export * from '../../kernel/photograph-sizes'

/** What a photograph may be. */
export const largestPhotographBytes = 30e6

/** What the server says of a file that it has taken in. */
export interface FileKept {
  hash: string
  bytes: number
  widthPx: number
  heightPx: number
  takenAt: string
}
