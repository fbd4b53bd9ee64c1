import type { Capture } from '#core/signals/capture'
import { judgeLines } from '#core/signals/judge-lines'
import { type Simulation, count } from './simulation'

/** A bench of made-up circuits, each recorded by an analyser that samples; nothing of it is shared with the captures to practise on. */
interface Circuit {
  random: () => number
  cycles: number
  addresses: number
}
type Bus = Record<string, number>
/** What a circuit puts on its lines in one cycle, and when in it: a share of the cycle. */
type Cycle = { at: number; lines: Bus }[]

const bits = (name: string, width: number, value: number): Bus =>
  Object.fromEntries(Array.from({ length: width }, (_, i) => [`${name}${i}`, Math.floor(value / 2 ** i) % 2]))

function record(cycles: Iterable<Cycle>, { random, cycles: wanted }: Circuit, { clock = true, until = 1, samples = 8 + random() * 40 } = {}): Capture {
  const changes = new Map<string, { at: number[]; levels: number[] }>()
  const set = (name: string, at: number, level: number) => {
    const line = changes.get(name) ?? { at: [], levels: [] }
    changes.set(name, line)
    if (line.levels.at(-1) === level) return
    const sampled = Math.ceil(at * samples) / samples
    if (line.at.at(-1) === sampled) line.levels[line.levels.length - 1] = level
    else {
      line.at.push(sampled)
      line.levels.push(level)
    }
  }
  let n = 0
  for (const cycle of cycles) {
    if (n++ >= wanted) break
    if (clock && n < until * wanted) {
      set('CLK', n, 1)
      set('CLK', n + 0.5, 0)
    }
    for (const { at, lines } of cycle) for (const [name, level] of Object.entries(lines)) set(name, n + at + random() * 0.02, level)
  }
  const lines = [...changes].map(([name, { at, levels }]) => ({ name, atS: Float64Array.from(at, a => a * 1e-6), levels: Uint8Array.from(levels) }))
  return { lines, durationS: (n + 1) * 1e-6, timeIs: 'known', pauses: [], read: n, unread: 0, problems: [] }
}

/** A processor with instructions of one to four bytes, waits, stack and data accesses; some refresh memory between, some show a strobe. */
function* processor({ random, addresses }: Circuit, { strobe = random() < 0.5, refresh = random() < 0.3, only = '' } = {}): Generator<Cycle> {
  const fetchCycles = 1 + Math.floor(random() * 4)
  const restCycles = Math.max(1, fetchCycles - 1)
  const waits = random() < 0.3 ? 1 : 0
  const rom = Array.from({ length: 512 }, () => ({ data: Math.floor(random() * 256), bytes: 1 + Math.floor(random() * 3), kind: random() }))
  const [addressAt, dataAt] = [0.05 + random() * 0.15, 0.55 + random() * 0.3]
  let [at, counter] = [0, 0]
  const show = (address: number, data: number, fetching: number): Cycle => [
    { at: addressAt, lines: { ...(only === 'data' ? {} : bits('A', addresses, address)), ...(strobe ? { SYNC: fetching } : {}) } },
    { at: dataAt, lines: only === 'addresses' ? {} : bits('D', 8, data) },
  ]
  for (;;) {
    const { bytes, kind } = rom[at % 512]!
    for (let byte = 0; byte < bytes; byte++) {
      for (let c = 0; c < (byte ? restCycles : fetchCycles) + waits; c++) yield show(at + byte, rom[(at + byte) % 512]!.data, byte === 0 && c === 0 ? 1 : 0)
      if (strobe && byte === 0) yield show(at, rom[at % 512]!.data, 0)
      if (refresh && byte === 0) yield show(counter++, rom[at % 512]!.data, 0)
    }
    if (kind < 0.35) for (let c = 0; c < restCycles + waits; c++) yield show(Math.floor(kind * 5000), Math.floor(random() * 256), 0)
    at = kind > 0.8 && random() < 0.85 ? (at + 512 - Math.floor((kind - 0.8) * 150)) % 512 : at + bytes
  }
}

