import type { PrintFormat } from '#core/printing/printer'
import { giveWay } from '../kernel/turns/give-way'
import { type Label, drawLabel } from '../chapters/printing/label-drawing'

giveWay()

export interface LabelTask {
  label: Label
  size: { widthMm: number; heightMm: number }
  format: PrintFormat
}

/** Draws one label, beside the request loop. */
export default ({ label, size, format }: LabelTask): Promise<Uint8Array> => drawLabel(label, size, format)
