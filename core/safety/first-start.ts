import type { Finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type OffVerdict, offVerdictWords } from '../power/off-state'
import { shownRail } from '../power/rails'
import { fanless } from '../power/temperature'
import { type Configuration, configurationWords, isConnected } from './configuration'
import type { GateVerdict } from './gate-words'
import type { PowerFactName, PowerFacts, School } from './power-facts'
import { type Skilled, skills, whoCould } from '../kernel/skills'

/** One line of what is seen to before the switch is thrown. */
export interface StartCheck {
  code: string
  do: string
  why: string
  /** Known from the records: done, or not. Nothing where only the people at the machine can say. */
  known: boolean | null
}

export interface StartChecksInput {
  school: School
  configuration: Configuration
  facts: PowerFacts
  /** What each rail read to ground with the power off, in this configuration; nothing where it was not measured. */
  offState: readonly { rail: string; verdict: OffVerdict | null }[]
  /** Limit of the bench supply at the first start, in ampere. */
  firstLimitA: number | null
  /** What the gate has found. */
  gate: { verdict: GateVerdict; findings: readonly Finding[] }
}

/** Care that has a line of its own below, or that the start itself is there for. */
const saidElsewhere: readonly (string | undefined)[] = ['filterCapacitors', 'fan', 'pictureTube', 'rails'] satisfies PowerFactName[]

/**
 * What is seen to before a first start, in the order of the work, each line with its reason.
 * Depends on the school, on what is connected, on whether mains and a tube are in it, and on what has been measured.
 * Source: common practice, no source.
 */
export function startChecks(input: StartChecksInput): StartCheck[] {
  const { gate, configuration, facts } = input
  return [
    ...gate.findings
      .filter(f => f.level === 'stop')
      .map(f => check(`gate:${f.code}`, `Nothing keeps it off. Found: ${f.says}`, f.because.join(' '), gate.verdict !== 'keep-off' ? null : false)),
    ...gate.findings
      .filter(f => f.level === 'care' && !saidElsewhere.includes(f.fact))
      .map(f => check(`gate:${f.code}`, `Both know of this, and watch for it: ${f.says}`, f.because.join(' '))),
    ...asItStands(input),
    ...ofRails(input),
    ...ofOldParts(input),
    ...(takesMains(facts, configuration)
      ? [
          check(
            'switch',
            'The switch is on the extension lead, behind a residual-current device; its own mains switch is on already.',
            'Its own switch may be the fault, and brings a hand to the machine.',
          ),
          check(
            'way-out',
            'The way to the plug is clear, and something that puts out an electrical fire is at hand.',
            'Seconds count, and nobody climbs over a chair.',
          ),
        ]
      : []),
    ...(facts.fan === 'missing'
      ? [
          check(
            'fan',
            `It is off again after ${fanless.runSeconds} seconds.`,
            `Without its fan it is only run briefly, then rests ${fanless.restMinutes} minutes.`,
          ),
        ]
      : []),
    check(
      'meter',
      'The meter is on the first point already, its black lead clipped to ground; one hand stays in the pocket.',
      'Nobody reaches into a live machine with both hands.',
    ),
    check(
      'word',
      'Both know the word for off. Anyone who smells, hears or sees something says so.',
      'The one at the switch acts on the word, without asking why.',
    ),
  ]
}

const check = (code: string, says: string, why: string, known: boolean | null = null): StartCheck => ({ code, do: says, why, known })

/** Clean, connected as it was said, and without charge. */
const asItStands = ({ configuration, facts }: StartChecksInput): StartCheck[] => [
  check('dust', 'Dust is out, and nothing loose is left inside.', 'A screw or a ball of damp dust shorts whatever it touches.'),
  ...(configuration.kind === 'whole'
    ? []
    : [
        check(
          'configuration',
          `Connected as recorded: ${configurationWords(configuration)}.`,
          'The gate asked about this and nothing else. Connectors that hang free are held away from the case.',
        ),
      ]),
  ...(takesMains(facts, configuration)
    ? [check('charge', 'The big capacitors were measured, and are empty.', 'Many supplies have no bleeder; some hold their charge for days.')]
    : []),
]

