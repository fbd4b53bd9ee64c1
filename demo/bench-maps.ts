import { readBanks, readFailures, readKeyboardMap } from '#core/diagnosis/bench-maps'
import type { CommandRequest } from '#shared/chapters/index'
import type { ModelKey } from './models'

/** What the instruments of the bench know of the demo's models, and what they were given on its machines. */
const gannetKeys = `C1: 1 Q A Z
C2: 2 W S X
C3: 3 E D C
C4: 4 R F V
C5: 5 T G B
C6: 6 Y H N
C7: 7 U J M`
const spindriftBanks = `0000 3FFF bank-0: IC20 IC21 IC22 IC23 IC24 IC25 IC26 IC27
4000 7FFF bank-1: IC30 IC31 IC32 IC33 IC34 IC35 IC36 IC37`

export const benchMaps: [ModelKey, CommandRequest<'keep-bench-map'>['map']][] = [
  ['gannet', { kind: 'keyboard', keys: gannetKeys, printed: true, diodes: false }],
  ['spindrift', { kind: 'memory', base: 'hex', widthBits: 8, bitsPerChip: 1, banks: spindriftBanks }],
  [
    'petrel-8',
    {
      kind: 'ladder',
      machine: 'single-board',
      more: [
        {
          when: 'black',
          proves: [],
          suspects: ['video-data'],
          because: 'On this model the modulator goes off its channel first: try the set before the board.',
        },
      ],
    },
  ],
]

/** Two columns of a terminal that are dead, with what was measured of them. */
export const deadColumns = {
  keys: readKeyboardMap(gannetKeys).map(k => ({ ...k, state: ['C4', 'C5'].includes(k.column) ? 'fails' : 'works' })),
  printed: true,
  lines: [
    { line: 'C4', ohm: null },
    { line: 'C5', ohm: 8e6 },
  ],
  shorted: [{ row: 'R3', column: 'C5', types: true }],
}

/** What a memory test printed over some nights. */
export const weakBit = {
  widthBits: 8,
  bitsPerChip: 1,
  banks: readBanks(spindriftBanks, 'hex'),
  failures: readFailures('41A0 55 5D\n5C03 55 5D\n6FF1 A2 AA\n7204 00 08', 'hex'),
  passes: 251,
  failedPasses: 4,
}
