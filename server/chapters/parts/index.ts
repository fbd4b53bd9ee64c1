import { serverChapter } from '../../kernel/chapter'
import { acceptAllocation } from './allocation'
import { placeOrder } from './buying'
import { changePart, declinePart, settlePart, wantPart } from './carry-out'
import { facts } from './facts'
import { changeHeld, giveAway, holdPart, meetNeed, moveHeldParts, putHere, sparePart, takeOutPart, writeOffLoan } from './ledger'
import { partsCost } from './money'
import { rows } from './rows'
import * as schema from './schema'
import { partsView } from './view'

/** Parts that are wanted, and the ledger of those that are held: what can be done, and what is loaded with a machine. */
export const partsChapter = serverChapter({
  name: 'parts',
  schema,
  facts,
  view: partsView,
  onMachine: {
    'want-part': wantPart,
    'change-part': changePart,
    'settle-part': settlePart,
    'decline-part': declinePart,
    'meet-need': meetNeed,
    'take-out-part': takeOutPart,
  },
  onCollection: {
    'accept-allocation': acceptAllocation,
    'hold-part': holdPart,
    'change-held': changeHeld,
    'move-held': moveHeldParts,
    'give-away': giveAway,
    'place-order': placeOrder,
    'put-here': putHere,
    'spare-part': sparePart,
    'write-off-loan': writeOffLoan,
  },
  rows,
  costs: partsCost,
  privateWords: ({ heldParts }) => heldParts.flatMap(h => [h.source, h.lender, h.holder].filter(Boolean).map(word => ({ word, kind: 'giver' as const }))),
})
export * from './allocation'
export * from './buying'
export * from './carry-out'
export * from './csv'
export { fitFromShelf, holdPart, nothingKnown } from './ledger'
export * from './money'
export * from './schema'
export * from './view'
