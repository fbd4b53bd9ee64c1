import { serverChapter } from '../../kernel/chapter'
import { acceptAllocation } from './allocation'
import { changePart, settlePart, wantPart } from './carry-out'
import { facts } from './facts'
import { changeHeld, holdPart, meetNeed, moveHeldParts, takeOutPart, writeOffLoan } from './ledger'
import { rows } from './rows'
import * as schema from './schema'
import { partsView } from './view'

/** Parts that are wanted, and the ledger of those that are held: what can be done, and what is loaded with a machine. */
export const partsChapter = serverChapter({
  name: 'parts',
  schema,
  facts,
  view: partsView,
  onMachine: { 'want-part': wantPart, 'change-part': changePart, 'settle-part': settlePart, 'meet-need': meetNeed, 'take-out-part': takeOutPart },
  onCollection: {
    'accept-allocation': acceptAllocation,
    'hold-part': holdPart,
    'change-held': changeHeld,
    'move-held': moveHeldParts,
    'write-off-loan': writeOffLoan,
  },
  rows,
  privateWords: ({ heldParts }) => heldParts.flatMap(h => [h.source, h.lender, h.holder].filter(Boolean).map(word => ({ word, kind: 'giver' as const }))),
})
export * from './allocation'
export * from './carry-out'
export * from './csv'
export { fitFromShelf } from './ledger'
export * from './schema'
export * from './view'
