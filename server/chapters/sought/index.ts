import type { ViewOf } from '#shared/chapters/index'
import { serverChapter } from '../../kernel/chapter'
import { boardOf, clearOffer, offerPart, setBoard, showWants, takeUpOffer } from './carry-out'
import { rows } from './rows'
import * as schema from './schema'

/** What is sought and spared, as anybody may read it: what can be done, and what is loaded with a machine. */
export const soughtChapter = serverChapter({
  name: 'sought',
  schema,
  view: ({ tx, file: { wantsShown, photographs } }): ViewOf<'sought'> => ({
    wantsShown: {
      shows: wantsShown?.shows ?? false,
      says: wantsShown?.says ?? '',
      photographId: wantsShown?.photographId ?? null,
      boardOpen: boardOf(tx).open,
      photographs: photographs.map(({ id, caption, name }) => ({ id, says: caption || name })),
    },
  }),
  onMachine: { 'show-wants': showWants },
  onCollection: { 'set-board': setBoard, 'offer-part': offerPart, 'take-up-offer': takeUpOffer, 'clear-offer': clearOffer },
  rows,
})
export * from './board'
export * from './carry-out'
export * from './feeds'
export * from './schema'
