import { seeded } from '../kernel/random'

/** Captures to practise on; made up, and no model of a processor. */
export const captureScenarios = {
  'running': 'a processor that runs',
  'held': 'reset is held',
  'no-clock': 'the clock stands still',
  'joined': 'two data lines joined',
  'half': 'a data line at half height',
  'counting': 'a refresh counter runs, and no code',
} as const
export type CaptureScenario = keyof typeof captureScenarios

/** A capture as a Value Change Dump, IEEE 1364. @param changes about so many, over all lines */
export function madeUpCapture(scenario: CaptureScenario, { seed = 1, changes = 4000 } = {}): string {
  const random = seeded(seed)
  const names = ['CLK', '/RESET', ...Array.from({ length: 8 }, (_, i) => `D${i}`), ...Array.from({ length: 4 }, (_, i) => `A${i}`)]
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
  let counter = 0
  const halfCycles = Math.ceil(changes / 4)
  for (let step = 1; step <= halfCycles; step++) {
    out.push(`#${step * 250}`)
    const set = (i: number, level: string) => {
      if (levels[i] !== level) {
        levels[i] = level
        out.push(`${level}${id(i)}`)
      }
    }
    if (scenario !== 'no-clock') set(0, step % 2 ? '1' : '0')
    if (step > 8) set(1, scenario === 'held' ? '0' : '1')
    const runs = step > 12 && step % 8 === 0
    if (scenario === 'counting' && step % 8 === 0) {
      counter++
      for (let i = 0; i < 4; i++) set(10 + i, (counter >> i) & 1 ? '1' : '0')
    } else if (runs && (scenario === 'running' || scenario === 'joined' || scenario === 'half')) {
      const word = Math.floor(random() * 4096)
      for (let i = 0; i < 12; i++) set(2 + i, (word >> i) & 1 ? '1' : '0')
      if (scenario === 'joined') set(5, levels[4]!)
      if (scenario === 'half') set(3, 'x')
    }
  }
  return out.join('\n')
}
