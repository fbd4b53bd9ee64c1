import { type RowsOf, all } from '../../kernel/rows'
import { boardPictures, patches, probeSheets } from './schema'

export const rows = { boardPictures: all(boardPictures), probeSheets: all(probeSheets), patches: all(patches) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
