import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import fontkit, { type Font } from '@pdf-lib/fontkit'
import { PDFDocument, degrees, rgb } from 'pdf-lib'
import QRCode from 'qrcode'
import sharp from 'sharp'
import type { PrintFormat } from '#core/printing/printer'

/**
 * A label drawn as outlines: no font has to be in the printer, or on this computer. Lengths in mm, from the top left corner.
 */
export interface Label {
  tag: string
  title: string
  lines: string[]
  /** What the code opens. */
  url: string
}
interface Size {
  widthMm: number
  heightMm: number
}
interface Outline {
  d: string
  xMm: number
  yMm: number
  scale: number
}

const marginMm = 4
const folder = join(process.cwd(), 'node_modules/@fontsource-variable/atkinson-hyperlegible-next/files')
let opened: Font[] | undefined
/** The letters that labels are written in; those that neither file holds become a question mark. */
const fonts = () =>
  (opened ??= ['latin', 'latin-ext'].map(part => fontkit.create(readFileSync(join(folder, `atkinson-hyperlegible-next-${part}-wght-normal.woff2`)))))

interface Letter {
  d: string
  advance: number
  unitsPerEm: number
}
const drawnLetters = new Map<string, Letter>()
/** A letter as it is written, drawn once. */
function letterOf(letter: string): Letter {
  const known = drawnLetters.get(letter)
  if (known) return known
  const has = (f: Font) => f.hasGlyphForCodePoint(letter.codePointAt(0)!)
  const font = fonts().find(has) ?? fonts()[0]!
  const [glyph] = font.layout(has(font) ? letter : '?').glyphs
  const drawn = { d: glyph!.path.toSVG(), advance: glyph!.advanceWidth, unitsPerEm: font.unitsPerEm }
  if (drawnLetters.size < 2000) drawnLetters.set(letter, drawn)
  return drawn
}

const widthMm = (text: string, sizeMm: number): number =>
  [...text].reduce((sum, letter) => {
    const { advance, unitsPerEm } = letterOf(letter)
    return sum + (advance * sizeMm) / unitsPerEm
  }, 0)

/** A line of text as outlines. */
function written(text: string, xMm: number, baseMm: number, sizeMm: number): Outline[] {
  let x = xMm
  return [...text].map(letter => {
    const { d, advance, unitsPerEm } = letterOf(letter)
    const outline = { d, xMm: x, yMm: baseMm, scale: sizeMm / unitsPerEm }
    x += advance * outline.scale
    return outline
  })
}

/** Breaks a line at its words so that it fits; a word that is longer than the line is broken too. Nothing is measured twice, or beyond the paper. */
function* broken(text: string, sizeMm: number, roomMm: number): Generator<string> {
  const spaceMm = widthMm(' ', sizeMm)
  let [line, filledMm] = ['', 0]
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const wordMm = widthMm(word, sizeMm)
    if (line && filledMm + spaceMm + wordMm <= roomMm) {
      line += ` ${word}`
      filledMm += spaceMm + wordMm
      continue
    }
    if (line) yield line
    ;[line, filledMm] = ['', 0]
    for (const letter of word) {
      const letterMm = widthMm(letter, sizeMm)
      if (line && filledMm + letterMm > roomMm) {
        yield line
        ;[line, filledMm] = ['', 0]
      }
      line += letter
      filledMm += letterMm
    }
  }
  if (line) yield line
}

