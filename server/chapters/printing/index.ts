import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { dropLabel, printAgain, printLabels, setPrinter } from './carry-out'

/** Labels on a printer in the network: what can be done. Sending them is `server/printing`. */
export const printingChapter = serverChapter({
  name: 'printing',
  schema,
  onCollection: { 'set-printer': setPrinter, 'print-labels': printLabels, 'print-again': printAgain, 'drop-label': dropLabel },
})
export * from './carry-out'
export * from './schema'
