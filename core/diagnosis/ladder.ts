import { type Finding, commonPractice, finding } from '../kernel/finding'

/** What a machine needs one after the other to come alive. */
export const rungs = ['rails', 'clock', 'reset', 'bus', 'rom', 'memory', 'video-timing', 'video-data', 'keyboard', 'storage', 'ports'] as const
export type Rung = (typeof rungs)[number]
export const rungNames: Record<Rung, string> = {
  'rails': 'Rails',
  'clock': 'Clock',
  'reset': 'Reset',
  'bus': 'Code is being executed',
  'rom': 'ROM and its selection',
  'memory': 'Memory',
  'video-timing': 'Video timing',
  'video-data': 'Video data',
  'keyboard': 'Keyboard',
  'storage': 'Drives',
  'ports': 'Ports',
}
const hows: Record<Rung, string> = {
  'rails': 'Each rail at the pins of a chip, with its load attached.',
  'clock': 'The clock at the processor’s pin: a steady rate between its levels, as the data sheet has it.',
  'reset': 'Reset at the processor’s pin: active at the start, then let go, and it stays so.',
  'bus': 'A data pin: irregular changes between the levels mean that code is running; a fixed or half-height level means it is not.',
  'rom': 'The select of the ROM: it changes after reset. Read the ROM, three times alike.',
  'memory': 'Strobes and rails at one memory chip, then the memory test, then chips one by one.',
  'video-timing': 'Sync at the output of the video circuit; then brightness up before you despair.',
  'video-data': 'The data of the video memory, and what the processor has written there.',
  'keyboard': 'A shorted row and column from outside: it separates electronics from keys.',
  'storage': 'Rails at the drive under load, then select and ready; no original media before heads are clean.',
  'ports': 'Never plug with the power on. Levels at the driver, then speed and framing.',
}

export const machineClasses = ['single-board', 'card-cage', 'desktop', 'terminal', 'portable'] as const
export type MachineClass = (typeof machineClasses)[number]
export const machineClassNames: Record<MachineClass, string> = {
  'single-board': 'Single-board micro',
  'card-cage': 'Mini in a card cage',
  'desktop': 'Desktop with slots',
  'terminal': 'Terminal',
  'portable': 'Portable',
}
/** What a class has, in the order of the work. */
export const rungsOf: Record<MachineClass, readonly Rung[]> = {
  'single-board': ['rails', 'clock', 'reset', 'bus', 'rom', 'memory', 'video-timing', 'video-data', 'keyboard', 'ports'],
  'card-cage': ['rails', 'clock', 'reset', 'bus', 'memory', 'storage', 'ports'],
  'desktop': rungs,
  'terminal': ['rails', 'clock', 'reset', 'bus', 'rom', 'memory', 'video-timing', 'video-data', 'keyboard', 'ports'],
  'portable': rungs,
}

export const observations = {
  'good-characters': 'Well-formed characters in random places',
  'steady-rubbish': 'Steady rubbish, the same each time',
  'black': 'Black',
  'black-bright': 'Black, but with the brightness up something shows',
  'no-sync': 'It rolls or tears: no sync',
  'greeting': 'It shows its greeting',
  'no-cursor': 'No cursor',
  'beeps': 'It beeps, in a pattern',
  'lamps-frozen': 'Lamps frozen',
  'lamps-move': 'Lamps move',
  'clicks': 'It clicks again and again',
  'rail-low': 'A rail is low or missing',
  'rails-good': 'Every rail is in order, under load',
  'clock-seen': 'The clock is there',
  'no-clock': 'No clock',
  'reset-held': 'Reset stays active',
  'reset-let-go': 'Reset is let go',
  'bus-irregular': 'A data pin changes irregularly',
  'bus-still': 'Data pins do not move, or sit at half height',
  'rom-read': 'The ROM reads well, three times alike',
  'key-answers': 'A key is answered',
  'keys-dead': 'No key is answered',
  'memory-error': 'It reports a memory error',
  'boots': 'It loads from a drive',
  'no-boot': 'It asks for a disk, or does not load',
} as const
export type Observation = keyof typeof observations
export const observationNames = Object.keys(observations) as Observation[]

/**
 * What the rails on record say to the ladder: each in order under load, or one below its limits; nothing where they say neither, as what was read
 * without a load proves none.
 */
export function railsOnRecord(rails: readonly { verdict: string; deviationPct?: number; deciding?: { load: string } }[]): Observation | null {
  if (rails.some(r => r.verdict === 'out' && (r.deviationPct ?? 0) < 0)) return 'rail-low'
  return rails.length && rails.every(r => r.verdict === 'good' && r.deciding?.load === 'loaded') ? 'rails-good' : null
}

