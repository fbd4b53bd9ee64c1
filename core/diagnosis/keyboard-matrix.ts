import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { judgeContact, printedJumperOhm } from '../continuity/contact'
import { idOf, leastExplanations } from './matrix-cover'

/** What a key does when it is pressed. */
export const keyStates = ['untested', 'works', 'fails', 'sticks'] as const
export type KeyState = (typeof keyStates)[number]

export interface MatrixKey {
  key: string
  row: string
  column: string
  state: KeyState
}
export interface MatrixInput {
  keys: readonly MatrixKey[]
  /** The keys stand in the order in which each line passes them, the end at the connector first. Otherwise no break is placed. */
  fromConnector?: boolean
  /** Each key has a diode of its own. */
  diodes?: boolean
  /** Lines that were measured from the connector to their far end: a reading in ohms, or nothing for open. */
  lines?: readonly { line: string; ohm: number | null }[]
  /** Diodes that were measured, in the diode test. */
  drops?: readonly { key: string; volts: number | null }[]
  /** Row and column shorted at the connector, with the keyboard unplugged: whether the machine took it for a key. */
  shorted?: readonly { row: string; column: string; types: boolean }[]
  /** Lines are printed in conductive ink. */
  printed?: boolean
}
export type MatrixFault =
  | { kind: 'line'; line: string; keys: string[] }
  /** The line is gone from this key on. */
  | { kind: 'trace'; line: string; after: string; keys: string[] }
  /** A part of the line is gone; where, is not known without the order of its keys. */
  | { kind: 'part'; line: string; keys: string[] }
  /** What drives or reads the line: connector, driver, receiver. */
  | { kind: 'drive'; line: string; keys: string[] }
  /** Something that every key needs. */
  | { kind: 'common'; keys: string[] }
  | { kind: 'contact' | 'diode'; keys: string[] }
export interface MatrixResult {
  /** The likeliest of the explanations. */
  faults: MatrixFault[]
  /** All sets of as few faults, up to six of them; more are counted in `explanationsAtLeast`. */
  explanations: MatrixFault[][]
  explanationsAtLeast: number
  /** As many faults would it take, were each key to be at fault by itself. */
  keyByKey: number
  side: 'electronics' | 'keys' | 'unknown'
  measure: { what: string; expect: string }[]
  findings: Finding[]
}
/** What a matrix has shown, made ready for the search. */
export interface MatrixEvidence {
  keys: readonly MatrixKey[]
  ordered: boolean
  /** Lines that were measured: whole, or not. */
  wire: ReadonlyMap<string, boolean>
  /** Lines that answered to a short at the connector. */
  driven: ReadonlySet<string>
  /** Shorts at the connector that nothing answered. */
  deaf: readonly { row: string; column: string }[]
  badDiodes: ReadonlySet<string>
}

const most = { keys: 200, named: 6 } as const
/** A silicon junction in the diode test. Common practice, no source. */
const junctionV = { from: 0.45, to: 0.8 }

/**
 * The fewest faults of lines, traces, drivers, diodes and contacts that explain which keys of a matrix fail, with all that was measured.
 * What is alive anywhere acquits its lines up to there, what was measured whole is acquitted, what was measured broken is in every
 * explanation. Where every key is dead, what they share comes first. What is likely: common practice, no source.
 * @throws InputError for keys named twice, or more than a keyboard has
 */
