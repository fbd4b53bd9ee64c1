import { triage, type TriageInput } from '#core/condition/triage'
import type { ViewOf } from '#shared/chapters/index'
import { isOurs } from '#shared/kernel/acquisitions'
import type { MachineFile, ViewInput } from '../../kernel/file'

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

/** Whose it is, what was agreed and spent, and which path the core would take. */
export function stewardshipView({ file }: ViewInput): ViewOf<'stewardship'> {
  const { appraisal, consent } = file
  const input = triageInput(file)
  return {
    stewardship: {
      ours: isOurs(file.machine),
      currency: file.practice.currency,
      passedOver: file.consentExceptions.map(({ work, reason, at, by }) => ({ work, reason, at, by })),
      consent: consent && {
        version: consent.version,
        allowed: consent.allowed,
        upTo: consent.upTo,
        mustAsk: consent.mustAsk,
        agreedWith: consent.agreedWith,
        agreedOn: consent.agreedOn,
      },
      spent: file.spendings.reduce((sum, s) => sum + s.amount, 0),
      spendings: file.spendings.map(({ id, what, amount, at }) => ({ id, what, amount, at })),
      letters: file.letters.map(({ id, letter, at, byWhom, sentAt }) => ({ id, subject: letter.subject, at, by: byWhom, sent: sentAt !== null })),
    },
    appraisal: appraisal && (({ machineId: _, ...rest }) => rest)(appraisal),
    triage: input && triage(input),
  }
}
