import { triage } from '#core/condition/triage'
import type { ViewOf } from '#shared/chapters/index'
import { Agreement, Appraisal } from '#shared/chapters/stewardship/index'
import { isOurs } from '#shared/kernel/acquisitions'
import type { ViewInput } from '../../kernel/file'
import { spentOn } from './carry-out'
import { triageInput } from './triage-input'

/** Whose it is, what was agreed and spent, and which path the core would take. */
export function stewardshipView({ tx, file }: ViewInput): ViewOf<'stewardship'> {
  const { appraisal, consent } = file
  const input = triageInput(file)
  return {
    stewardship: {
      ours: isOurs(file.machine),
      currency: file.practice.currency,
      passedOver: file.consentExceptions.map(({ work, reason, at, by }) => ({ work, reason, at, by })),
      consent: consent && { version: consent.version, ...Agreement.of(consent) },
      spent: spentOn({ tx, machine: file.machine }),
      spendings: file.spendings.map(({ id, what, amount, at }) => ({ id, what, amount, at })),
      letters: file.letters.map(({ id, letter, at, byWhom, sentAt }) => ({ id, subject: letter.subject, at, by: byWhom, sent: sentAt !== null })),
    },
    appraisal: appraisal && { version: appraisal.version, ...Appraisal.of(appraisal), path: appraisal.path, pathReason: appraisal.pathReason },
    triage: input && triage(input),
  }
}
