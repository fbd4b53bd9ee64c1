import type { Component } from 'vue'
import AddressMapInstrument from './AddressMapInstrument.vue'
import BathInstrument from './BathInstrument.vue'
import BatteryInstrument from './BatteryInstrument.vue'
import CaptureInstrument from './CaptureInstrument.vue'
import ColourMatchInstrument from './ColourMatchInstrument.vue'
import CorrosionAreaInstrument from './CorrosionAreaInstrument.vue'
import CorrosionRatingInstrument from './CorrosionRatingInstrument.vue'
import DateCodeInstrument from './DateCodeInstrument.vue'
import DatingInstrument from './DatingInstrument.vue'
import DischargeInstrument from './DischargeInstrument.vue'
import DryingInstrument from './DryingInstrument.vue'
import GateInstrument from './GateInstrument.vue'
import JunctionInstrument from './JunctionInstrument.vue'
import KeyboardMatrixInstrument from './KeyboardMatrixInstrument.vue'
import LadderInstrument from './LadderInstrument.vue'
import LiftInstrument from './LiftInstrument.vue'
import MemoryFaultInstrument from './MemoryFaultInstrument.vue'
import MethodsInstrument from './MethodsInstrument.vue'
import NeutraliseInstrument from './NeutraliseInstrument.vue'
import OffStateInstrument from './OffStateInstrument.vue'
import PeroxideInstrument from './PeroxideInstrument.vue'
import PatchPlanInstrument from './PatchPlanInstrument.vue'
import ProbePlanInstrument from './ProbePlanInstrument.vue'
import RailsInstrument from './RailsInstrument.vue'
import SoakInstrument from './SoakInstrument.vue'
import SwapInstrument from './SwapInstrument.vue'
import SupplyMatchInstrument from './SupplyMatchInstrument.vue'
import TraceInstrument from './TraceInstrument.vue'
import TriageInstrument from './TriageInstrument.vue'
import WhiteningForecastInstrument from './WhiteningForecastInstrument.vue'

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
  'cleaning/bath': BathInstrument,
  'cleaning/colour-match': ColourMatchInstrument,
  'cleaning/drying': DryingInstrument,
  'cleaning/methods': MethodsInstrument,
  'cleaning/neutralise': NeutraliseInstrument,
  'cleaning/peroxide': PeroxideInstrument,
  'cleaning/whitening-forecast': WhiteningForecastInstrument,
  'continuity/probe-plan': ProbePlanInstrument,
  'continuity/patch-plan': PatchPlanInstrument,
  'diagnosis/ladder': LadderInstrument,
  'diagnosis/swap': SwapInstrument,
  'diagnosis/keyboard-matrix': KeyboardMatrixInstrument,
  'diagnosis/memory-fault': MemoryFaultInstrument,
  'diagnosis/address-map': AddressMapInstrument,
  'signals/capture': CaptureInstrument,
  'retest/soak': SoakInstrument,
}
