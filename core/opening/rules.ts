import { type Discipline, move } from '../planning/discipline'
import { type OpeningStep, reassemble } from './reassembly'

export interface OpeningRecord {
  openingSteps: readonly OpeningStep[]
}
export interface OpeningFacts {
  /** Fixings that were not counted back, with the step they belong to. */
  fixingsMissing: { says: string; where: string }[]
}

export const openingFacts = ({ openingSteps }: OpeningRecord): OpeningFacts => ({
  fixingsMissing: reassemble([...openingSteps])
    .findings.filter(f => f.code === 'opening.missing')
    .map(f => ({ says: f.says, where: f.because[0] ?? '' })),
})

/** A screw that did not come back is looked for before anything else that can wait. Common practice, no source. */
export const opening: Discipline = {
  moves: m => m.fixingsMissing.map(f => move('loose', 'fixing-missing', 'look', { says: f.says, why: `${f.where} A loose screw shorts what it lies on.` })),
}
