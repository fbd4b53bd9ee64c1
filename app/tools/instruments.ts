import type { Component } from 'vue'
import BatteryInstrument from './BatteryInstrument.vue'
import CorrosionAreaInstrument from './CorrosionAreaInstrument.vue'
import CorrosionRatingInstrument from './CorrosionRatingInstrument.vue'
import DateCodeInstrument from './DateCodeInstrument.vue'
import DatingInstrument from './DatingInstrument.vue'
import DischargeInstrument from './DischargeInstrument.vue'
import GateInstrument from './GateInstrument.vue'
import JunctionInstrument from './JunctionInstrument.vue'
import LiftInstrument from './LiftInstrument.vue'
import OffStateInstrument from './OffStateInstrument.vue'
import RailsInstrument from './RailsInstrument.vue'
import SupplyMatchInstrument from './SupplyMatchInstrument.vue'
import TraceInstrument from './TraceInstrument.vue'
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
  'power/supply-match': SupplyMatchInstrument,
  'power/battery': BatteryInstrument,
  'power/discharge': DischargeInstrument,
  'power/off-state': OffStateInstrument,
  'power/rails': RailsInstrument,
  'power/junction': JunctionInstrument,
  'power/trace': TraceInstrument,
}
