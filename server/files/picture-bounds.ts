import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'
import { InputError } from '#core/kernel/input-error'

/** What a picture may be, told by its content and before anything of it is unpacked. */
const acceptedPictures = ['image/jpeg', 'image/png', 'image/webp']
/** No camera or scanner makes a longer side; a strip of millions of pixels by a few fills the memory row by row. */
const longestSidePx = 30_000

/** @param head its first bytes, 4100 will do @throws InputError for what is none of the three kinds */
export async function kindOfPicture(head: Uint8Array, field: string): Promise<string> {
  const mime = (await fileTypeFromBuffer(head))?.mime
  if (!mime || !acceptedPictures.includes(mime))
    throw new InputError(field, mime ?? 'unknown', 'This is no JPEG, PNG or WebP picture, whatever its name says. Export it as one of them.')
  return mime
}

/**
 * Its size by its header, within bounds.
 * @param input bytes, or a path @throws InputError for a picture that is too large, sharp's own error for a broken one
 */
export async function withinBounds(input: Buffer | string, mostPixels: number, field: string) {
  // The header alone is read here; a limit on it would refuse without saying what would do.
  const facts = await sharp(input, { failOn: 'error', limitInputPixels: false }).metadata()
  const { width, height, pages = 1 } = facts
  if (width > longestSidePx || height > longestSidePx || width * height * pages > mostPixels)
    throw new InputError(
      field,
      `${width} × ${height}`,
      `${width} × ${height} pixels are more than a picture here may have: up to ${longestSidePx.toLocaleString('en-GB')} a side, and ${mostPixels / 1e6} megapixels. Send a smaller copy.`,
    )
  return facts
}