/** Its rails measured to ground, a load on them, and a limit where a bench supply feeds them. */
function ofRails({ configuration: { kind }, configuration, facts, offState, firstLimitA }: StartChecksInput): StartCheck[] {
  const unread = offState.filter(r => r.verdict !== 'plausible')
  return [
    check(
      'off-state',
      `Every rail was measured to ground with the power off${kind === 'supply-alone' ? ', and the dummy load' : ', drives used as a load included'}.`,
      unread.length
        ? `Open: ${unread.map(r => `${shownRail(r.rail)} ${r.verdict ? offVerdictWords[r.verdict].toLowerCase() : 'not measured in this configuration'}`).join(', ')}.`
        : 'A short reads near zero; a drive can be the short.',
      offState.length > 0 && unread.length === 0,
    ),
    check(
      'load',
      kind === 'supply-alone'
        ? 'A dummy load is on the main rail.'
        : kind === 'bench-supply'
          ? 'The boards are the load; the bench supply shows what they draw.'
          : 'A load is on it: a drive, or a dummy load.',
      'Many supplies read low or wander with nothing attached, and some are harmed.',
    ),
    ...(kind === 'bench-supply' || !takesMains(facts, configuration)
      ? [
          check(
            'limit',
            firstLimitA === null ? 'The current limit is set as low as it will start with.' : `The current limit of the bench supply is at ${firstLimitA} A.`,
            'A limit turns a short into a reading instead of smoke.',
          ),
        ]
      : []),
  ]
}

/** Line-filter capacitors by the school, and a tube. */
const ofOldParts = ({ school, configuration, facts }: StartChecksInput): StartCheck[] => [
  ...(isConnected('facts', 'filterCapacitors', configuration) && facts.filterCapacitors === 'sound'
    ? [
        check(
          'baseline',
          'The line-filter capacitors were looked at just now: none cracked, none bulging.',
          `${school === 'caps-first' ? 'The gate was overruled' : 'Baseline first'}: one short, attended start with the old ones, eyes and nose on them. Never with a cracked one.`,
        ),
      ]
    : school === 'caps-first' && takesMains(facts, configuration)
      ? [check('caps', 'No old line-filter capacitor is left.', 'Caps first: nothing takes mains before they are replaced.', true)]
      : []),
  ...(facts.pictureTube === 'enclosed' || facts.pictureTube === 'open'
    ? [check('tube', 'The covers round the picture tube are on, or somebody trained stands by.', 'It keeps a high charge, switched off too.')]
    : []),
]

/** Whether mains comes to it in this configuration. */
export const takesMains = (facts: PowerFacts, configuration: Configuration): boolean =>
  isConnected('facts', 'mainsLead', configuration) && facts.mainsLead !== 'not-used'

export interface Starter extends Skilled {
  id: number
  name: string
}
export interface StartersInput {
  atProbe: Starter
  atSwitch: Starter
  facts: PowerFacts
  configuration: Configuration
  crew: readonly Skilled[]
}

/**
 * Whether these two may start it: mains takes two people, and somebody with the skill at the switch.
 * Two people are two people on every machine; on one that takes no mains nobody needs a skill for it.
 * @throws InputError naming the place, and who could take it
 */
export function judgeStarters({ atProbe, atSwitch, facts, configuration, crew }: StartersInput): void {
  if (atProbe.id === atSwitch.id) throw new InputError('atProbe', atProbe.id, 'At the probe: a start takes two people, one at the probe and one at the switch.')
  if (!takesMains(facts, configuration)) return
  if (!atSwitch.skills.includes('mains'))
    throw new InputError(
      'atSwitch',
      atSwitch.id,
      `At the switch: ${atSwitch.name} has not been granted the skill “${skills.mains.title}”. ${whoCould('mains', crew)}`,
    )
}

/**
 * Whether the first start is behind it, as the rails stand now: they are within limits, or the newest start read every one of them. One that was called
 * off before its rails stood is none, and neither is any from before the rails became unread again.
 * @param newestOutcome of the newest start that has ended
 */
export const firstStartDone = (rails: string | undefined, newestOutcome: string | undefined): boolean =>
  rails !== undefined && rails !== 'unread' && (rails === 'good' || newestOutcome === 'all-read')
