import { type ClaimKind, claimKinds } from '#core/identify/claim-outcomes'
import { z } from 'zod'
import { acquisitions } from '../../kernel/acquisitions'
import { keysOf, oneOf, optionalQuantity, optionalText, roughDay, text } from '../../kernel/fields'
import { row } from '../../kernel/row'
import { claimVerdicts } from './words'

const kinds = [...keysOf(claimKinds), 'other'] as [ClaimKind, ...(ClaimKind | 'other')[]]

/** What was found of a claim, and of what kind it is; its words propose where nobody said. */
export const ClaimJudged = row(
  { verdict: oneOf(claimVerdicts, 'Verdict'), because: text('Because of', 500), kind: z.enum(kinds).nullable().default(null) },
  { kind: null },
)

/** What a machine is and whose, as it was said at the back door. */
export const Identity = row({
  name: text('Model or description', 80),
  maker: optionalText('Maker', 80),
  nickname: optionalText('Nickname', 60),
  serial: optionalText('Serial number', 60),
  variant: optionalText('Board issue or variant', 60),
  weightKg: optionalQuantity('kg', 'Weight', { above: 0, upTo: 2000 }),
  place: optionalText('Location', 120),
  acquired: oneOf(acquisitions, 'How it came'),
  fromWhom: optionalText('From whom', 120),
  owner: optionalText('Whose it is', 120),
  lastPowered: roughDay('Last powered'),
  lastPoweredBy: optionalText('By whom', 120),
  lastPoweredWhat: optionalText('What happened', 500),
})
