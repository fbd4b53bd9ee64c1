import { seeded } from '../kernel/random'

/** Captures to practise on; made up after how processors fetch, and no model of one. */
export const captureScenarios = {
  'running': 'a processor that runs',
  'held': 'reset is held',
  'no-clock': 'the clock stands still',
  'clock-stops': 'the clock stops on the way',
  'stopped': 'it ran, and stopped',
  'joined': 'two data lines joined',
  'half': 'a data line at half height',
  'counting': 'a refresh counter runs, and no code',
  'noise': 'noise on the bus, in step with the clock',
} as const
export type CaptureScenario = keyof typeof captureScenarios

const [dataLines, addressLines] = [8, 4]
const halfCycleNs = 250

/** What a small processor puts on its bus in each cycle of the clock: an address, data, and whether it fetches. */
function* busCycles(random: () => number): Generator<{ address: number; data: number; fetches: boolean }> {
  const program = Array.from({ length: 256 }, () => Math.floor(random() * 256))
  for (let at = 0; ;) {
    const opcode = program[at]!
    const kind = opcode % 8
    // An instruction has one to three bytes, and is fetched in four cycles, the rest of it in three each.
    const bytes = 1 + (kind > 3 ? 1 : 0) + (kind > 6 ? 1 : 0)
    for (let byte = 0; byte < bytes; byte++)
      for (let cycle = 0; cycle < (byte ? 3 : 4); cycle++) yield { address: at + byte, data: program[(at + byte) & 255]!, fetches: byte === 0 && cycle < 2 }
    if (kind === 3 || kind === 5) for (let cycle = 0; cycle < 3; cycle++) yield { address: opcode * 3, data: Math.floor(random() * 256), fetches: false }
    // One in eight jumps, most of them back.
    at = (kind === 4 && random() < 0.8 ? at + 256 - 3 - (opcode >> 4) : at + bytes) & 255
  }
}

/** A capture as a Value Change Dump, IEEE 1364. @param changes about so many, over all lines */
export function madeUpCapture(scenario: CaptureScenario, { seed = 1, changes = 4000 } = {}): string {
  const random = seeded(seed)
  const names = ['CLK', '/RESET', 'M1', ...Array.from({ length: dataLines }, (_, i) => `D${i}`), ...Array.from({ length: addressLines }, (_, i) => `A${i}`)]
  const [clock, reset, fetch, data, address] = [0, 1, 2, 3, 3 + dataLines]
  const id = (i: number) => String.fromCharCode(33 + i)
  const out = [
    '$version made up for practice $end',
    '$timescale 1 ns $end',
    '$scope module board $end',
    ...names.map((name, i) => `$var wire 1 ${id(i)} ${name} $end`),
    '$upscope $end',
    '$enddefinitions $end',
    '#0',
    ...names.map((_, i) => `0${id(i)}`),
  ]
  const levels = names.map(() => '0')
  const set = (i: number, level: string) => {
    if (levels[i] === level) return
    levels[i] = level
    out.push(`${level}${id(i)}`)
  }
  const word = (from: number, width: number, value: number) => {
    for (let i = 0; i < width; i++) set(from + i, (value >> i) & 1 ? '1' : '0')
  }
  const cycles = busCycles(random)
  const runs = scenario === 'running' || scenario === 'joined' || scenario === 'half' || scenario === 'stopped' || scenario === 'clock-stops'
  const wanted = Math.ceil(changes / 5)
  for (let cycle = 1; cycle <= wanted; cycle++) {
    const past = cycle > wanted * 0.6
    const ticks = scenario !== 'no-clock' && !(scenario === 'clock-stops' && past)
    out.push(`#${cycle * 2 * halfCycleNs}`)
    if (ticks) set(clock, '1')
    if (cycle > 4) set(reset, scenario === 'held' ? '0' : '1')
    const now = cycle > 6 && runs && ticks && !(scenario === 'stopped' && past) ? cycles.next().value : undefined
    // Outputs follow the clock by the time that they take: addresses first, data when they have been looked up.
    out.push(`#${cycle * 2 * halfCycleNs + 30}`)
    if (now) word(address, addressLines, now.address)
    if (now) set(fetch, now.fetches ? '1' : '0')
    if (scenario === 'counting' && cycle % 4 === 0) word(address, addressLines, cycle / 4)
    if (scenario === 'noise') word(data, dataLines + addressLines, Math.floor(random() * 4096))
    out.push(`#${cycle * 2 * halfCycleNs + 180}`)
    if (now) word(data, dataLines, now.data)
    if (now && scenario === 'joined') set(data + 3, levels[data + 2]!)
    if (now && scenario === 'half') set(data + 1, 'x')
    out.push(`#${(cycle * 2 + 1) * halfCycleNs}`)
    if (ticks) set(clock, '0')
  }
  return out.join('\n')
}
