import { expose } from 'comlink'
import { type Neutral, type PatchBox as Box, type PatchResult, apartOf, neutrals, patchColour } from '#core/cleaning/patch-colour'

/** More pixels of an area say no more about its mean. */
const mostAcross = 1200

/** Unpacks a picture and measures an area of it against the neutrals beside it. */
const worker = {
  async measure(file: Blob, area: Box, beside: { kind: Neutral; box: Box }[]): Promise<PatchResult> {
    const bitmap = await createImageBitmap(file)
    const pixels = (box: Box) => {
      const [x, y] = [Math.floor(box.x * bitmap.width), Math.floor(box.y * bitmap.height)]
      const [width, height] = [Math.max(1, Math.round(box.width * bitmap.width)), Math.max(1, Math.round(box.height * bitmap.height))]
      const scale = Math.min(1, mostAcross / Math.max(width, height))
      const canvas = new OffscreenCanvas(Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale)))
      const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })!
      context.drawImage(bitmap, x, y, width, height, 0, 0, canvas.width, canvas.height)
      return context.getImageData(0, 0, canvas.width, canvas.height).data
    }
    const aspect = bitmap.width / bitmap.height
    const result = patchColour(
      pixels(area),
      beside.map(({ kind, box }) => ({ ...neutrals[kind], pixels: pixels(box), apart: apartOf(area, box, aspect) })),
    )
    bitmap.close()
    return result
  },
}
export type PatchBench = typeof worker
expose(worker)
