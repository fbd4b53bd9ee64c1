/**
 * The rails of classic 16-kbit memory at its own pins, where they can be read without following a trace; ground is pin 16.
 * Source: data books of three-rail dynamic memory, from memory; each rail within 10 %.
 */
export const threeRailMemory = [
  { name: '+5 V', nominalV: 5, point: 'memory, pin 9 (ground pin 16)' },
  { name: '+12 V', nominalV: 12, point: 'memory, pin 8 (ground pin 16)' },
  { name: '-5 V', nominalV: -5, point: 'memory, pin 1 (ground pin 16)' },
] as const
