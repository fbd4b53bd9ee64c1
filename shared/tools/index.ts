import { cleaningBath } from './cleaning/bath'
import { cleaningColourMatch } from './cleaning/colour-match'
import { cleaningDrying } from './cleaning/drying'
import { cleaningMethods } from './cleaning/methods'
import { cleaningNeutralise } from './cleaning/neutralise'
import { cleaningPeroxide } from './cleaning/peroxide'
import { cleaningWhiteningForecast } from './cleaning/whitening-forecast'
import { conditionCorrosionArea } from './condition/corrosion-area'
import { conditionCorrosionRating } from './condition/corrosion-rating'
import { conditionTriage } from './condition/triage'
import { continuityPatchPlan } from './continuity/patch-plan'
import { continuityProbePlan } from './continuity/probe-plan'
import { diagnosisAddressMap } from './diagnosis/address-map'
import { diagnosisKeyboardMatrix } from './diagnosis/keyboard-matrix'
import { diagnosisLadder } from './diagnosis/ladder'
import { diagnosisMemoryFault } from './diagnosis/memory-fault'
import { diagnosisSwap } from './diagnosis/swap'
import { identifyDateCode } from './identify/date-code'
import { identifyDating } from './identify/dating'
import { identifyInventory } from './identify/inventory'
import { mendResources } from './mend/resources'
import { partsAllocate } from './parts/allocate'
import { partsOrder } from './parts/order'
import { partsRecap } from './parts/recap'
import { partsSubstitute } from './parts/substitute'
import { powerBattery } from './power/battery'
import { powerDischarge } from './power/discharge'
import { powerJunction } from './power/junction'
import { powerOffState } from './power/off-state'
import { powerRails } from './power/rails'
import { powerSupplyMatch } from './power/supply-match'
import { powerTrace } from './power/trace'
import { retestSoak } from './retest/soak'
import { safetyGate } from './safety/gate'
import { safetyLift } from './safety/lift'
import { signalsCapture } from './signals/capture'
import type { Tool } from './tool'

/** Every instrument, in the order of the work. */
const all = [
  identifyDateCode,
  identifyDating,
  identifyInventory,
  safetyLift,
  conditionCorrosionArea,
  conditionCorrosionRating,
  conditionTriage,
  safetyGate,
  powerSupplyMatch,
  powerBattery,
  powerDischarge,
  powerOffState,
  powerRails,
  powerJunction,
  powerTrace,
  cleaningMethods,
  cleaningNeutralise,
  cleaningBath,
  cleaningPeroxide,
  cleaningDrying,
  cleaningColourMatch,
  cleaningWhiteningForecast,
  continuityProbePlan,
  continuityPatchPlan,
  diagnosisLadder,
  diagnosisSwap,
  diagnosisKeyboardMatrix,
  diagnosisMemoryFault,
  diagnosisAddressMap,
  signalsCapture,
  partsSubstitute,
  partsRecap,
  partsOrder,
  mendResources,
  partsAllocate,
  retestSoak,
] as const
export type ToolId = (typeof all)[number]['id']
export const tools = all as unknown as Tool[]

export const toolById = (id: string) => tools.find(tool => tool.id === id)
