import { z } from 'zod'
import { dilutePeroxide } from '#core/cleaning/peroxide'
import { Finding } from '../kernel/shapes'
import { defineTool } from './tool'

const n = z.number()
export const cleaningPeroxide = defineTool({
  id: 'cleaning/peroxide',
  title: 'Peroxide',
  summary: 'Dilution between strengths, volume strength and per cent, how much a part needs, and who may handle it.',
  input: z.object({
    havePct: n.optional(),
    haveVolumes: n.optional(),
    wantPct: n.optional(),
    wantVolumes: n.optional(),
    wantMl: n.optional(),
    areaCm2: n.optional(),
    layerMm: n.optional(),
    monthsOpen: n.optional(),
    keptCool: z.boolean().optional(),
  }),
  output: z.object({
    havePct: n,
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