export function judgeMatrix(input: MatrixInput): MatrixResult {
  const { keys, fromConnector = false, diodes = false, lines = [], drops = [], shorted = [], printed = false } = input
  check(keys, lines, drops, shorted)
  const failing = keys.filter(k => k.state === 'fails')
  const evidence: MatrixEvidence = {
    keys,
    ordered: fromConnector,
    wire: new Map(lines.map(l => [l.line, isWhole(l.ohm, printed)])),
    driven: new Set(shorted.filter(s => s.types).flatMap(s => [s.row, s.column])),
    deaf: shorted.filter(s => !s.types && !keys.some(k => k.row === s.row && k.column === s.column && isAlive(k))),
    badDiodes: new Set(drops.filter(d => !isJunction(d.volts)).map(d => d.key)),
  }
  const { sets, complete } = leastExplanations(evidence)
  const allDead = failing.length > 3 && !keys.some(isAlive) && (sets[0]?.length ?? 0) > 1
  const faults: MatrixFault[] = allDead
    ? [{ kind: 'common', keys: keys.map(k => k.key) }, ...(sets[0] ?? []).filter(f => f.kind === 'line' && evidence.wire.get(f.line) === false)]
    : (sets[0] ?? [])
  const side = sideOf(shorted)
  const findings = [...sideFindings(side, shorted), ...lines.map(({ line, ohm }) => lineFinding(line, ohm, printed)), ...drops.flatMap(diodeFindings)]
  for (const f of faults) findings.push(faultFinding(f, evidence))
  findings.push(...rivals(allDead ? [] : sets, complete), ...contradictions(evidence, sets[0] ?? []))
  findings.push(...sticking(keys, diodes))
  const untested = keys.filter(k => k.state === 'untested').length
  if (untested && failing.length)
    findings.push(
      finding('note', 'matrix.untested', `${untested} keys are not tested yet.`, 'One that works on a suspected line acquits the line: test those first.'),
    )
  if (!failing.length && !findings.length)
    findings.push(
      finding(
        'note',
        'matrix.none',
        untested ? 'No key is said to fail yet.' : 'Every key was tested, and none fails.',
        'Press each once, lightly, and hold it a moment.',
      ),
    )
  return {
    faults,
    explanations: (allDead ? [faults] : sets).slice(0, most.named),
    explanationsAtLeast: allDead ? 1 : sets.length,
    keyByKey: failing.length,
    side,
    measure: measures(allDead ? [] : [...faults, ...rivalFaults(sets, faults)], lines, printed, side),
    findings,
  }
}

/** What the next two explanations name beside the first. */
const rivalFaults = (sets: readonly MatrixFault[][], faults: readonly MatrixFault[]) =>
  sets
    .slice(1, 3)
    .flat()
    .filter(f => !faults.some(o => idOf(o) === idOf(f)))

function sideFindings(side: MatrixResult['side'], shorted: NonNullable<MatrixInput['shorted']>): Finding[] {
  if (side === 'unknown') return []
  if (side === 'keys')
    return [
      finding(
        'note',
        'matrix.keys',
        'The electronics answer where the lines are shorted from outside.',
        'The fault is in the keyboard: tail, jumpers, lines or contacts.',
      ),
    ]
  const silent = shorted.filter(s => !s.types).map(s => `${s.row} to ${s.column}`)
  return [
    finding(
      'care',
      'matrix.electronics',
      'The electronics do not answer where the lines are shorted from outside.',
      `${silent.join(', ')}: look at the connector, the driver of the column and the receiver of the row before the keys.`,
    ),
  ]
}

const diodeFindings = ({ key, volts }: NonNullable<MatrixInput['drops']>[number]): Finding[] =>
  isJunction(volts)
    ? []
    : [
        finding(
          'care',
          'matrix.diode',
          `The diode of ${key} reads ${volts === null ? 'open' : `${volts} V`}.`,
          'About 0.6 V is a silicon junction.',
          commonPractice,
        ),
      ]

const isAlive = (k: MatrixKey) => k.state === 'works' || k.state === 'sticks'

/** Other sets of as few faults: the first is not the only one. */
function rivals(sets: readonly MatrixFault[][], complete: boolean): Finding[] {
  if (sets.length < 2)
    return complete || !sets.length
      ? []
      : [finding('note', 'matrix.rivals', 'There may be other explanations with as few faults.', 'Too many fail at once to try all.')]
  const [first, ...others] = sets
  const named = others.slice(0, most.named - 1).map(set =>
    set
      .filter(f => !first!.some(o => idOf(o) === idOf(f)))
      .map(shortly)
      .join(' and '),
  )
  const rest = others.length - named.length
  return [
    finding(
      'note',
      'matrix.rivals',
      `${complete ? '' : 'At least '}${others.length === 1 ? 'one other explanation takes' : `${others.length} other explanations take`} as few faults.`.replace(
        /^./,
        c => c.toUpperCase(),
      ),
      [
        ...named.map(n => `Instead: ${n}.`),
        ...(rest ? [`And ${rest} more.`] : []),
        'A key that works on a suspected line acquits it; measuring the line settles it.',
      ],
    ),
  ]
}
function shortly(f: MatrixFault): string {
  switch (f.kind) {
    case 'common':
      return 'what all keys share'
    case 'contact':
    case 'diode':
      return `the ${f.kind} of ${f.keys[0]}`
    case 'line':
      return `line ${f.line}`
    case 'trace':
      return `line ${f.line} beyond ${f.after}`
    case 'part':
      return `a part of line ${f.line}`
    case 'drive':
      return `what drives ${f.line}`
  }
}

