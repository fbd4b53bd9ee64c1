import type { Component } from 'vue'
import DateCodeInstrument from './DateCodeInstrument.vue'
import GateInstrument from './GateInstrument.vue'
import RailsInstrument from './RailsInstrument.vue'

/** The face of each instrument, by its id. */
export const instruments: Record<string, Component> = {
  'identify/date-code': DateCodeInstrument,
  'safety/gate': GateInstrument,
  'power/rails': RailsInstrument,
}
