import { commonPractice, finding } from '../kernel/finding'
import { type Heard, heard, meaning, slug } from '../kernel/heard'
import { limitsOf, shownRail, volts } from './rails'
import { toleranceFor } from './tolerances'

/** What one output of a bench supply is set to, and what it feeds: a rail by its name, or the inlet. */
export interface BenchOutput {
  feeds: string
  /** With its sign, as the meter shows it at the board. */
  voltageV: number
  limitA: number
  /** Whether plus and minus were checked with the meter, at the board, before it was attached. */
  polarityChecked: boolean
}
/** How an output that feeds the inlet of the machine is named. */
export const inletName = 'Inlet'

export interface BenchInput {
  outputs: readonly BenchOutput[]
  rails: readonly { name: string; nominalV: number; tolerancePct?: number }[]
  /** What the inlet needs, in volt; nothing where it is not known. */
  inletV: number | null
  /** The highest limit for a first start, in ampere; nothing where it is not known. */
  runLimitA: number | null
}

/**
 * What a bench supply is set to, before boards are fed from it: voltage, sign, limit, polarity checked with a meter.
 * @returns what the gate hears; nothing where everything is set as it should be
 * Limits as for the rails. Common practice, no source.
 */
export function judgeBench({ outputs, rails, inletV, runLimitA }: BenchInput): Heard[] {
  if (!outputs.length)
    return [
      heard(
        finding(
          'note',
          'bench.not-looked',
          'What the bench supply is set to has not been said.',
          'Voltage, polarity and current limit, measured before it is attached.',
          commonPractice,
          { open: 'not-looked', concerns: 'supply' },
        ),
        'Say what the bench supply is set to: under What is connected, voltage, limit and polarity for each output.',
      ),
    ]
  return meaning(
    { concerns: 'supply' },
    outputs.flatMap(output => ofOutput(output, { rails, inletV, runLimitA })),
  )
}

function ofOutput(
  { feeds: named, voltageV, limitA, polarityChecked }: BenchInput['outputs'][number],
  { rails, inletV, runLimitA }: Omit<BenchInput, 'outputs'>,
): Heard[] {
  const feeds = shownRail(named)
  const code = (name: string) => `bench.${name}.${slug(feeds)}`
  const rail = named === inletName ? (inletV === null ? null : { name: named, nominalV: inletV }) : rails.find(r => r.name === named)
  const says = `${feeds} is fed with ${volts(voltageV)}, limited to ${limitA} A.`
  if (!rail)
    return [
      heard(
        finding('care', `${code('unknown')}.not-looked`, `${says} What it should get is not known.`, 'Nothing on record says what belongs there.', undefined, {
          open: 'not-looked',
        }),
        `Say what ${feeds === inletName ? 'its inlet needs' : `the rail ${feeds} should carry`}.`,
      ),
    ]
  const { lowV, highV } = limitsOf(rail.nominalV, 'tolerancePct' in rail && rail.tolerancePct ? rail.tolerancePct : toleranceFor(rail.nominalV).tolerancePct)
  const within = voltageV >= lowV && voltageV <= highV
  const low = !within && Math.sign(voltageV) === Math.sign(rail.nominalV) && Math.abs(voltageV) < Math.abs(rail.nominalV)
  const because = `${volts(lowV)} to ${volts(highV)} belongs there.`
  return [
    ...(within
      ? []
      : [
          heard(
            finding(low ? 'care' : 'stop', code('voltage'), low ? `${says} That is low.` : `${says} That would harm it.`, because, commonPractice),
            `Set ${feeds} to ${volts(rail.nominalV)}, measure it, and say so.`,
          ),
        ]),
    ...(polarityChecked
      ? []
      : [
          heard(
            finding(
              'note',
              `${code('polarity')}.not-looked`,
              `${feeds}: plus and minus have not been checked with the meter.`,
              'A board that is fed the wrong way round is lost at once.',
              commonPractice,
              { open: 'not-looked' },
            ),
            `Check plus and minus of ${feeds} with the meter, at the board, before it is attached.`,
          ),
        ]),
    ...(runLimitA !== null && limitA > runLimitA
      ? [
          heard(
            finding(
              'care',
              code('limit'),
              `${feeds} is limited to ${limitA} A, more than ${runLimitA} A.`,
              'A limit far above what it draws protects nothing.',
              commonPractice,
            ),
            `Set the limit of ${feeds} to ${runLimitA} A or less.`,
          ),
        ]
      : []),
  ]
}
