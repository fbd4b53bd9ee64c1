import type { Component } from 'vue'
import CorrosionAreaInstrument from './CorrosionAreaInstrument.vue'
import CorrosionRatingInstrument from './CorrosionRatingInstrument.vue'
import DateCodeInstrument from './DateCodeInstrument.vue'
import DatingInstrument from './DatingInstrument.vue'
import GateInstrument from './GateInstrument.vue'
import LiftInstrument from './LiftInstrument.vue'
import RailsInstrument from './RailsInstrument.vue'
import TriageInstrument from './TriageInstrument.vue'

/** The face of each instrument, by its id. */
export const instruments: Record<string, Component> = {
  'identify/date-code': DateCodeInstrument,
  'identify/dating': DatingInstrument,
  'safety/lift': LiftInstrument,
  'condition/corrosion-area': CorrosionAreaInstrument,
  'condition/corrosion-rating': CorrosionRatingInstrument,
  'condition/triage': TriageInstrument,
  'safety/gate': GateInstrument,
  'power/rails': RailsInstrument,
}
