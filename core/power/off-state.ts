import { significant } from '../kernel/figure'
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
  /** What the rail draws when it runs; its limits follow from it where it is known. */
  currentA?: number
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

/** What a rail with nothing on it reads at least. */
const bareLimitOhm = (railV: number) => limits.find(l => Math.abs(railV) <= l.upToV)!.suspectOhm.bare

/** With the leads nulled a short may read a little below nothing; further below, something holds a charge. Common practice, no source. */
export const nulledOhm = -1
/**
 * A rail that runs at V / I does not read less while it is off: chips conduct less at the meter's small voltage, not more.
 * A fifth of that, or a tenth of an ohm, is a short. Common practice, no source.
 */
const shortShare = 0.2
const leastShortOhm = 0.1

function limitsFor(railV: number, loadAttached: boolean, currentA: number | undefined): { shortOhm: number; suspectBelowOhm: number } {
  const { shortOhm, suspectOhm } = limits.find(l => Math.abs(railV) <= l.upToV)!
  if (currentA === undefined) return { shortOhm, suspectBelowOhm: suspectOhm[loadAttached ? 'loaded' : 'bare'] }
  const runsAtOhm = Math.abs(railV) / currentA
  return { shortOhm: Math.max(leastShortOhm, Math.min(shortOhm, runsAtOhm * shortShare)), suspectBelowOhm: Math.max(leastShortOhm, runsAtOhm) }
}

/**
 * Judges the resistance of a rail to ground while nothing is powered: the look before the first start.
 * @param input resistance in ohm, in one direction or both
 * @returns a verdict, the limits it was judged by, findings with reasons
 * @throws InputError for a voltage or resistance that is none
 */
export function judgeOffState({ railV, loadAttached, ohm, reversedOhm, rising, leadsOhm = 0, currentA }: OffStateInput): OffStateResult {
  if (!(Math.abs(railV) > 0 && Math.abs(railV) <= 400)) throw new InputError('railV', railV, 'Rail: a voltage other than zero, up to 400 V either way.')
  for (const [field, value] of [
    ['ohm', ohm ?? 0],
    ['reversedOhm', reversedOhm ?? 0],
    ['leadsOhm', leadsOhm],
  ] as const) {
    if (!(value >= (field === 'leadsOhm' ? 0 : nulledOhm)))
      throw new InputError(
        field,
        value,
        'Resistance: zero or more; down to −1 Ω with the leads nulled. Further below, something still holds a charge: discharge it first.',
      )
  }
  if (currentA !== undefined && !(currentA > 0 && currentA <= 200))
    throw new InputError('currentA', currentA, 'What the rail draws: above zero and up to 200 A, or left out.')
  const { shortOhm, suspectBelowOhm } = limitsFor(railV, loadAttached, currentA)
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
    findings: judge({ railV, loadAttached, ohm, reversedOhm, rising, leadsOhm, currentA }, verdict, least, shortOhm, suspectBelowOhm),
  }
}

function judge(input: OffStateInput, verdict: OffVerdict, least: number | null, shortOhm: number, suspectOhm: number): Finding[] {
  const read = least === null ? 'It reads open.' : `${significant(least)} Ω, without the leads.`
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
            `Below ${significant(shortOhm, 2)} Ω.`,
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
            `${input.currentA === undefined ? `With ${input.loadAttached ? 'a load' : 'no load'} attached` : `By the ${input.currentA} A that it draws`} it should read ${significant(suspectOhm)} Ω or more.`,
            input.loadAttached ? 'Measure again with the load unplugged.' : 'Compare with a sister, or the same rail on another card.',
          ],
          commonPractice,
        ),
        ...once,
      ]
    case 'charging':
      return [
        finding(
          'note',
          'off-state.charging',
          'A capacitor is charging through the meter. Wait until the reading is steady, and read again.',
          read,
          commonPractice,
        ),
        ...once,
      ]
    case 'plausible':
      return [...plausible(input, least, read), ...once]
  }
}

/** No short was found; where a load reads as low as a fault would, that is said too. */
function plausible({ railV, loadAttached, currentA }: OffStateInput, least: number | null, read: string): Finding[] {
  const hides = least !== null && least < bareLimitOhm(railV)
  return [
    finding(
      hides ? 'note' : 'fine',
      'off-state.plausible',
      'No short to ground was found on this rail.',
      [read, 'Chips that fail only under voltage do not show this way.'],
      commonPractice,
    ),
    ...(hides
      ? [
          finding(
            'care',
            'off-state.load-hides',
            'A short of a few ohms would read like that as well.',
            [
              loadAttached ? 'The load reads as low as the fault would.' : `It is what ${currentA} A run at.`,
              `Unplug what draws it and measure again: alone, the rail should read ${bareLimitOhm(railV)} Ω or more.`,
            ],
            commonPractice,
          ),
        ]
      : []),
    ...(least === null && loadAttached
      ? [finding('care', 'off-state.open', 'Open with a load attached.', 'A fuse, a plug or a trace may be open between here and the load.', commonPractice)]
      : []),
  ]
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
