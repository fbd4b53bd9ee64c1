import { z } from 'zod'
import { defaultThreshold, measureCorrosion } from '#core/condition/corrosion-area'
import { rateMeasured } from '#core/condition/corrosion-rating'
import { CorrosionInputs, Finding } from '../../kernel/shapes'
import { defineHeavyTool } from '../tool'

const mostPixels = 4e6
/** A small picture: a third of it rust on grey, six by six pixels, as PNG. */
const exampleImage = 'iVBORw0KGgoAAAANSUhEUgAAAAYAAAAGCAIAAABvrngfAAAACXBIWXMAAAPoAAAD6AG1e1JrAAAAF0lEQVQImWPo8lDr8lCbNmM2HDHQVggA6z82eRsyU3oAAAAASUVORK5CYII='

export const conditionCorrosionArea = defineHeavyTool({
  id: 'condition/corrosion-area',
  title: 'Corrosion area',
  summary: 'Measures how much of a surface on a photograph is corroded, from a few spots touched as corroded and as sound.',
  input: CorrosionInputs.extend({
    /** PNG or JPEG of up to 4 megapixels, base64, with or without a data-URL head. */
    image: z.string().min(1, 'Send the picture as base64.').max(16_000_000, 'The picture is too large; up to 4 megapixels, please.'),
    outline: CorrosionInputs.shape.outline.default([]),
    threshold: CorrosionInputs.shape.threshold.default(defaultThreshold),
    steel: z.boolean().default(false),
    /** Millimetres that one pixel covers, for areas in mm². */
    mmPerPx: z.number().positive().optional(),
  }),
  output: z.object({
    widthPx: z.number(),
    heightPx: z.number(),
    insidePx: z.number(),
    corrodedPx: z.number(),
    areaPct: z.number(),
    errorPct: z.number(),
    areaMm2: z.number().nullable(),
    rating: z.number().nullable(),
    rustDegree: z.number().nullable(),
    findings: z.array(Finding),
  }),
  example: { image: exampleImage, outline: [], corroded: [[0.08, 0.08]], sound: [[0.9, 0.9]], threshold: defaultThreshold, steel: true },
  largestBodyBytes: 17_000_000,
  async work({ image, steel, mmPerPx, threshold, ...samples }, hands) {
    const pixels = await hands.pixelsOf(image, mostPixels)
    const { areaAt } = await hands.drive(measureCorrosion(pixels, samples))
    const { insidePx, corrodedPx, areaPct, errorPct, findings } = areaAt(threshold)
    const { rating, rustDegree, findings: rated } = rateMeasured({ areaPct, errorPct, steel })
    return {
      widthPx: pixels.width,
      heightPx: pixels.height,
      insidePx,
      corrodedPx,
      areaPct,
      errorPct,
      areaMm2: mmPerPx === undefined ? null : corrodedPx * mmPerPx ** 2,
      rating,
      rustDegree,
      findings: [...findings, ...rated],
    }
  },
  findings: output => output.findings,
})
