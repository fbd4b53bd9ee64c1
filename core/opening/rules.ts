import { commonPractice } from '../kernel/finding'
import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import type { Configuration } from '../safety/configuration'
import { type Heard, heard, meaning } from '../kernel/heard'
import { type OpeningStep, reassemble } from './reassembly'

export interface OpeningRecord {
  openingSteps: readonly OpeningStep[]
}
export interface OpeningFacts {
  /** Fixings that were not counted back, with the step they belong to. */
  fixingsMissing: { says: string; where: string }[]
  /** Steps that are still undone. */
  stepsUndone: number
}

const openingFacts = ({ openingSteps }: OpeningRecord): OpeningFacts => ({
  fixingsMissing: reassemble([...openingSteps]).uneven.missing.map(f => ({ says: f.says, where: f.because[0] ?? '' })),
  stepsUndone: openingSteps.filter(s => s.state === 'undone').length,
})
/** What is said where the record cannot be read. */
const openingUnknown: OpeningFacts = { fixingsMissing: [], stepsUndone: 0 }

/**
 * What the gate hears of the opening record: a fixing that is missing may lie in the machine; steps that are undone, and fixings left over,
 * want care. Apart on the bench, with the supply alone or the boards on a bench supply, open steps are as it should be.
 */
function openingHeard({ openingSteps, configuration }: OpeningRecord & { configuration: Configuration }): Heard[] {
  const apart = configuration.kind === 'supply-alone' || configuration.kind === 'bench-supply'
  const { missing, tooMany, order, undone } = reassemble([...openingSteps]).uneven
  return meaning({ concerns: 'loose' }, [
    // Looking for it is a move of its own.
    ...missing.map(f => heard({ ...f, source: commonPractice }, 'Find it, in the machine or out of it, and count the step back again.', { moved: true })),
    ...[...tooMany, ...order].map(f => heard(f, 'Compare with the opening record, put it right, and count the step back again.')),
    ...(apart ? [] : undone.map(f => heard({ ...f, level: 'care' }, 'Put it together by the opening record, and count every fixing back.'))),
  ])
}

declare module '../kernel/machine' {
  interface MachineRecord extends OpeningRecord {}
  interface MachineKnown extends OpeningFacts {}
}

/** A screw that did not come back is looked for before anything else that can wait. Common practice, no source. */
export const opening = discipline({
  name: 'opening',
  about: 'its opening',
  facts: openingFacts,
  unknown: openingUnknown,
  heard: openingHeard,
  moves: m => m.fixingsMissing.map(f => move('loose', 'fixing-missing', 'look', { says: f.says, why: `${f.where} A loose screw shorts what it lies on.` })),
})
