import type { TriageInput } from '#core/condition/triage'
import { isOurs } from '#shared/kernel/acquisitions'
import type { MachineFile } from '../../kernel/file'

/** What the ranking of paths is asked about one machine; nothing before it was appraised. */
export function triageInput(file: MachineFile): TriageInput | null {
  const { appraisal, consent } = file
  if (!appraisal || !file.assemblies.length) return null
  return {
    assemblies: file.assemblies.map(({ name, presence, grade }) => ({ name, presence, grade, irreplaceable: appraisal.irreplaceable.includes(name) })),
    significance: appraisal.significance,
    hours: { low: appraisal.hoursLow, high: appraisal.hoursHigh },
    cost: { low: appraisal.costLow, high: appraisal.costHigh },
    sisters: { running: file.sisters.signedOff, wanting: file.sisters.all - file.sisters.signedOff },
    ours: isOurs(file.machine),
    consent,
    currency: file.practice.currency,
  }
}
