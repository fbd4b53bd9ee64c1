import { discipline } from '../../kernel/discipline'
import { move, someOf } from '../../kernel/move'
import { step } from '../../kernel/step'
import type { Mounting, SocketNeed } from './read-inventory'
import { socketOf } from './sockets'

export interface InventoryRecord {
  inventory: readonly { assembly: string; place: string; mounting: Mounting; need: SocketNeed; looked: boolean }[]
  /** What is known of the sockets of its model, a line each. */
  modelSockets: readonly string[]
}
export interface InventoryFacts {
  /** Sockets that are needed and empty, by assembly and place; how many lines there are, and how many nobody looked at here. */
  made: { wantedSockets: string[]; lines: number; notLooked: number }
}

declare module '../../kernel/machine' {
  interface MachineRecord extends InventoryRecord {}
  interface MachineKnown extends InventoryFacts {}
}

/** Whether an empty socket matters: by what is written at it, or else by what is known of its model. */
export const needOf = ({ place, need }: { place: string; need: SocketNeed }, modelSockets: readonly string[]): SocketNeed =>
  need === 'not-known' ? (socketOf(place, modelSockets)?.need ?? 'not-known') : need

/** What a machine is made of: a socket that is needed and empty is a step and a next move. */
export const inventory = discipline({
  name: 'inventory',
  about: 'what it is made of',
  facts: (record): InventoryFacts => ({
    made: {
      wantedSockets: record.inventory
        .filter(line => line.looked && line.mounting === 'empty' && needOf(line, record.modelSockets) === 'needed')
        .map(({ assembly, place }) => `${assembly} ${place}`),
      lines: record.inventory.length,
      notLooked: record.inventory.filter(line => !line.looked).length,
    },
  }),
  unknown: { made: { wantedSockets: [], lines: 0, notLooked: 0 } },
  steps: {
    look: m => (m.made.lines ? [step('Parts that were listed are looked at', !m.made.notLooked)] : []),
    mend: m => (m.made.wantedSockets.length ? [step('Sockets that are needed are filled', false)] : []),
  },
  moves: m => [
    ...(m.made.wantedSockets.length
      ? [
          move('part', 'inventory.sockets', 'mend', {
            says: `Find what belongs in ${someOf(m.made.wantedSockets)}`,
            why: 'It is needed there, and the socket is empty.',
          }),
        ]
      : []),
    ...(m.made.notLooked
      ? [
          move('look', 'inventory.look', 'look', {
            says: `Look through ${m.made.notLooked === 1 ? 'one part' : `${m.made.notLooked} parts`} of its list`,
            why: 'They were taken over from a sister, and nothing of it counts before somebody looked.',
          }),
        ]
      : []),
  ],
})
