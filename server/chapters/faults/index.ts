import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { faultsView } from './view'
import {
  changeFault,
  holdTheory,
  judgeTheory,
  keepBenchMap,
  keepJudgement,
  leaveFault,
  noteCode,
  observeFault,
  repairFault,
  reportFault,
  setSwapParts,
  tryOnFault,
} from './carry-out'
import { ofFaults, rows } from './rows'
import { search } from './search'
import { observations } from './schema'

/** Faults: what can be done, and what is loaded with a machine. */
export const faultsChapter = serverChapter({
  name: 'faults',
  relations: ofFaults,
  card: { openFaults: ({ faults }) => faults.filter(f => f.open).map(f => f.symptom) },
  schema,
  facts,
  view: faultsView,
  onMachine: {
    'report-fault': reportFault,
    'change-fault': changeFault,
    'observe-fault': observeFault,
    'repair-fault': repairFault,
    'try-on-fault': tryOnFault,
    'set-swap-parts': setSwapParts,
    'keep-judgement': keepJudgement,
    'hold-theory': holdTheory,
    'judge-theory': judgeTheory,
    'leave-fault': leaveFault,
  },
  onCollection: { 'note-code': noteCode, 'keep-bench-map': keepBenchMap },
  rows,
  search,
  strikeable: { observations },
})
export * from './carry-out'
export * from './schema'
export * from './view'
