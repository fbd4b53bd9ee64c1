import type { CustodyRecord } from '#core/stewardship/custody/rules'
import type { MachineFile } from '../../kernel/file'

/** What of a machine is away. */
export const facts = ({ custodies }: MachineFile): CustodyRecord => ({ away: custodies.filter(one => one.endedAt === null) })
