import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'
import { type Need, holdsUpStart, needRank } from './needs'

export interface PartsRecord {
  partNeeds: readonly (Need & { name: string; outcome: string })[]
}
export interface PartsFacts {
  /** What is still wanted, the most pressing first. */
  wantedParts: (Need & { name: string })[]
}

const partsFacts = ({ partNeeds }: PartsRecord): PartsFacts => ({
  wantedParts: partNeeds
    .filter(p => p.outcome === 'wanted')
    .map(({ name, stops, affects, workaround }) => ({ name, stops, affects, workaround }))
    .sort((a, b) => needRank(a) - needRank(b)),
})

declare module '../kernel/machine' {
  interface MachineRecord extends PartsRecord {}
  interface MachineKnown extends PartsFacts {}
}

/** What a start depends on is found before other work on the machine makes sense; where something else does until then, it is not. */
export const parts = discipline({
  name: 'parts',
  about: 'the parts it needs',
  facts: partsFacts,
  unknown: { wantedParts: [] },
  steps: { mend: m => m.wantedParts.map(p => step(`Find ${p.name}`, false)) },
  moves: m =>
    m.wantedParts
      .filter(holdsUpStart)
      .map(p => move('part', 'part', 'mend', { says: `Find ${p.name}`, why: 'It cannot be started without it.', coordinator: true })),
})
