import { z } from 'zod'
import { assessGate } from '#core/safety/gate'
import { ConfigurationShape, configurationHolds } from '../../chapters/power/index'
import { GateShape, HazardShape, PowerFactsShape, SchoolShape } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const safetyGate = defineTool({
  id: 'safety/gate',
  title: 'Power gate',
  summary: 'Computes whether a machine may be energised, with reasons and what would open the gate.',
  input: z.object({
    school: SchoolShape,
    facts: PowerFactsShape,
    inspectedBy: z.string().max(80).optional(),
    hazards: z.array(HazardShape).max(40).optional(),
    configuration: ConfigurationShape.superRefine(configurationHolds).optional(),
  }),
  output: GateShape,
  example: {
    school: 'baseline-first' as const,
    inspectedBy: 'Ilka',
    facts: {
      filterCapacitors: 'sound',
      battery: 'out',
      liquidOrDirt: 'no',
      burntTrace: 'no',
      shortedRail: 'no',
      mainsLead: 'sound',
      supply: 'known',
      fan: 'present',
      pictureTube: 'none',
      wiring: 'known',
      smoke: 'no',
      rails: 'unread',
    },
  },
  run: assessGate,
  findings: output => output.findings,
})
