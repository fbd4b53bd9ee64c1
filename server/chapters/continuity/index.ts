import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { continuityView } from './view'
import { addBoard, addPairs, addPartPins, changeBoard, setBoardNotes, strikeBoardPin } from './boards'
import { prepareBoard } from './prepare-board'
import { registerBoard } from './pictures'
import { answerProbe, askProbeAgain, beginProbeSheet, endProbeSheet, fitPatch, takeProbe } from './probe'
import { rows } from './rows'

/** Continuity: what can be done, and what is loaded with a machine. */
export const continuityChapter = serverChapter({
  name: 'continuity',
  preparations: { 'add-board': prepareBoard },
  schema,
  facts,
  view: continuityView,
  onMachine: {
    'begin-probe-sheet': beginProbeSheet,
    'register-board': registerBoard,
    'take-probe': takeProbe,
    'answer-probe': answerProbe,
    'ask-probe-again': askProbeAgain,
    'end-probe-sheet': endProbeSheet,
    'fit-patch': fitPatch,
  },
  onCollection: {
    'add-board': addBoard,
    'add-pairs': addPairs,
    'add-part-pins': addPartPins,
    'strike-board-pin': strikeBoardPin,
    'set-board-notes': setBoardNotes,
    'change-board': changeBoard,
  },
  rows,
})
export * from './boards'
export * from './schema'
export * from './view'
