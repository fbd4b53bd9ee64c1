import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { judgeContact, printedJumperOhm } from '../continuity/contact'

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
  /** In the order in which each line passes them; the end at the connector first. */
  keys: readonly MatrixKey[]
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
  | { kind: 'contact' | 'diode'; keys: string[] }
export interface MatrixResult {
  faults: MatrixFault[]
  /** As many faults would it take, were each key to be at fault by itself. */
  keyByKey: number
  side: 'electronics' | 'keys' | 'unknown'
  measure: { what: string; expect: string }[]
  findings: Finding[]
}

const most = { keys: 200, faults: 12 } as const
/** A silicon junction in the diode test. Common practice, no source. */
const junctionV = { from: 0.45, to: 0.8 }

/**
 * The fewest faults of lines, traces, diodes and contacts that explain which keys of a matrix fail.
 * No fault that would silence a key that works is taken. The search is a least set cover, tried from one fault up; beyond the limit the largest first.
 * Source: set cover (Karp 1972); what is likely, common practice, no source.
 * @throws InputError for keys named twice, or more than a keyboard has
 */
export function judgeMatrix({ keys, diodes = false, lines = [], drops = [], shorted = [], printed = false }: MatrixInput): MatrixResult {
  check(keys, lines, drops, shorted)
  const failing = keys.filter(k => k.state === 'fails')
  const works = new Set(keys.filter(k => k.state === 'works').map(k => k.key))
  const candidates = candidatesOf(keys, works)
  const faults = leastCover(
    failing.map(k => k.key),
    candidates,
  ).map((f): MatrixFault => (f.kind === 'contact' && diodes && drops.some(d => d.key === f.keys[0] && !isJunction(d.volts)) ? { ...f, kind: 'diode' } : f))
  const findings: Finding[] = []
  const side = sideOf(shorted)
  if (side !== 'unknown')
    findings.push(
      side === 'electronics'
        ? finding(
            'care',
            'matrix.electronics',
            'The electronics do not answer where the lines are shorted from outside.',
            `${shorted
              .filter(s => !s.types)
              .map(s => `${s.row} to ${s.column}`)
              .join(', ')}: look at the connector, the driver of the column and the receiver of the row before the keys.`,
          )
        : finding(
            'note',
            'matrix.keys',
            'The electronics answer where the lines are shorted from outside.',
            'The fault is in the keyboard: tail, jumpers, lines or contacts.',
          ),
    )
  for (const { line, ohm } of lines) findings.push(lineFinding(line, ohm, printed))
  for (const { key, volts } of drops)
    if (!isJunction(volts))
      findings.push(
        finding(
          'care',
          'matrix.diode',
          `The diode of ${key} reads ${volts === null ? 'open' : `${volts} V`}.`,
          'About 0.6 V is a silicon junction.',
          commonPractice,
        ),
      )
  for (const f of faults) findings.push(faultFinding(f, keys))
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
  return { faults, keyByKey: failing.length, side, measure: measures(faults, lines, printed, side), findings }
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

/** Faults that silence no key that works: whole lines, lines from a key on, and each key by itself. */
function candidatesOf(keys: readonly MatrixKey[], works: ReadonlySet<string>): MatrixFault[] {
  const found: MatrixFault[] = []
  for (const axis of ['column', 'row'] as const)
    for (const line of new Set(keys.map(k => k[axis]))) {
      const along = keys.filter(k => k[axis] === line).map(k => k.key)
      const lastGood = along.findLastIndex(k => works.has(k))
      if (lastGood < 0 && along.length > 1) found.push({ kind: 'line', line, keys: along })
      // Beyond the last one that works the trace may be gone.
      else if (lastGood >= 0 && along.length - lastGood - 1 > 1) found.push({ kind: 'trace', line, after: along[lastGood]!, keys: along.slice(lastGood + 1) })
    }
  return [...found, ...keys.filter(k => k.state === 'fails').map((k): MatrixFault => ({ kind: 'contact', keys: [k.key] }))]
}

/** As few faults as explain all that fail; of as many, those that accuse fewer keys that nobody has tested. */
function leastCover(failing: readonly string[], candidates: readonly MatrixFault[]): MatrixFault[] {
  const wanted = new Set(failing)
  const usable = candidates.map(f => ({ f, hits: f.keys.filter(k => wanted.has(k)) })).filter(c => c.hits.length)
  const loose = (c: (typeof usable)[number]) => c.f.keys.length - c.hits.length
  let best: typeof usable | undefined
  const bad = (set: typeof usable) => set.reduce((sum, c) => sum + loose(c), 0)
  let looks = 0
  const search = (left: readonly string[], taken: typeof usable): void => {
    if (++looks > 20_000) return
    if (!left.length) {
      if (!best || taken.length < best.length || (taken.length === best.length && bad(taken) < bad(best))) best = taken
      return
    }
    if (best && taken.length >= best.length) return
    if (taken.length >= most.faults) return
    const [first] = left
    for (const c of usable.filter(u => u.hits.includes(first!)).sort((a, b) => b.hits.length - a.hits.length || loose(a) - loose(b)))
      search(
        left.filter(k => !c.hits.includes(k)),
        [...taken, c],
      )
  }
  search(failing, [])
  if (!best) {
    // Too many at once to try all: the one that explains most, again and again.
    best = []
    for (let left = [...failing]; left.length;) {
      const c = usable.map(u => ({ u, n: u.hits.filter(k => left.includes(k)).length })).sort((a, b) => b.n - a.n)[0]!
      best.push(c.u)
      left = left.filter(k => !c.u.hits.includes(k))
    }
  }
  return best.map(c => c.f)
}

const isJunction = (volts: number | null) => volts !== null && volts >= junctionV.from && volts <= junctionV.to
const sideOf = (shorted: NonNullable<MatrixInput['shorted']>): MatrixResult['side'] =>
  !shorted.length ? 'unknown' : shorted.every(s => s.types) ? 'keys' : 'electronics'

function lineFinding(line: string, ohm: number | null, printed: boolean): Finding {
  const { contact, findings } = judgeContact({ readingsOhm: [ohm], expectOhm: printed ? printedJumperOhm : 0 })
  const [found] = findings
  return { ...found!, code: `matrix.line.${contact}`, says: `Line ${line}: ${contact === 'joined' ? 'joined' : contact === 'open' ? 'open' : 'high'}.` }
}

function faultFinding(f: MatrixFault, keys: readonly MatrixKey[]): Finding {
  const some = (list: readonly string[]) => `${list.slice(0, 8).join(', ')}${list.length > 8 ? ` and ${list.length - 8} more` : ''}`
  const untested = f.keys.filter(k => keys.find(m => m.key === k)?.state === 'untested')
  const but = untested.length ? ` Not tested on it: ${some(untested)}.` : ''
  if (f.kind === 'line')
    return finding('care', 'matrix.line', `Line ${f.line} as a whole: its trace, jumper, tail or driver.`, `No key of it works: ${some(f.keys)}.${but}`)
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
      (f.kind === 'line' || f.kind === 'trace') && !lines.some(l => l.line === f.line)
        ? [
            {
              what:
                f.kind === 'line'
                  ? `Line ${f.line}, from the connector to its nearest key, with its jumper between`
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
