import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export const offVerdicts = ['short', 'suspect', 'charging', 'plausible'] as const
export type OffVerdict = (typeof offVerdicts)[number]
export const offVerdictWords: Record<OffVerdict, string> = { short: 'Short', suspect: 'Suspect', charging: 'A capacitor is charging', plausible: 'Plausible' }

export interface OffStateInput {
  railV: number
  /** A drive or another load on the rail lowers it. */
  loadAttached: boolean
  /** Red lead on the rail, black on ground; nothing for an open circuit. */
  ohm: number | null
  /** The leads the other way round; left out where it was not measured. */
  reversedOhm?: number | null
  /** Whether the figure still climbs. */
  rising: boolean
  /** What the leads themselves read, held together. */
  leadsOhm?: number
}
export interface OffStateResult {
  verdict: OffVerdict
  shortBelowOhm: number
  suspectBelowOhm: number
  findings: Finding[]
}

/** Below these a rail is a short, or suspect; a load of its own draws through a few ohms. Common practice, no source. */
const limits = [
  { upToV: 6, shortOhm: 1, suspectOhm: { bare: 15, loaded: 5 } },
  { upToV: 30, shortOhm: 1.5, suspectOhm: { bare: 40, loaded: 8 } },
  { upToV: 400, shortOhm: 5, suspectOhm: { bare: 1000, loaded: 200 } },
] as const

/**
 * Judges the resistance of a rail to ground while nothing is powered: the look before the first start.
 * @param input resistance in ohm, in one direction or both
 * @returns a verdict, the limits it was judged by, findings with reasons
 * @throws InputError for a voltage or resistance that is none
 */
export function judgeOffState({ railV, loadAttached, ohm, reversedOhm, rising, leadsOhm = 0 }: OffStateInput): OffStateResult {
  if (!(Math.abs(railV) > 0 && Math.abs(railV) <= 400)) throw new InputError('railV', railV, 'Rail: a voltage other than zero, up to 400 V either way.')
  for (const [field, value] of [
    ['ohm', ohm ?? 0],
    ['reversedOhm', reversedOhm ?? 0],
    ['leadsOhm', leadsOhm],
  ] as const) {
    if (!(value >= 0))
      throw new InputError(field, value, 'Resistance: zero or more. A minus sign means that something still holds a charge: discharge it first.')
  }
  const { shortOhm, suspectOhm } = limits.find(l => Math.abs(railV) <= l.upToV)!
  const suspectBelowOhm = suspectOhm[loadAttached ? 'loaded' : 'bare']
  const both = [ohm, reversedOhm].flatMap(r => (typeof r === 'number' ? [Math.max(0, r - leadsOhm)] : []))
  const least = both.length ? Math.min(...both) : null
  const verdict: OffVerdict =
    least === null || least >= suspectBelowOhm
      ? rising
        ? 'charging'
        : 'plausible'
      : rising && least >= shortOhm
        ? 'charging'
        : least < shortOhm
          ? 'short'
          : 'suspect'
  return {
    verdict,
    shortBelowOhm: shortOhm,
    suspectBelowOhm,
    findings: judge({ railV, loadAttached, ohm, reversedOhm, rising, leadsOhm }, verdict, least, shortOhm, suspectBelowOhm),
  }
}

function judge(input: OffStateInput, verdict: OffVerdict, least: number | null, shortOhm: number, suspectOhm: number): Finding[] {
  const read = least === null ? 'It reads open.' : `${Number(least.toPrecision(3))} Ω, without the leads.`
  const once =
    input.reversedOhm === undefined
      ? [finding('note', 'off-state.one-way', 'Measured one way round only.', 'Chips read differently the other way; a short does not.', commonPractice)]
      : []
  switch (verdict) {
    case 'short':
      return [
        finding(
          'stop',
          'off-state.short',
          'The rail is shorted to ground. Do not power it.',
          [
            read,
            `Below ${shortOhm} Ω.`,
            input.loadAttached ? 'Unplug the load and measure again: drives short too.' : 'Pull cards one by one, then look for tantalum beads and chips.',
          ],
          commonPractice,
        ),
        ...once,
      ]
    case 'suspect':
      return [
        finding(
          'care',
          'off-state.suspect',
          'Low for this rail. Find out why before the first start.',
          [
            read,
            `With ${input.loadAttached ? 'a load' : 'no load'} attached it should read ${suspectOhm} Ω or more.`,
            input.loadAttached ? 'Measure again with the load unplugged.' : 'Compare with a sister, or the same rail on another card.',
          ],
          commonPractice,
        ),
        ...once,
      ]
    case 'charging':
      return [
        finding('note', 'off-state.charging', 'A capacitor is charging through the meter. Wait until it stands still, and read again.', read, commonPractice),
        ...once,
      ]
    case 'plausible':
      return [
        finding(
          'fine',
          'off-state.plausible',
          'No short to ground was found on this rail.',
          [read, 'Chips that fail only under voltage do not show this way.'],
          commonPractice,
        ),
        ...(least === null && input.loadAttached
          ? [
              finding(
                'care',
                'off-state.open',
                'Open with a load attached.',
                'A fuse, a plug or a trace may be open between here and the load.',
                commonPractice,
              ),
            ]
          : []),
        ...once,
      ]
  }
}

/**
 * What measured rails say of a short, for the gate. A rail that reads short counts whatever was entered; once every expected rail
 * was measured plausible, there is none; in between, what was entered stands.
 * @param entered the fact as somebody entered it
 * @param measured the newest verdict of every expected rail, nothing where it was not measured
 */
export function shortFact(entered: string | undefined, measured: readonly (OffVerdict | null)[]): string | undefined {
  if (measured.includes('short')) return 'yes'
  return measured.length > 0 && measured.every(v => v === 'plausible') ? 'no' : entered
}
