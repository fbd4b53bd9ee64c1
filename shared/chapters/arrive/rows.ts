import { type ClaimKind, claimKinds } from '#core/identify/claim-outcomes'
import { z } from 'zod'
import { keysOf, oneOf, text } from '../../kernel/fields'
import { row } from '../../kernel/row'
import { claimVerdicts } from './words'

const kinds = [...keysOf(claimKinds), 'other'] as [ClaimKind, ...(ClaimKind | 'other')[]]

/** What was found of a claim, and of what kind it is; its words propose where nobody said. */
export const ClaimJudged = row(
  { verdict: oneOf(claimVerdicts, 'Verdict'), because: text('Because of', 500), kind: z.enum(kinds).nullable().default(null) },
  { kind: null },
)
