import { serverChapter } from '../../kernel/chapter'
import { bringBack, lookOverArrival, putOffReturn, takeHome } from './carry-out'
import { moveAssembly } from './move-assembly'
import { facts } from './facts'
import { rows } from './rows'
import * as schema from './schema'
import { custodyView } from './view'

/** What of a machine is away: what can be done, and what is loaded with it. */
export const custodyChapter = serverChapter({
  name: 'custody',
  schema,
  facts,
  view: custodyView,
  onMachine: {
    'take-home': takeHome,
    'move-assembly': moveAssembly,
    'look-over-arrival': lookOverArrival,
    'put-off-return': putOffReturn,
    'bring-back': bringBack,
  },
  rows,
  privateWords: ({ custodies }) => custodies.map(one => ({ word: one.holder, kind: 'giver' as const })),
})
export { dueBack } from './view'
