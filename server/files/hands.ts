import { setImmediate } from 'node:timers/promises'
import sharp from 'sharp'
import { InputError } from '#core/kernel/input-error'
import type { Hands } from '#shared/tools/tool'

/** The server's hands: pictures are unpacked beside the request loop, and computation gives it way after every few milliseconds. */
const turnMs = 10

export const hands: Hands = {
  async pixelsOf(base64, mostPixels) {
    const bytes = Buffer.from(base64.replace(/^data:[^,]*,/, ''), 'base64')
    try {
      const { data, info } = await sharp(bytes, { failOn: 'error', limitInputPixels: mostPixels })
        .autoOrient()
        .toColourspace('srgb')
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true })
      return { width: info.width, height: info.height, data }
    } catch (error) {
      throw new InputError(
        'image',
        `${base64.slice(0, 20)}…`,
        /pixel limit/i.test(String(error))
          ? `The picture has more than ${mostPixels / 1e6} megapixels. Send a smaller copy.`
          : 'This cannot be read as a picture. Send a PNG or JPEG as base64.',
      )
    }
  },
  async drive(work) {
    for (let turn = performance.now(); ;) {
      const { done, value } = work.next()
      if (done) return value
      if (performance.now() - turn > turnMs) {
        await setImmediate()
        turn = performance.now()
      }
    }
  },
}