/** Circuits in which no code runs, or of which it cannot be known; each is lively. */
const fakes: Record<string, (circuit: Circuit) => Capture> = {
  'shift registers': c => {
    let d = 1
    function* shifts(): Generator<Cycle> {
      for (;;) yield [{ at: 0.1, lines: { ...bits('D', 8, (d = ((d * 2) % 4096) + (c.random() < 0.5 ? 1 : 0))), ...bits('A', c.addresses, d >> 3) } }]
    }
    return record(shifts(), c)
  },
  'feedback shift registers': c => {
    let d = 1
    function* shifts(): Generator<Cycle> {
      for (;;) {
        d = ((d << 1) | (((d >> 15) ^ (d >> 13) ^ (d >> 12) ^ (d >> 10)) & 1)) & 0xffff
        yield [{ at: 0.1, lines: { ...bits('D', 8, d >> 8), ...bits('A', c.addresses, d) } }]
      }
    }
    return record(shifts(), c)
  },
  'random pins, clocked': c => {
    function* pins(): Generator<Cycle> {
      for (;;)
        yield [{ at: 0.2, lines: { ...bits('D', 8, Math.floor(c.random() * 256)), ...bits('A', c.addresses, Math.floor(c.random() * 2 ** c.addresses)) } }]
    }
    return record(pins(), c)
  },
  'random pins, one at a time': c => {
    const names = Object.keys({ ...bits('D', 8, 0), ...bits('A', c.addresses, 0) })
    function* pins(): Generator<Cycle> {
      yield [{ at: 0, lines: Object.fromEntries(names.map(name => [name, 0])) }]
      for (;;) yield names.slice(0, 3).map(() => ({ at: c.random(), lines: { [names[Math.floor(c.random() * names.length)]!]: c.random() < 0.5 ? 1 : 0 } }))
    }
    return record(pins(), c)
  },
  'a counter with noisy data': c => {
    let n = 0
    function* counts(): Generator<Cycle> {
      for (;;) yield [{ at: 0.1, lines: { ...bits('A', c.addresses, n++), ...bits('D', 8, Math.floor(c.random() * 256)) } }]
    }
    return record(counts(), c)
  },
  'a picture being fetched': c => {
    const width = 20 + Math.floor(c.random() * 60)
    const picture = Array.from({ length: 4096 }, () => Math.floor(c.random() * 256))
    function* scans(): Generator<Cycle> {
      for (let row = 0; ; row++)
        for (let x = 0; x < width; x++) {
          const address = Math.floor(row / 8) * width + x
          yield [{ at: 0.1, lines: { ...bits('A', c.addresses, address), ...bits('D', 8, picture[address % 4096]!) } }]
        }
    }
    return record(scans(), c)
  },
  'a bus silent after a tenth': c => {
    const live = processor(c)
    let n = 0
    function* halts(): Generator<Cycle> {
      for (const cycle of live) yield n++ < c.cycles / 10 ? cycle : []
    }
    return record(halts(), c)
  },
  'a bus unrelated to the clock': c => {
    // The same processor, run by another clock than the one that was probed.
    const skewed = record(processor(c), c, { samples: 1000 })
    const factor = 1.0137 + c.random() * 0.2
    return { ...skewed, lines: skewed.lines.map(l => (l.name === 'CLK' ? l : { ...l, atS: l.atS.map(s => s / factor) })) }
  },
  'a clock that stops': c => record(processor(c), c, { until: 0.5 }),
  'no clock': c => record(processor(c), c, { clock: false }),
  'data alone': c => record(processor(c, { strobe: false, only: 'data' }), c),
}

/** What lines do, and whether code is being executed: said of processors that run and of nothing else. */
export const captures: Simulation = {
  title: 'captures',
  runs: 5,
  simulate(random, runs) {
    const circuit = (): Circuit => ({ random, cycles: 1000 + Math.floor(random() * 1000), addresses: 3 + Math.floor(random() * 8) })
    const executing = (of: (c: Circuit) => Capture) => Array.from({ length: runs }, () => judgeLines(of(circuit())).executing)
    const lies = Object.entries(fakes).flatMap(([name, fake]) => executing(fake).flatMap(said => (said === 'yes' ? [`code is said to run on ${name}`] : [])))
    const run = executing(c => record(processor(c), c))
    const seen = run.filter(r => r === 'yes').length
    return {
      figures: {
        // The rest is not known: few address lines, or loops that repeat.
        'processors seen to run': count(seen, run.length, { least: 0.8 }),
        'circuits without code taken for one': count(lies.length, runs * Object.keys(fakes).length, { most: 0 }),
      },
      failures: run.includes('no') ? ['a processor that runs is said to be idle'] : [],
    }
  },
}
