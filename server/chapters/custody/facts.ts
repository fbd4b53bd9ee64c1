import type { CustodyRecord } from '#core/stewardship/custody/rules'
import type { MachineFile } from '../../kernel/file'

/** What of a machine is away, and what came to it. */
export const facts = ({ custodies, exchanges }: MachineFile): CustodyRecord => ({
  away: custodies.filter(one => one.endedAt === null),
  cameHere: exchanges.filter(one => one.came).map(({ assembly, other, known, lookedAt }) => ({ assembly, from: other, known, lookedAt })),
})
