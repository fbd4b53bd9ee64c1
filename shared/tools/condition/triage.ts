import { triage } from '#core/condition/triage'
import { TriageInputShape, TriageShape } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const conditionTriage = defineTool({
  id: 'condition/triage',
  title: 'Paths',
  summary: 'Ranks what can become of a machine, each path with what speaks for and against it, and says what would change the order.',
  input: TriageInputShape,
  output: TriageShape,
  example: {
    assemblies: [
      { name: 'Supply', presence: 'present', grade: 3 },
      { name: 'Main board', presence: 'present', grade: 2 },
      { name: 'Picture tube', presence: 'missing', grade: null, irreplaceable: true },
      { name: 'Case', presence: 'present', grade: 0 },
    ],
    significance: { historic: 3, research: 1, rarity: 1, completeness: 2, show: 1 },
    hours: { low: 40, high: 90 },
    cost: { low: 60, high: 240 },
    sisters: { running: 1, wanting: 2 },
    ours: true,
  },
  run: triage,
  findings: output => output.findings,
})
