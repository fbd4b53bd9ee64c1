import sharp from 'sharp'
import { InputError } from '#core/kernel/input-error'
import type { Hands } from '#shared/tools/tool'
import { openSolver } from '../kernel/solver'
import { kindOfPicture, withinBounds } from './picture-bounds'

// Two cores serve the house: a picture takes one of them.
sharp.concurrency(1)
sharp.cache(false)

/** The hands of a thread beside the server: nobody waits for it, and whoever started it ends it. */
export const hands: Hands = {
  async pixelsOf(base64, mostPixels) {
    const bytes = Buffer.from(base64.replace(/^data:[^,]*,/, ''), 'base64')
    await kindOfPicture(bytes.subarray(0, 4100), 'image')
    try {
      await withinBounds(bytes, mostPixels, 'image')
      const { data, info } = await sharp(bytes, { failOn: 'error', limitInputPixels: mostPixels })
        .autoOrient()
        .toColourspace('srgb')
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true })
      return { width: info.width, height: info.height, data }
    } catch (error) {
      if (error instanceof InputError) throw error
      throw new InputError('image', `${base64.slice(0, 20)}…`, 'This cannot be read as a picture. Send a PNG, JPEG or WebP as base64.')
    }
  },
  async drive(work) {
    for (;;) {
      const { done, value } = work.next()
      if (done) return value
    }
  },
  solver: openSolver,
}