export interface LadderRule {
  when: Observation
  proves?: readonly Rung[]
  suspects?: readonly Rung[]
  because: string
}
/** What each observation says. Data: a model may add its own. Common practice, no source. */
export const ladderRules: readonly LadderRule[] = [
  { when: 'rails-good', proves: ['rails'], because: 'They were read, and are in order.' },
  { when: 'rail-low', suspects: ['rails'], because: 'Nothing can be believed while a rail is low.' },
  { when: 'clicks', suspects: ['rails'], because: 'A supply that starts again and again sees a short or too little load.' },
  { when: 'clock-seen', proves: ['clock'], because: 'It was seen.' },
  { when: 'no-clock', suspects: ['clock'], because: 'Without a clock nothing moves.' },
  { when: 'reset-held', suspects: ['reset'], because: 'The processor is kept from starting.' },
  { when: 'reset-let-go', proves: ['reset'], because: 'It was seen to be let go.' },
  { when: 'bus-irregular', proves: ['clock', 'bus'], because: 'Irregular changes mean that code is running; that needs a clock.' },
  { when: 'bus-still', suspects: ['bus', 'reset', 'clock'], because: 'A fixed or half-height level means that no code is running.' },
  { when: 'rom-read', proves: ['rom'], because: 'It reads alike three times.' },
  {
    when: 'good-characters',
    proves: ['video-timing', 'video-data'],
    suspects: ['bus', 'rom', 'memory'],
    because: 'The video circuit works; the processor never cleared the screen.',
  },
  {
    when: 'steady-rubbish',
    proves: ['video-timing'],
    suspects: ['video-data', 'memory', 'bus'],
    because: 'There is sync; what is shown is not what was meant.',
  },
  {
    when: 'black',
    suspects: ['video-timing', 'video-data', 'bus', 'rails'],
    because: 'Black says little: turn the brightness up, and listen, before you go on.',
  },
  { when: 'black-bright', proves: ['video-timing'], suspects: ['video-data'], because: 'A picture that shows with the brightness up is a problem of levels.' },
  { when: 'no-sync', suspects: ['video-timing', 'clock'], because: 'Sync is made from a clock; or the set is off its channel.' },
  { when: 'greeting', proves: ['clock', 'reset', 'bus', 'rom', 'video-timing', 'video-data'], because: 'What greets has executed its ROM and shown it.' },
  { when: 'no-cursor', suspects: ['video-data', 'ports'], because: 'In a part-assembled machine the missing board may be the one that blinks it.' },
  { when: 'beeps', proves: ['clock', 'reset', 'bus', 'rom'], because: 'A pattern of beeps is made by code. The model’s table says what it means.' },
  { when: 'lamps-frozen', suspects: ['bus', 'clock', 'reset'], because: 'Lamps are driven by code, or by a loop that has stopped.' },
  { when: 'lamps-move', proves: ['clock', 'bus'], because: 'Something is being executed.' },
  { when: 'key-answers', proves: ['clock', 'reset', 'bus', 'keyboard'], because: 'What answers a key executes code.' },
  { when: 'keys-dead', suspects: ['keyboard', 'bus'], because: 'Keys, their lead, or a processor that has stopped.' },
  { when: 'memory-error', proves: ['clock', 'reset', 'bus', 'rom'], suspects: ['memory'], because: 'What reports an error is running.' },
  { when: 'boots', proves: ['clock', 'reset', 'bus', 'memory', 'storage'], because: 'Loading takes all of these.' },
  { when: 'no-boot', suspects: ['storage'], because: 'It asks: so it runs. Drive, lead, controller or media.' },
]

export interface LadderInput {
  machine: MachineClass
  seen: readonly Observation[]
  /** Rules that a model adds. */
  more?: readonly LadderRule[]
}
export interface RungState {
  rung: Rung
  state: 'works' | 'suspect' | 'contradicted' | 'unknown'
  because: string[]
}
export interface LadderResult {
  rungs: RungState[]
  next: { rung: Rung; how: string } | null
  findings: Finding[]
}

/**
 * What works for certain, what is under suspicion, and what to look at next, with the chain of reasons.
 * The first rung that is not known to work is next, whatever the screen suggests. What is both proved and suspected is named.
 * Only what was read proves the rails: a machine may run for a while on poor ones.
 */
export function climb({ machine, seen, more = [] }: LadderInput): LadderResult {
  const rules = [...ladderRules, ...more].filter(r => seen.includes(r.when))
  const states = rungsOf[machine].map((rung): RungState => {
    const proved = rules.filter(r => r.proves?.includes(rung))
    const doubted = rules.filter(r => r.suspects?.includes(rung))
    const state = proved.length && doubted.some(d => isFirm(d, rung)) ? 'contradicted' : proved.length ? 'works' : doubted.length ? 'suspect' : 'unknown'
    return { rung, state, because: [...proved, ...(state === 'works' ? [] : doubted)].map(r => `${observations[r.when]}: ${low(r.because)}`) }
  })
  const first = states.find(s => s.state !== 'works')
  const findings: Finding[] = states
    .filter(s => s.state === 'contradicted')
    .map(s =>
      finding(
        'care',
        'ladder.contradiction',
        `${rungNames[s.rung]}: what was seen contradicts itself.`,
        `${s.because.join(' ')} It comes and goes, or one of them was misread: look again.`,
      ),
    )
  if (!seen.length)
    findings.push(
      finding(
        'note',
        'ladder.nothing',
        'Say what was seen, or heard.',
        'Without that, the order is: rails, clock, reset, then whether code is being executed.',
      ),
    )
  else if (first)
    findings.push(
      finding(
        'care',
        'ladder.next',
        `Next: ${low(rungNames[first.rung])}.`,
        `${first.because[0] ?? 'Nobody has looked at it yet, and everything above it rests on it.'} ${hows[first.rung]}`,
        commonPractice,
      ),
    )
  else findings.push(finding('note', 'ladder.top', 'Each rung has been seen to work.', 'That was seen once; a soak shows whether it stays so.'))
  return { rungs: states, next: first ? { rung: first.rung, how: hows[first.rung] } : null, findings }
}

/** Whether a suspicion is about this rung itself, and not one of several: the first that it names is. */
const isFirm = (rule: LadderRule, rung: Rung) => rule.suspects?.[0] === rung
const low = (words: string) => words.charAt(0).toLowerCase() + words.slice(1)
