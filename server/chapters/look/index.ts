import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { lookView, portraitOf } from './view'
import {
  addAssembly,
  addPhotograph,
  changeDamage,
  choosePortrait,
  describePhotograph,
  gradeAssembly,
  keepCorrosion,
  leaveAsPatina,
  logIntervention,
  recordDamage,
  setScale,
  settleCheck,
  settleIntervention,
} from './carry-out'
import { rows } from './rows'
import { search } from './search'
import { checksDone, corrosions, damages, interventions, photographs } from './schema'

/** Look: what can be done, and what is loaded with a machine. */
export const lookChapter = serverChapter({
  name: 'look',
  schema,
  facts,
  head: { portrait: ({ file }) => portraitOf(file) },
  card: { portrait: file => portraitOf(file)?.hash ?? null },
  view: lookView,
  onMachine: {
    'add-assembly': addAssembly,
    'grade-assembly': gradeAssembly,
    'record-damage': recordDamage,
    'change-damage': changeDamage,
    'leave-as-patina': leaveAsPatina,
    'settle-check': settleCheck,
    'add-photograph': addPhotograph,
    'describe-photograph': describePhotograph,
    'choose-portrait': choosePortrait,
    'set-scale': setScale,
    'keep-corrosion': keepCorrosion,
    'log-intervention': logIntervention,
    'settle-intervention': settleIntervention,
  },
  rows,
  search,
  strikeable: { damages, photographs, corrosions, checks_done: checksDone, interventions },
})
export * from './carry-out'
export * from './schema'
export * from './view'
