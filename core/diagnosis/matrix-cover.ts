import type { MatrixEvidence, MatrixFault } from './keyboard-matrix'

const most = { faults: 12, looks: 20_000, explanations: 60 } as const

/** Tells faults apart: two that are the same have the same. */
export const idOf = (f: MatrixFault) => `${f.kind} ${'line' in f ? f.line : ''} ${f.keys.join(' ')}`

/** A fault that may be, and what it explains: keys that fail, and shorts at the connector that nothing answered. */
interface Candidate {
  fault: MatrixFault
  explains: string[]
  /** It was measured, and is no guess. */
  sure: boolean
}

/**
 * Faults that silence nothing that is alive: whole lines, lines from a key on, what drives a line, and each key by itself.
 * A key that works or sticks proves both of its lines up to where it sits; a line that was measured whole is none of it, one that was
 * measured broken is sure.
 */
function candidatesOf({ keys, ordered, wire, driven, deaf, badDiodes }: MatrixEvidence): Candidate[] {
  const fails = new Set(keys.filter(k => k.state === 'fails').map(k => k.key))
  const alive = (k: (typeof keys)[number]) => k.state === 'works' || k.state === 'sticks'
  const found: Candidate[] = []
  const add = (fault: MatrixFault, sure = false, shorts: string[] = []) => {
    const explains = [...fault.keys.filter(k => fails.has(k)), ...shorts]
    if (explains.length) found.push({ fault, explains, sure })
  }
  for (const axis of ['column', 'row'] as const)
    for (const line of new Set(keys.map(k => k[axis]))) {
      const on = keys.filter(k => k[axis] === line)
      const along = on.map(k => k.key)
      const lastGood = on.findLastIndex(alive)
      const whole = wire.get(line)
      const broken = whole === false
      if (lastGood < 0) {
        if (whole !== true && (along.length > 1 || broken)) add({ kind: 'line', line, keys: along }, broken)
        const shorts = deaf.filter(d => d.row === line || d.column === line).map(d => `${d.row} to ${d.column}`)
        // Without shorting from outside, a driver and its line look alike, and are one guess.
        if (!driven.has(line) && (shorts.length || whole === true) && (along.length > 1 || shorts.length))
          add({ kind: 'drive', line, keys: along }, false, shorts)
      } else if (whole !== true) {
        // Beyond the last one that works the trace may be gone; where the order is not known, any of those that fail may be beyond.
        const beyond = ordered ? along.slice(lastGood + 1) : along.filter(k => fails.has(k))
        if (beyond.length > 1 || (broken && beyond.some(k => fails.has(k))))
          add(ordered ? { kind: 'trace', line, after: along[lastGood]!, keys: beyond } : { kind: 'part', line, keys: beyond }, broken)
      }
    }
  for (const key of fails) add({ kind: badDiodes.has(key) ? 'diode' : 'contact', keys: [key] }, badDiodes.has(key))
  return found
}

export interface Explanations {
  /** Sets of the fewest faults; those that accuse fewer keys that nobody has tested stand first. */
  sets: MatrixFault[][]
  /** All of them are named. */
  complete: boolean
}

/**
 * All sets of the fewest faults that explain every key that fails and every short that nothing answered. What was measured broken is in
 * each. Source: minimum set cover (Karp 1972), all of them by trying what explains the first that is left, from one fault up.
 */
export function leastExplanations(evidence: MatrixEvidence): Explanations {
  const candidates = candidatesOf(evidence)
  const taken = candidates.filter(c => c.sure)
  const covered = new Set(taken.flatMap(c => c.explains))
  const all = [...evidence.keys.filter(k => k.state === 'fails').map(k => k.key), ...evidence.deaf.map(d => `${d.row} to ${d.column}`)]
  const left = all.filter(k => !covered.has(k))
  const usable = candidates.filter(c => !c.sure && c.explains.some(k => left.includes(k)))
  const by = new Map(left.map(k => [k, usable.filter(c => c.explains.includes(k))]))
  // What nothing explains was contradicted by something that was measured, and is told as that.
  const wanted = left.filter(k => by.get(k)!.length)
  const found = new Map<string, Candidate[]>()
  let looks = 0
  let complete = true
  const search = (open: readonly string[], set: readonly Candidate[], size: number): void => {
    if (++looks > most.looks || found.size >= most.explanations) return void (complete = false)
    if (!open.length)
      return void found.set(
        set
          .map(c => idOf(c.fault))
          .sort()
          .join('; '),
        [...set],
      )
    if (set.length === size) return
    // Whatever explains least is tried least: the one with the fewest choices first.
    const hardest = open.reduce((a, b) => (by.get(b)!.length < by.get(a)!.length ? b : a))
    for (const c of by.get(hardest)!)
      search(
        open.filter(k => !c.explains.includes(k)),
        [...set, c],
        size,
      )
  }
  if (wanted.length)
    for (let size = 1; size <= Math.min(most.faults, wanted.length) && !found.size && looks <= most.looks; size++) {
      complete = true
      search(wanted, [], size)
    }
  if (!found.size && wanted.length) {
    // Too many at once to try all: the one that explains most, again and again.
    const greedy: Candidate[] = []
    for (let open = wanted; open.length;) {
      const best = usable.map(c => ({ c, n: c.explains.filter(k => open.includes(k)).length })).reduce((a, b) => (b.n > a.n ? b : a)).c
      greedy.push(best)
      open = open.filter(k => !best.explains.includes(k))
    }
    found.set('', greedy)
    complete = false
  }
  const untried = (c: Candidate) => c.fault.keys.filter(k => evidence.keys.some(m => m.key === k && m.state === 'untested')).length
  const loose = (set: readonly Candidate[]) => set.reduce((sum, c) => sum + untried(c), 0)
  const sets = [...found.values()]
    .sort((a, b) => loose(a) - loose(b))
    .map(set => [...taken, ...set].map(c => c.fault).sort((a, b) => b.keys.length - a.keys.length))
  return { sets: sets.length ? sets : taken.length ? [taken.map(c => c.fault)] : [], complete }
}
