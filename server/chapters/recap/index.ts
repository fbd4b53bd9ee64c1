import { serverChapter } from '../../kernel/chapter'
import {
  changeCapacitor,
  chooseCapacitorSchool,
  dropCapacitor,
  fitCapacitor,
  keepCapacitors,
  listCapacitors,
  measureCapacitor,
  putBackCapacitor,
  setPrices,
  takeKnownCapacitors,
  takeOutCapacitor,
  takeOverCapacitors,
} from './carry-out'
import { facts } from './facts'
import { rows } from './rows'
import * as schema from './schema'
import { recapView } from './view'

/** Recapping: what can be done with the capacitors of a machine, and what is loaded with it. */
export const recapChapter = serverChapter({
  name: 'recap',
  schema,
  facts,
  view: recapView,
  onMachine: {
    'choose-capacitor-school': chooseCapacitorSchool,
    'list-capacitors': listCapacitors,
    'take-over-capacitors': takeOverCapacitors,
    'keep-capacitors': keepCapacitors,
    'take-known-capacitors': takeKnownCapacitors,
    'change-capacitor': changeCapacitor,
    'measure-capacitor': measureCapacitor,
    'take-out-capacitor': takeOutCapacitor,
    'put-back-capacitor': putBackCapacitor,
    'fit-capacitor': fitCapacitor,
    'drop-capacitor': dropCapacitor,
  },
  onCollection: { 'set-prices': setPrices },
  rows,
})
export * from './order'
export * from './schema'
export * from './view'
