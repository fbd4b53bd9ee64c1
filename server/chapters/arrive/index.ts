import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { arriveView } from './view'
import {
  addClaim,
  bookIn,
  bookInLot,
  bookSlice,
  correctIdentity,
  joinModel,
  judgeClaim,
  keepDateCode,
  moveToPlace,
  moveToStage,
  noteAccessory,
  putOnBench,
} from './carry-out'
import { rows } from './rows'
import { search } from './search'
import { accessories, claims, dateCodes } from './schema'

/** Arrive: what can be done, and what is loaded with a machine. */
export const arriveChapter = serverChapter({
  name: 'arrive',
  slice: bookSlice,
  schema,
  facts,
  view: arriveView,
  onMachine: {
    'correct-identity': correctIdentity,
    'join-model': joinModel,
    'add-claim': addClaim,
    'judge-claim': judgeClaim,
    'note-accessory': noteAccessory,
    'read-date-code': keepDateCode,
    'move-to-stage': moveToStage,
    'move-to-place': moveToPlace,
    'put-on-bench': putOnBench,
  },
  onCollection: { 'book-in': bookIn, 'book-in-lot': bookInLot },
  rows,
  privateWords: ({ machine, claims }) => [
    { word: machine.owner, kind: 'owner' },
    { word: machine.fromWhom, kind: 'giver' },
    { word: machine.place, kind: 'place' },
    { word: machine.lastPoweredBy, kind: 'person' },
    ...claims.map(c => ({ word: c.byWhom, kind: 'giver' as const })),
  ],
  search,
  strikeable: { claims, accessories, date_codes: dateCodes },
})
export * from './carry-out'
export * from './schema'
export * from './view'
