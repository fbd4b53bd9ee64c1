import { crc32, deflateSync } from 'node:zlib'

/** Pictures that no camera makes, written by hand (ISO/IEC 15948). */

/** A chunk of a PNG (ISO/IEC 15948, 5.3). */
export function chunk(kind: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(kind, 'latin1'), data])
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)]
  length.writeUInt32BE(data.length)
  sum.writeUInt32BE(crc32Of(body))
  return Buffer.concat([length, body, sum])
}
const crc32Of = (bytes: Buffer): number => (crc32 as undefined | ((b: Buffer) => number))?.(bytes) ?? slowCrc(bytes)
/** For a Node without its own (ISO/IEC 15948, annex D). */
function slowCrc(bytes: Buffer): number {
  let c = 0xffffffff
  for (const byte of bytes) {
    c ^= byte
    for (let k = 0; k < 8; k++) c = c & 1 ? (c >>> 1) ^ 0xedb88320 : c >>> 1
  }
  return (c ^ 0xffffffff) >>> 0
}
export const pngMark = Buffer.from('\x89PNG\r\n\x1a\n', 'latin1')

/** @param depth bits a sample @param colour 0 grey, 2 in colours (11.2.2) */
export function pngHead(width: number, height: number, depth: number, colour: number): Buffer {
  const head = Buffer.alloc(13)
  head.writeUInt32BE(width, 0)
  head.writeUInt32BE(height, 4)
  head.set([depth, colour, 0, 0, 0], 8)
  return chunk('IHDR', head)
}

/** A grey picture with further chunks before its rows. */
export const pngOf = (width: number, height: number, ...more: [string, Buffer][]): Buffer =>
  Buffer.concat([
    pngMark,
    pngHead(width, height, 8, 0),
    ...more.map(([kind, data]) => chunk(kind, data)),
    chunk('IDAT', deflateSync(Buffer.alloc((width + 1) * height, 90))),
    chunk('IEND', Buffer.alloc(0)),
  ])

export const textChunk = (name: string, text: string): Buffer => chunk('tEXt', Buffer.from(`${name}\0${text}`, 'latin1'))