/** What was measured that does not go together with what the keys do. */
function contradictions({ keys, wire, deaf }: MatrixEvidence, set: readonly MatrixFault[]): Finding[] {
  const told = new Set(set.flatMap(f => f.keys))
  const broken = [...wire].filter(([, whole]) => !whole).map(([line]) => line)
  const idle = broken.filter(line => !set.some(f => 'line' in f && f.line === line))
  const unexplained = keys.filter(k => k.state === 'fails' && !told.has(k.key))
  const unheard = deaf.filter(d => !set.some(f => f.kind === 'drive' && (f.line === d.row || f.line === d.column)))
  return [
    ...idle
      .filter(line => keys.some(k => (k.row === line || k.column === line) && isAlive(k)))
      .map(line =>
        finding(
          'care',
          'matrix.contradiction',
          `Line ${line} does not read as whole, and the keys on it answer.`,
          'It was measured elsewhere, or it comes and goes: measure it again while a key is held.',
        ),
      ),
    ...(unexplained.length
      ? [
          finding(
            'care',
            'matrix.unexplained',
            `What was measured leaves no explanation for ${unexplained
              .map(k => k.key)
              .slice(0, 8)
              .join(', ')}.`,
            'One of the readings, or of the keys that are said to work, is not as it was told.',
          ),
        ]
      : []),
    ...unheard.map(d =>
      finding(
        'care',
        'matrix.unexplained',
        `${d.row} to ${d.column} was not answered, though keys of both answer.`,
        'Short them again, at the very pins of the connector.',
      ),
    ),
  ]
}

function check(
  keys: readonly MatrixKey[],
  lines: NonNullable<MatrixInput['lines']>,
  drops: NonNullable<MatrixInput['drops']>,
  shorted: NonNullable<MatrixInput['shorted']>,
): void {
  if (!keys.length || keys.length > most.keys) throw new InputError('keys', keys.length, `Keys: 1 to ${most.keys}, please.`)
  const names = new Set<string>()
  keys.forEach((k, i) => {
    if (!k.key.trim() || !k.row.trim() || !k.column.trim()) throw new InputError(`keys.${i}`, k.key, `Key ${i + 1}: it needs a name, a row and a column.`)
    if (names.has(k.key)) throw new InputError(`keys.${i}.key`, k.key, `${k.key} is named twice.`)
    names.add(k.key)
  })
  const all = new Set(keys.flatMap(k => [k.row, k.column]))
  lines.forEach((l, i) => {
    if (!all.has(l.line)) throw new InputError(`lines.${i}.line`, l.line, `“${l.line}” is no row and no column.`)
  })
  drops.forEach((d, i) => {
    if (!names.has(d.key)) throw new InputError(`drops.${i}.key`, d.key, `“${d.key}” is none of the keys.`)
  })
  shorted.forEach((s, i) => {
    for (const line of [s.row, s.column]) if (!all.has(line)) throw new InputError(`shorted.${i}`, line, `“${line}” is no row and no column.`)
  })
}

const isWhole = (ohm: number | null, printed: boolean) => judgeContact({ readingsOhm: [ohm], expectOhm: printed ? printedJumperOhm : 0 }).contact === 'joined'
const isJunction = (volts: number | null) => volts !== null && volts >= junctionV.from && volts <= junctionV.to
const sideOf = (shorted: NonNullable<MatrixInput['shorted']>): MatrixResult['side'] =>
  !shorted.length ? 'unknown' : shorted.every(s => s.types) ? 'keys' : 'electronics'

function lineFinding(line: string, ohm: number | null, printed: boolean): Finding {
  const { contact, findings } = judgeContact({ readingsOhm: [ohm], expectOhm: printed ? printedJumperOhm : 0 })
  const [found] = findings
  return { ...found!, code: `matrix.line.${contact}`, says: `Line ${line}: ${contact === 'joined' ? 'joined' : contact === 'open' ? 'open' : 'high'}.` }
}

