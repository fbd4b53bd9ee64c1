import { serverChapter } from '../../kernel/chapter'
import { addBoard, addPairs, addPartPins, changeBoard, setBoardNotes, strikeBoardPin } from './boards'
import { registerBoard } from './pictures'
import { answerProbe, askProbeAgain, beginProbeSheet, endProbeSheet, fitPatch, takeProbe } from './probe'
import { rows } from './rows'

/** Continuity: what can be done, and what is loaded with a machine. */
export const continuityChapter = serverChapter({
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
export { facts as continuityFacts } from './facts'
export * from './view'
