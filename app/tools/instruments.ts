import { type Component, h } from 'vue'
import type { ToolId } from '#shared/tools/index'

/** The face of each instrument, loaded when it is opened first: the wall shows none, and a machine few. */
const faces: Record<ToolId, () => Promise<{ default: Component }>> = {
  'identify/date-code': () => import('./identify/DateCodeInstrument.vue'),
  'identify/dating': () => import('./identify/DatingInstrument.vue'),
  'identify/inventory': () => import('./identify/InventoryInstrument.vue'),
  'safety/lift': () => import('./safety/LiftInstrument.vue'),
  'condition/corrosion-area': () => import('./condition/CorrosionAreaInstrument.vue'),
  'condition/corrosion-rating': () => import('./condition/CorrosionRatingInstrument.vue'),
  'condition/triage': () => import('./condition/TriageInstrument.vue'),
  'safety/gate': () => import('./safety/GateInstrument.vue'),
  'power/supply-match': () => import('./power/SupplyMatchInstrument.vue'),
  'power/battery': () => import('./power/BatteryInstrument.vue'),
  'power/discharge': () => import('./power/DischargeInstrument.vue'),
  'power/off-state': () => import('./power/OffStateInstrument.vue'),
  'power/rails': () => import('./power/RailsInstrument.vue'),
  'power/junction': () => import('./power/JunctionInstrument.vue'),
  'power/trace': () => import('./power/TraceInstrument.vue'),
  'cleaning/bath': () => import('./cleaning/BathInstrument.vue'),
  'cleaning/colour-match': () => import('./cleaning/ColourMatchInstrument.vue'),
  'cleaning/drying': () => import('./cleaning/DryingInstrument.vue'),
  'cleaning/methods': () => import('./cleaning/MethodsInstrument.vue'),
  'cleaning/neutralise': () => import('./cleaning/NeutraliseInstrument.vue'),
  'cleaning/peroxide': () => import('./cleaning/PeroxideInstrument.vue'),
  'cleaning/whitening-forecast': () => import('./cleaning/WhiteningForecastInstrument.vue'),
  'continuity/probe-plan': () => import('./continuity/ProbePlanInstrument.vue'),
  'continuity/patch-plan': () => import('./continuity/PatchPlanInstrument.vue'),
  'diagnosis/ladder': () => import('./diagnosis/LadderInstrument.vue'),
  'diagnosis/swap': () => import('./diagnosis/SwapInstrument.vue'),
  'diagnosis/keyboard-matrix': () => import('./diagnosis/KeyboardMatrixInstrument.vue'),
  'diagnosis/memory-fault': () => import('./diagnosis/MemoryFaultInstrument.vue'),
  'diagnosis/address-map': () => import('./diagnosis/AddressMapInstrument.vue'),
  'signals/capture': () => import('./signals/CaptureInstrument.vue'),
  'mend/resources': () => import('./mend/ResourcesInstrument.vue'),
  'parts/substitute': () => import('./parts/SubstituteInstrument.vue'),
  'parts/recap': () => import('./parts/RecapInstrument.vue'),
  'parts/order': () => import('./parts/OrderInstrument.vue'),
  'parts/allocate': () => import('./parts/AllocateInstrument.vue'),
  'retest/soak': () => import('./retest/SoakInstrument.vue'),
}

const waiting = (text: string) => () => h('p', { class: 'card hint', role: 'status' }, text)

/** Each as a component that shows that it is on its way. */
export const instruments = Object.fromEntries(
  Object.entries(faces).map(([id, loader]) => [
    id,
    defineAsyncComponent({
      loader,
      delay: 100,
      loadingComponent: waiting('Fetching the instrument…'),
      errorComponent: waiting('The instrument could not be fetched. Open this page again.'),
    }),
  ]),
) as Record<ToolId, Component>
