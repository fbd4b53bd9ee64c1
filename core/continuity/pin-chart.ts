import { InputError } from '../kernel/input-error'
import { byName } from '../kernel/places'
import type { NetState } from './net-state'

/** How a part is drawn on a pin chart. */
export const packageForms = ['dual', 'carrier', 'edge', 'header', 'round', 'row'] as const
export type PackageForm = (typeof packageForms)[number]
export const packageFormNames: Record<PackageForm, string> = {
  dual: 'Dual in-line',
  carrier: 'Chip carrier',
  edge: 'Edge connector',
  header: 'Header, two rows',
  round: 'Round connector',
  row: 'One row',
}

/** Where a pin stands on the chart, in pin pitches from the middle of its top edge, and to which side its words go. */
export interface ChartPlace {
  pin: string
  x: number
  y: number
  words: 'left' | 'right' | 'above' | 'below'
}
export interface PinChart {
  form: PackageForm
  /** The body, in pin pitches. */
  width: number
  height: number
  places: ChartPlace[]
  seen: string
}

/** What a pin is known to be by now. */
export type PinState = NetState | 'joined-wrongly' | 'struck' | 'unknown'
export const pinStateNames: Record<PinState, string> = {
  'broken': 'Broken',
  'doubtful': 'In doubt',
  'joined-wrongly': 'Joined, and should not be',
  'not-yet': 'Not yet proved',
  'whole': 'Whole',
  'struck': 'Not as the file has it',
  'unknown': 'Not on a sheet',
}

const carriers = [20, 28, 32, 44, 52, 68, 84]
const most = 400

/** The form that a part most likely has, by its name and its pins; somebody may say otherwise. Common practice, no source. */
export function likelyForm(part: string, pins: readonly string[]): PackageForm {
  const numbered = pins.every(p => /^\d+$/.test(p))
  const last = numbered ? Math.max(...pins.map(Number)) : pins.length
  if (!numbered) return /^[AB]?\d+[A-Z]?$/i.test(pins[0] ?? '') && pins.some(p => /^[A-Z]\d+$/i.test(p)) ? 'edge' : 'row'
  if (/^(ic|u|q?[a-z]?rom|ram|cpu)\d*/i.test(part)) return [44, 68, 84].includes(last) ? 'carrier' : last >= 4 && last <= 64 ? 'dual' : 'row'
  if (/^(j|p|cn|con|sk|pl|x)\d*/i.test(part)) return last <= 8 && /^(sk|x)/i.test(part) ? 'round' : last > 8 && last % 2 === 0 ? 'header' : 'row'
  return last <= 4 ? 'row' : 'dual'
}

/**
 * A chart of a part, seen from the side of its parts: dual in-line and chip carriers count anticlockwise from the notch, the carrier
 * from the middle of its top; headers count across, edge connectors down both faces. Pins that a numbered part has and nobody names are drawn too.
 * Sources: JEDEC MS-001 and MS-018 for the order of the pins, from memory; headers, edges and round connectors: common practice, no source.
 * @throws InputError for no pin, or more than are drawn
 */
export function pinChart(pins: readonly string[], form: PackageForm): PinChart {
  if (!pins.length) throw new InputError('pins', 0, 'Pins: there is none to draw.')
  if (pins.length > most) throw new InputError('pins', pins.length, `Pins: up to ${most} are drawn; this part has ${pins.length}.`)
  const all = filledUp(pins, form)
  const n = all.length
  if (form === 'dual') {
    const half = Math.ceil(n / 2)
    return {
      form,
      width: n > 24 ? 6 : 3,
      height: half,
      places: all.map((pin, i): ChartPlace => {
        const left = i < half
        return { pin, x: (left ? -1 : 1) * (n > 24 ? 3 : 1.5), y: (left ? i : n - 1 - i) + 0.5, words: left ? 'left' : 'right' }
      }),
      seen: 'Seen from above, the notch at the top.',
    }
  }
  if (form === 'carrier') return carrier(all)
  if (form === 'round') {
    const radius = Math.max(1.5, n / 4)
    return {
      form,
      width: 2 * radius,
      height: 2 * radius,
      places: all.map((pin, i) => {
        const turn = (Math.PI * (i + 0.5)) / n
        const x = -Math.cos(turn) * radius * 0.75
        return { pin, x, y: radius + Math.sin(turn) * radius * 0.75, words: x < 0 ? 'left' : 'right' }
      }),
      seen: 'Seen into the socket, in the order of their names from the left. Connectors are counted in several ways: compare with the one at hand.',
    }
  }
  if (form === 'header' || form === 'edge') {
    const faces = form === 'edge' && all.some(p => /^[A-Z]/i.test(p)) ? byFace(all) : [all.filter((_, i) => i % 2 === 0), all.filter((_, i) => i % 2 === 1)]
    const rows = Math.max(...faces.map(f => f.length))
    return {
      form,
      width: 2,
      height: rows,
      places: faces.flatMap((face, side) => face.map((pin, i): ChartPlace => ({ pin, x: side ? 1 : -1, y: i + 0.5, words: side ? 'right' : 'left' }))),
      seen: form === 'edge' ? 'Both faces side by side, counted from the same end.' : 'Seen from above; odd and even pins face each other.',
    }
  }
  return { form, width: 1, height: n, places: all.map((pin, i) => ({ pin, x: 0, y: i + 0.5, words: 'right' })), seen: 'In one row, from pin 1.' }
}

/** Four sides, from the middle of the top one anticlockwise. */
function carrier(all: readonly string[]): PinChart {
  const side = Math.ceil(all.length / 4)
  const first = Math.ceil(side / 2)
  const at = (i: number): Omit<ChartPlace, 'pin'> => {
    const half = side / 2
    // Pin 1 in the middle of the top, on to its left end; then down the left, along the bottom, up the right, and back along the top.
    const j = (i - first + 4 * side) % (4 * side)
    const along = (j % side) + 0.5
    const face = Math.floor(j / side)
    if (face === 0) return { x: -half, y: along, words: 'left' }
    if (face === 1) return { x: along - half, y: side, words: 'below' }
    if (face === 2) return { x: half, y: side - along, words: 'right' }
    return { x: half - along, y: 0, words: 'above' }
  }
  return {
    form: 'carrier',
    width: side,
    height: side,
    places: all.map((pin, i) => ({ pin, ...at(i) })),
    seen: 'Seen from above; pin 1 in the middle of the top edge, counted anticlockwise.',
  }
}

/** Numbered pins with the gaps between them; dual in-line packages and carriers to their next whole size. */
function filledUp(pins: readonly string[], form: PackageForm): string[] {
  const sorted = [...new Set(pins)].sort(byName)
  if (!sorted.every(p => /^[1-9]\d{0,2}$/.test(p))) return sorted
  const last = Number(sorted.at(-1))
  const whole = form === 'dual' ? last + (last % 2) : form === 'carrier' ? (carriers.find(c => c >= last) ?? last) : last
  return whole > most ? sorted : Array.from({ length: whole }, (_, i) => String(i + 1))
}

/** Pins named by face and number, such as A1 and B1, or 1 and A. */
function byFace(all: readonly string[]): string[][] {
  const faces = new Map<string, string[]>()
  for (const pin of all) {
    const face = /^([A-Z]+)\d/i.exec(pin)?.[1] ?? (/^\d/.test(pin) ? '' : 'letter')
    faces.set(face, [...(faces.get(face) ?? []), pin])
  }
  const sides = [...faces.values()]
  return sides.length > 2 ? [all.filter((_, i) => i % 2 === 0), all.filter((_, i) => i % 2 === 1)] : sides
}