function faultFinding(f: MatrixFault, { keys, driven, wire }: MatrixEvidence): Finding {
  const some = (list: readonly string[]) => `${list.slice(0, 8).join(', ')}${list.length > 8 ? ` and ${list.length - 8} more` : ''}`
  const untested = f.keys.filter(k => keys.find(m => m.key === k)?.state === 'untested')
  const but = untested.length ? ` Not tested on it: ${some(untested)}.` : ''
  if (f.kind === 'common')
    return finding('care', 'matrix.common', 'No key answers: look at what they share before any line.', [
      'The plug, seated and the right way round; its supply and ground; the tail; the controller, its clock and its reset.',
      ...(untested.length ? [`${untested.length} keys are not tested: one that answers changes this.`] : []),
    ])
  if (f.kind === 'part')
    return finding(
      'care',
      'matrix.part',
      `A part of line ${f.line}.`,
      `Other keys of it work; these do not: ${some(f.keys)}. In the order of the keys from the connector on it can be placed.`,
    )
  if (f.kind === 'drive')
    return finding(
      'care',
      'matrix.drive',
      `What drives or reads ${f.line}: its connector, driver or receiver.`,
      `Its keys do not answer, and its line is not what silences them: ${some(f.keys)}.${but}`,
    )
  if (f.kind === 'line')
    return finding(
      'care',
      'matrix.line',
      `Line ${f.line} as a whole: its trace, jumper${driven.has(f.line) || wire.get(f.line) === false ? ' or tail' : ', tail or driver'}.`,
      `No key of it works: ${some(f.keys)}.${but}`,
    )
  if (f.kind === 'trace')
    return finding(
      'care',
      'matrix.trace',
      `Line ${f.line} is gone beyond ${f.after}.`,
      `Keys nearer to the connector work; these do not: ${some(f.keys)}.${but}`,
    )
  return finding(
    'care',
    `matrix.${f.kind}`,
    `${f.keys[0]} by itself: ${f.kind === 'diode' ? 'its diode' : 'its contact'}.`,
    'Other keys of its row and of its column work, or its line does not explain it.',
  )
}

/** Keys that are taken for pressed: a shorted contact, or two lines joined; without diodes three pressed make a fourth. */
function sticking(keys: readonly MatrixKey[], diodes: boolean): Finding[] {
  const stuck = keys.filter(k => k.state === 'sticks')
  if (!stuck.length) return []
  const lines = (['row', 'column'] as const).flatMap(axis =>
    [...new Set(stuck.map(k => k[axis]))].filter(
      line => stuck.filter(k => k[axis] === line).length > 1 && keys.filter(k => k[axis] === line).every(k => k.state !== 'works'),
    ),
  )
  const corner = stuck.length >= 4 && !diodes
  return [
    finding(
      'care',
      'matrix.sticks',
      lines.length
        ? `Keys of ${lines.join(', ')} stick together: lines joined, by dirt or a folded tail.`
        : `${stuck.map(k => k.key).join(', ')} taken for pressed: a contact that does not open.`,
      corner
        ? 'Without diodes, three keys at the corners of a rectangle make the fourth: one of these may be a ghost.'
        : 'Unplug the keyboard: what is still taken for pressed is in the electronics.',
    ),
  ]
}

/** What to measure next, with what is to be expected. */
function measures(
  faults: readonly MatrixFault[],
  lines: NonNullable<MatrixInput['lines']>,
  printed: boolean,
  side: MatrixResult['side'],
): MatrixResult['measure'] {
  const expect = printed ? 'some 200 to 300 Ω; less is fine, kilohms and more are not' : 'under 2 Ω'
  return [
    ...(faults.length && side === 'unknown'
      ? [
          {
            what: 'Unplug the keyboard and short a suspected row to a suspected column at the connector',
            expect: 'the machine takes it for a key, if its electronics are sound',
          },
        ]
      : []),
    ...faults.flatMap(f =>
      (f.kind === 'line' || f.kind === 'trace' || f.kind === 'part') && !lines.some(l => l.line === f.line)
        ? [
            {
              what:
                f.kind === 'line'
                  ? `Line ${f.line}, from the connector to its nearest key, with its jumper between`
                  : f.kind === 'part'
                    ? `Line ${f.line}, from key to key`
                    : `Line ${f.line}, from ${f.after} to ${f.keys[0]}`,
              expect,
            },
          ]
        : f.kind === 'contact'
          ? [{ what: `The contact of ${f.keys[0]}, pressed`, expect: printed ? 'some hundred ohms at most' : 'under 2 Ω' }]
          : [],
    ),
  ].slice(0, 6)
}
