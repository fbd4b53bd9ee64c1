/** What a network printer says of itself, as far as a label needs it. Source: RFC 8011, sections 5.4.11 to 5.4.12; media names: PWG 5101.1. */
export interface PrinterSeen {
  name: string
  /** `idle`, `processing` or `stopped`. */
  state: string
  reasons: readonly string[]
  accepting: boolean
  formats: readonly string[]
  /** Names of the media that are in it, or that it can take; the one that it would choose first. */
  media: readonly string[]
}
export interface PrinterJudged {
  ready: boolean
  says: string
}

/** In the order in which somebody would see to them. */
const reasonWords: readonly [RegExp, string][] = [
  [/^media-empty|^media-needed/, 'out of paper'],
  [/^media-jam/, 'paper is jammed'],
  [/^door-open|^cover-open|^interlock-open/, 'a cover is open'],
  [/^(toner|marker-supply|marker-ink)-empty/, 'out of ink or toner'],
  [/^paused|^moving-to-paused/, 'paused'],
  [/^offline|^shutdown|^connecting-to-device|^timed-out/, 'offline'],
  [/^stopped-partly|^stopping/, 'stopping'],
]
/** Whether a reason keeps it from printing: warnings and reports do not. */
const holds = (reason: string) => reason !== 'none' && !/-(warning|report)$/.test(reason)

/** Whether it would print now, and why not. A reason that nobody knows is told in its own words. */
export function judgePrinter({ state, reasons, accepting, formats }: PrinterSeen): PrinterJudged {
  const held = reasons.filter(holds)
  const known = reasonWords.find(([words]) => held.some(r => words.test(r)))
  if (known) return { ready: false, says: `The printer is waiting: ${known[1]}.` }
  if (!accepting) return { ready: false, says: 'The printer takes no jobs just now.' }
  if (state === 'stopped') return { ready: false, says: `The printer has stopped${held.length ? `: ${held.join(', ')}` : ''}.` }
  if (!formatFor(formats)) return { ready: false, says: 'The printer takes neither PDF nor PNG.' }
  return { ready: true, says: state === 'processing' ? 'The printer is at work.' : 'The printer is ready.' }
}

const printFormats = ['application/pdf', 'image/png'] as const
export type PrintFormat = (typeof printFormats)[number]
/** PDF where it is taken, else PNG. */
export const formatFor = (formats: readonly string[]): PrintFormat | undefined => printFormats.find(f => formats.includes(f))

/** A3 (ISO 216): no label is larger, and a picture of one is unpacked whole. */
const largestMedium = { widthMm: 297, heightMm: 420 }

/**
 * Size of a medium by its self-describing name: `iso_a6_105x148mm`, `na_index-3x5_3x5in`.
 * @returns nothing for a name without a size, and for what is no size of a label
 */
export function mediaSizeMm(name: string): { widthMm: number; heightMm: number } | null {
  const found = /_(\d+(?:\.\d+)?)x(\d+(?:\.\d+)?)(in|mm)$/.exec(name)
  if (!found) return null
  const mm = found[3] === 'in' ? 25.4 : 1
  const [widthMm, heightMm] = [Number(found[1]) * mm, Number(found[2]) * mm]
  return widthMm >= 20 && widthMm <= largestMedium.widthMm && heightMm >= 15 && heightMm <= largestMedium.heightMm ? { widthMm, heightMm } : null
}

/** Where nobody says what is in the printer. */
export const usualMedia = { name: 'iso_a6_105x148mm', widthMm: 105, heightMm: 148 }
/** The first of its media with a size that can be read. */
export function mediaFor(media: readonly string[]): { name: string; widthMm: number; heightMm: number } {
  for (const name of media) {
    const size = mediaSizeMm(name)
    if (size) return { name, ...size }
  }
  return usualMedia
}

/** So long a printer may take over a label; then somebody looks whether it came out. */
export const longestPrintMinutes = 15

/** How a job came out, by its state. Source: RFC 8011, 5.3.7. @returns nothing while it is on its way */
export function judgeJob(state: string, reasons: readonly string[]): { printed: boolean; says: string } | null {
  if (state === 'completed') return { printed: true, says: 'Printed.' }
  if (state === 'aborted' || state === 'canceled')
    return {
      printed: false,
      says: `The printer ${state === 'canceled' ? 'cancelled' : 'broke off'} the job${reasons.some(holds) ? `: ${reasons.filter(holds).join(', ')}` : ''}.`,
    }
  return null
}
