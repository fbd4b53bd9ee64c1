import { expose, transfer } from 'comlink'
import { type CorrosionArea, type CorrosionSamples, type CorrosionScores, type Pixels, measureCorrosion } from '#core/condition/corrosion-area'

/** Measures corrosion beside the page. It keeps the picture and the scores, so that another threshold costs next to nothing. */
let pixels: Pixels | undefined
let scores: CorrosionScores | undefined

/** The longest edge of the overlay; the photograph on the screen has no more. */
const overlayPx = 1600
const overlayInk = [255, 64, 200, 150] as const

const bench = {
  async load(picture: Blob): Promise<{ widthPx: number; heightPx: number }> {
    const bitmap = await createImageBitmap(picture)
    const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d', { willReadFrequently: true })!
    context.drawImage(bitmap, 0, 0)
    const { width, height, data } = context.getImageData(0, 0, bitmap.width, bitmap.height)
    bitmap.close()
    pixels = { width, height, data }
    scores = undefined
    return { widthPx: width, heightPx: height }
  },
  /** @param tell hears the share that is done @returns what is wrong, for there is no other way through for an error with a field */
  measure(samples: CorrosionSamples, tell: (share: number) => void): { field: string; message: string } | undefined {
    try {
      const work = measureCorrosion(pixels!, samples)
      let told = 0
      for (;;) {
        const { done, value } = work.next()
        if (done) {
          scores = value
          return undefined
        }
        if (value - told > 0.04) tell((told = value))
      }
    } catch (error) {
      return { field: (error as { field?: string }).field ?? '', message: (error as Error).message }
    }
  },
  areaAt: (threshold: number): CorrosionArea => scores!.areaAt(threshold),
  /** What counts as corroded, as a see-through picture. */
  overlay(threshold: number): ImageBitmap {
    const { width, height, scores: found } = scores!
    const scale = Math.min(1, overlayPx / Math.max(width, height))
    const [w, h] = [Math.round(width * scale), Math.round(height * scale)]
    const shown = new ImageData(w, h)
    const least = 1 + Math.round(threshold * 254)
    for (let y = 0; y < h; y++) {
      for (let x = 0; x < w; x++) {
        if (found[Math.floor(y / scale) * width + Math.floor(x / scale)]! >= least) shown.data.set(overlayInk, (y * w + x) * 4)
      }
    }
    const canvas = new OffscreenCanvas(w, h)
    canvas.getContext('2d')!.putImageData(shown, 0, 0)
    const bitmap = canvas.transferToImageBitmap()
    return transfer(bitmap, [bitmap])
  },
}
export type CorrosionBench = typeof bench

expose(bench)
