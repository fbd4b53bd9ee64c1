import type { ViewOf } from '#shared/chapters/index'
import type { CustodyDue } from '#shared/chapters/custody/index'
import { and, asc, eq, isNull, lte } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { machineNamed } from '../../kernel/machine-named'
import { machines } from '../../kernel/trunk'
import { custodies } from './schema'

type Row = typeof custodies.$inferSelect
const told = ({ id, version, assembly, holder, what, since, backBy }: Row) => ({ id, version, assembly, holder, what, since, backBy })

/** What of a machine is away. */
export const custodyView = ({ file }: ViewInput): ViewOf<'custody'> => ({
  custody: {
    away: file.custodies.filter(one => one.endedAt === null).map(one => ({ ...told(one), assemblyId: one.assemblyId })),
    exchanges: file.exchanges.map(({ id, assembly, came, other, at, known, lookedAt }) => ({
      id,
      assembly,
      came,
      other,
      at,
      known,
      looked: lookedAt !== null,
    })),
  },
})

/** More than a day shows. */
const mostDue = 30
/** What is away and due by this day, the longest overdue first. */
export const dueBack = (tx: Tx, day: string): CustodyDue[] =>
  tx
    .select({ one: custodies, machine: machines })
    .from(custodies)
    .innerJoin(machines, eq(machines.id, custodies.machineId))
    .where(and(isNull(custodies.endedAt), lte(custodies.backBy, day)))
    .orderBy(asc(custodies.backBy), asc(custodies.id))
    .limit(mostDue)
    .all()
    .map(({ one, machine }) => ({ ...told(one), ...machineNamed(machine) }))
