import { type Discipline, move, step } from '../planning/discipline'

export interface DiagnosisRecord {
  faults: readonly { symptom: string; stopsMachine: boolean; open: boolean; observations: readonly unknown[]; repairs: readonly unknown[] }[]
}
export interface DiagnosisFacts {
  faults: { symptom: string; stopsMachine: boolean; open: boolean; observations: number; repairs: number }[]
}

export const diagnosisFacts = ({ faults }: DiagnosisRecord): DiagnosisFacts => ({
  faults: faults.map(({ symptom, stopsMachine, open, observations, repairs }) => ({
    symptom,
    stopsMachine,
    open,
    observations: observations.length,
    repairs: repairs.length,
  })),
})

/** A fault is looked into first, then gone on with until a repair closes it. */
export const diagnosis: Discipline = {
  steps: { mend: m => m.faults.map(f => step(f.symptom, !f.open)) },
  moves: m => {
    const open = m.faults.filter(f => f.open)
    return [
      ...open
        .filter(f => f.observations === 0)
        .map(f => move('new-fault', 'fault-new', 'mend', { says: `Look into: ${f.symptom}`, why: 'Nobody has observed anything about it yet.' })),
      ...open
        .filter(f => f.observations > 0)
        .map(f =>
          move('open-fault', 'fault-open', 'mend', {
            says: `Go on with: ${f.symptom}`,
            why: f.repairs ? 'A repair did not close it.' : 'Observed, not repaired yet.',
          }),
        ),
    ]
  },
}
