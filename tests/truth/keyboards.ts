import { type KeyState, type MatrixFault, type MatrixKey, judgeMatrix } from '#core/diagnosis/keyboard-matrix'
import { type Simulation, count } from './simulation'

/** A keyboard as it is built: two bundles of lines, a contact where they cross, and electronics at one end. */
interface Board {
  rows: number
  columns: number
  /** Lines broken at a place: keys from there on hear nothing. */
  breaks: Map<string, number>
  undriven: Set<string>
  contacts: Set<string>
  sticks: Set<string>
}
const nameOf = (r: number, c: number) => `K${r}.${c}`

function conducts({ breaks, undriven }: Board, r: number, c: number) {
  return r < (breaks.get(`C${c}`) ?? Infinity) && c < (breaks.get(`R${r}`) ?? Infinity) && !undriven.has(`R${r}`) && !undriven.has(`C${c}`)
}

function madeUp(random: () => number): { board: Board; truth: number } {
  const upTo = (n: number) => Math.floor(random() * n)
  const board: Board = { rows: 3 + upTo(5), columns: 3 + upTo(6), breaks: new Map(), undriven: new Set(), contacts: new Set(), sticks: new Set() }
  const truth = 1 + upTo(3)
  for (let i = 0; i < truth; i++) {
    const [r, c] = [upTo(board.rows), upTo(board.columns)]
    const line = random() < 0.5 ? `R${r}` : `C${c}`
    const kind = random()
    if (kind < 0.3) board.breaks.set(line, 0)
    else if (kind < 0.5) board.breaks.set(line, 1 + upTo((line[0] === 'R' ? board.columns : board.rows) - 1))
    else if (kind < 0.65) board.undriven.add(line)
    else board.contacts.add(nameOf(r, c))
  }
  if (random() < 0.3) board.sticks.add(nameOf(upTo(board.rows), upTo(board.columns)))
  return { board, truth: board.breaks.size + board.undriven.size + board.contacts.size }
}

function whatKeysDo(board: Board, random: () => number, tested: number): MatrixKey[] {
  return Array.from({ length: board.rows * board.columns }, (_, i) => {
    const [r, c] = [i % board.rows, Math.floor(i / board.rows)]
    const key = nameOf(r, c)
    const state: KeyState =
      random() > tested ? 'untested' : !conducts(board, r, c) ? 'fails' : board.sticks.has(key) ? 'sticks' : board.contacts.has(key) ? 'fails' : 'works'
    return { key, row: `R${r}`, column: `C${c}`, state }
  })
}

/** What is broken in truth, as faults would tell it. */
const holds = (board: Board, f: MatrixFault) =>
  f.kind === 'contact'
    ? board.contacts.has(f.keys[0]!)
    : f.kind === 'line'
      ? board.breaks.get(f.line) === 0 || board.undriven.has(f.line)
      : f.kind === 'drive'
        ? board.undriven.has(f.line)
        : f.kind === 'trace' && board.breaks.has(f.line)

/** Which lines, contacts and drivers explain the keys that fail. */
export const keyboards: Simulation = {
  title: 'keyboards',
  runs: 150,
  simulate(random, runs) {
    const failures: string[] = []
    let [right, among, cases, measured, all] = [0, 0, 0, 0, 0]
    for (let i = 0; i < runs; i++) {
      const { board, truth } = madeUp(random)
      const keys = whatKeysDo(board, random, random() < 0.5 ? 1 : 0.75)
      const wrong = (what: string) => failures.push(`case ${i}: ${what}`)
      const { faults, explanations } = judgeMatrix({ keys, fromConnector: true })
      if (faults[0]?.kind === 'common') continue
      const alive = new Set(keys.filter(k => k.state === 'works' || k.state === 'sticks').map(k => k.key))
      for (const f of explanations.flat()) if (f.keys.some(k => alive.has(k))) wrong(`${f.kind} silences a key that answers`)
      if (faults.length > truth) wrong(`${faults.length} faults where ${truth} do`)
      if (keys.every(k => k.state !== 'fails')) continue
      cases++
      if (faults.every(f => holds(board, f))) right++
      if (explanations.some(set => set.every(f => holds(board, f)))) among++
      // Every line measured, every crossing of a failing key shorted at the connector: what is said now has to be so.
      const ends = (line: string) => (line[0] === 'R' ? board.columns : board.rows)
      const lines = [...new Set(keys.flatMap(k => [k.row, k.column]))].map(line => ({
        line,
        ohm: (board.breaks.get(line) ?? ends(line)) < ends(line) ? null : 1,
      }))
      const shorted = keys
        .filter(k => k.state === 'fails')
        .map(k => ({ row: k.row, column: k.column, types: !board.undriven.has(k.row) && !board.undriven.has(k.column) }))
      const told = judgeMatrix({ keys, fromConnector: true, lines, shorted: shorted.slice(0, 100) })
      all++
      if (told.faults.every(f => holds(board, f) || f.kind === 'contact' || f.kind === 'common')) measured++
      for (const f of told.explanations.flat()) {
        if ((f.kind === 'line' || f.kind === 'trace') && !board.breaks.has(f.line)) wrong(`${f.line} is accused, and was measured whole`)
        if (f.kind === 'drive' && lines.some(l => l.line === f.line) && shorted.some(s => s.types && (s.row === f.line || s.column === f.line)))
          wrong(`what drives ${f.line} is accused, and it answered`)
      }
    }
    return {
      figures: {
        'first explanation true, by keys alone': count(right, cases),
        'true one among those named, by keys alone': count(among, cases, { least: 0.85 }),
        'true with lines measured and shorted': count(measured, all, { least: 0.93 }),
      },
      failures,
    }
  },
}