/** Lays a label out: tag and title large, the code at the right, lines below as far as there is room. */
function laidOut({ tag, title, lines, url }: Label, { widthMm, heightMm }: Size) {
  const inner = { width: widthMm - 2 * marginMm, height: heightMm - 2 * marginMm }
  const code = QRCode.create(url, { errorCorrectionLevel: 'M' }).modules
  const quiet = 4
  const codeMm = Math.min(inner.width * 0.42, inner.height * 0.6, 40)
  const module = codeMm / (code.size + 2 * quiet)
  const squares: { xMm: number; yMm: number; sideMm: number }[] = []
  for (let row = 0; row < code.size; row++)
    for (let column = 0; column < code.size; column++)
      if (code.data[row * code.size + column])
        squares.push({ xMm: widthMm - marginMm - codeMm + (column + quiet) * module, yMm: marginMm + (row + quiet) * module, sideMm: module })
  const unit = Math.min(inner.width / 24, inner.height / 12, 5)
  const beside = inner.width - codeMm - 1
  const outlines: Outline[] = []
  let y = marginMm
  const write = (text: string, sizeMm: number, width: number) => {
    for (const part of broken(text, sizeMm, width)) {
      if (y + sizeMm > heightMm - marginMm) return false
      y += sizeMm
      outlines.push(...written(part, marginMm, y, sizeMm))
      y += sizeMm * 0.3
    }
    return true
  }
  write(tag, unit * 1.5, beside)
  write(title, unit * 1.2, beside)
  for (const line of lines) if (!write(line, unit * 0.8, y < marginMm + codeMm ? beside : inner.width)) break
  return { squares, outlines }
}

/** A label as a file for the printer. */
export async function drawLabel(label: Label, size: Size, format: PrintFormat): Promise<Uint8Array> {
  // A long strip is written along its length.
  const along = size.heightMm > size.widthMm * 1.6
  const room = along ? { widthMm: size.heightMm, heightMm: size.widthMm } : size
  const { squares, outlines } = laidOut(label, room)
  return format === 'application/pdf' ? pdf(squares, outlines, room, along) : png(squares, outlines, room, along)
}

const pointsPerMm = 72 / 25.4
async function pdf(squares: ReturnType<typeof laidOut>['squares'], outlines: Outline[], { widthMm, heightMm }: Size, along: boolean): Promise<Uint8Array> {
  const document = await PDFDocument.create()
  const page = document.addPage([widthMm * pointsPerMm, heightMm * pointsPerMm])
  if (along) page.setRotation(degrees(90))
  const up = (yMm: number) => (heightMm - yMm) * pointsPerMm
  for (const { xMm, yMm, sideMm } of squares)
    page.drawRectangle({ x: xMm * pointsPerMm, y: up(yMm + sideMm), width: sideMm * pointsPerMm, height: sideMm * pointsPerMm, color: rgb(0, 0, 0) })
  // Outlines of letters rise upwards, those of this call fall downwards.
  for (const { d, xMm, yMm, scale } of outlines)
    if (d) page.drawSvgPath(flipped(d), { x: xMm * pointsPerMm, y: up(yMm), scale: scale * pointsPerMm, color: rgb(0, 0, 0), borderWidth: 0 })
  return document.save()
}

/** Every second figure of an outline is a height. */
function flipped(d: string): string {
  let height = false
  return d.replaceAll(/([A-Za-z])|(-?\d+(?:\.\d+)?)/g, (all, letter: string | undefined) => {
    if (letter) {
      height = false
      return all
    }
    const turned = height ? String(-Number(all)) : all
    height = !height
    return ` ${turned}`
  })
}

/** Dots a mm: 8 is the usual head of a label printer, about 203 dots an inch. */
const dotsPerMm = 8
async function png(squares: ReturnType<typeof laidOut>['squares'], outlines: Outline[], { widthMm, heightMm }: Size, along: boolean): Promise<Uint8Array> {
  const drawn = [
    ...squares.map(s => `<rect x="${s.xMm}" y="${s.yMm}" width="${s.sideMm}" height="${s.sideMm}" shape-rendering="crispEdges"/>`),
    ...outlines.filter(o => o.d).map(o => `<path transform="translate(${o.xMm} ${o.yMm}) scale(${o.scale} ${-o.scale})" d="${o.d}"/>`),
  ].join('')
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm * dotsPerMm}" height="${heightMm * dotsPerMm}" viewBox="0 0 ${widthMm} ${heightMm}"><rect width="100%" height="100%" fill="#fff"/>${drawn}</svg>`
  return sharp(await sharp(Buffer.from(svg)).png().toBuffer())
    .rotate(along ? 90 : 0)
    .png({ palette: true, colours: 4 })
    .toBuffer()
}
