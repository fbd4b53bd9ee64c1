import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'

export interface PartsRecord {
  partNeeds: readonly { name: string; stopsStart: boolean; outcome: string }[]
}
export interface PartsFacts {
  wantedParts: { name: string; stopsStart: boolean }[]
}

const partsFacts = ({ partNeeds }: PartsRecord): PartsFacts => ({
  wantedParts: partNeeds.filter(p => p.outcome === 'wanted').map(({ name, stopsStart }) => ({ name, stopsStart })),
})

declare module '../kernel/machine' {
  interface MachineRecord extends PartsRecord {}
  interface MachineKnown extends PartsFacts {}
}

/** What a start depends on is found before other work on the machine makes sense. */
export const parts = discipline({
  name: 'parts',
  about: 'the parts it needs',
  facts: partsFacts,
  unknown: { wantedParts: [] },
  steps: { mend: m => m.wantedParts.map(p => step(`Find ${p.name}`, false)) },
  moves: m =>
    m.wantedParts
      .filter(p => p.stopsStart)
      .map(p => move('part', 'part', 'mend', { says: `Find ${p.name}`, why: 'It cannot be started without it.', coordinator: true })),
})
