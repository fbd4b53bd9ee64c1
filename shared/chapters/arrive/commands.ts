import { z } from 'zod'
import { readDateCode } from '#core/identify/date-code'
import { stages } from '#core/kernel/stages'
import { command } from '../../kernel/contract'
import { found, id, oneOf, optionalText, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { notOurs } from '../../kernel/acquisitions'
import { ClaimJudged, Identity } from './rows'

/** Whoever gave, sold or lent it is named; what was found has no giver. Said together with whatever else is missing. */
const giver = { path: ['fromWhom'], message: 'From whom: type something here. Only what was found needs no giver.', when: () => true }
/** It is asked of whatever was sent, be it no machine at all. */
const giverNamed = (machine: { acquired?: unknown; fromWhom?: unknown } | null) =>
  machine?.acquired === 'found' || (typeof machine?.fromWhom === 'string' && Boolean(machine.fromWhom.trim()))
const owner = { path: ['owner'], message: 'Whose it is: a machine that is not the collection’s own needs its owner’s name.' }
const ownerNamed = (machine: { acquired: string; owner: string }) => !notOurs.some(a => a === machine.acquired) || Boolean(machine.owner)

/** A marking off a part that can be read as a date. */
const dateCode = text('Date code', 60).superRefine((code, context) => {
  if (!code) return
  const { readings, findings } = readDateCode({ code })
  if (!readings.length) context.addIssue({ code: 'custom', message: `${findings[0]?.says} ${findings[0]?.because[0]} Leave it out if it is no date.` })
})

/** A code as found on a part; reworked and socketed parts may be of a later service. */
const DateCodeRead = z.object({ part: optionalText('Part', 60), code: dateCode, reworked: z.boolean().default(false), socketed: z.boolean().default(false) })

export const BookIn = z
  .object({
    ...Identity.typed,
    modelId: id.nullable().default(null),
    claims: z.array(text('Claim', 500)).max(20, 'Claims: twenty at most.').default([]),
    accessories: z.array(text('What came with it', 120)).max(60, 'What came with it: sixty at most.').default([]),
    dateCodes: z.array(DateCodeRead).max(200, 'Date codes: two hundred at most.').default([]),
  })
  .refine(giverNamed, giver)
  .refine(ownerNamed, owner)

/** A lot is booked in a machine at a time, and each marking is read: more are added once the machines are there. */
const mostCodesInALot = 2000
const fewCodes = (machines: readonly z.infer<typeof BookIn>[], context: z.RefinementCtx) => {
  const codes = machines.reduce((sum, machine) => sum + machine.dateCodes.length, 0)
  if (codes > mostCodesInALot)
    context.addIssue({ code: 'custom', message: `Date codes: ${codes} in all. Up to ${mostCodesInALot} in one lot, please; read the rest on the machines.` })
}

export const onMachine = {
  'correct-identity': command(
    atTheBench,
    z
      .object({ version, ...Identity.typed, found })
      .refine(giverNamed, giver)
      .refine(ownerNamed, owner),
    { opens: 'saying' },
  ),
  /** It is one of a model that came to be known under just its name and maker after it was booked in. */
  'join-model': command(atTheBench, z.object({ modelId: id, found }), { opens: 'saying' }),
  'add-claim': command(atTheBench, z.object({ says: text('Claim', 500), byWhom: optionalText('By whom', 120) })),
  'judge-claim': command(atTheBench, z.object({ claimId: id, version, ...ClaimJudged.typed })),
  'note-accessory': command(atTheBench, z.object({ name: text('What came with it', 120) })),
  'read-date-code': command(atTheBench, DateCodeRead),
  'move-to-stage': command(atTheBench, z.object({ stage: oneOf(stages, 'Stage') })),
  'move-to-place': command(atTheBench, z.object({ place: text('Location', 120) })),
  'put-on-bench': command(atTheBench, z.object({ onBench: z.boolean() })),
} as const

export const onCollection = {
  'book-in': command(atTheBench, BookIn),
  'book-in-lot': command(
    atTheBench,
    z.object({ machines: z.array(BookIn).min(1, 'No machine to book in.').max(200, 'Two hundred machines at a time.').superRefine(fewCodes) }),
  ),
} as const
