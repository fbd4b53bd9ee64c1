import { z } from 'zod'
import { dilutePeroxide, percentKinds } from '#core/cleaning/peroxide'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
export const cleaningPeroxide = defineTool({
  id: 'cleaning/peroxide',
  title: 'Peroxide',
  summary: 'Dilution between strengths, volume strength and per cent, how much a part needs, and who may handle it.',
  input: z.object({
    havePct: n.optional(),
    haveIs: z.enum(keysOf(percentKinds)).optional().describe('What the per cent on the label means; by mass where nothing is said.'),
    haveVolumes: n.optional(),
    wantPct: n.optional(),
    wantIs: z.enum(keysOf(percentKinds)).optional().describe('The same of what is wanted; g to 100 ml where nothing is said.'),
    wantVolumes: n.optional(),
    wantMl: n.optional(),
    areaCm2: n.optional(),
    layerMm: n.optional(),
    monthsOpen: n.optional(),
    keptCool: z.boolean().optional(),
  }),
  output: z.object({
    havePct: n,
    haveMassPct: n,
    wantMassPct: n,
    haveVolumes: n,
    wantPct: n,
    wantVolumes: n,
    wantMl: n,
    takeMl: n,
    waterMl: n,
    leftPct: z.object({ low: n, high: n }).nullable(),
    findings: z.array(Finding),
  }),
  example: { haveVolumes: 40, wantPct: 6, areaCm2: 300, monthsOpen: 10 },
  run: dilutePeroxide,
  findings: output => output.findings,
})
