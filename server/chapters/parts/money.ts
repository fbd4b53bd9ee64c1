import { and, desc, eq, inArray, isNotNull, isNull, sql, sum } from 'drizzle-orm'
import type { HeldPlace } from '#core/parts/ledger'
import { judgeMoney } from '#core/stewardship/money'
import type { MoneyView } from '#shared/chapters/parts/index'
import { isOurs } from '#shared/kernel/acquisitions'
import { csvOf } from '../../kernel/csv'
import type { Tx } from '../../kernel/history/journal'
import { machines } from '../../kernel/trunk'
import { practiceOf } from '../practice/index'
import { appraisals, consents, spendings } from '../stewardship/index'
import { heldParts } from './schema'

const worth = sql<number>`sum(${heldParts.count} * ${heldParts.unitPrice})`
/** Where a part counts as spent on its machine. */
export const ofMachine: readonly HeldPlace[] = ['promised', 'fitted']
/** What the parts cost that are fitted in a machine or set aside for it, by the price that stands beside them. */
export const partsCost = (tx: Tx, machineId: number): number =>
  tx
    .select({ total: worth })
    .from(heldParts)
    .where(and(eq(heldParts.machineId, machineId), inArray(heldParts.at, [...ofMachine])))
    .get()?.total ?? 0

/** What was spent on each machine, against its estimate and what its owner agreed to; the most first. */
export function moneyView(tx: Tx): MoneyView {
  const { currency } = practiceOf(tx)
  const spent = new Map(
    tx
      .select({ id: spendings.machineId, total: sum(spendings.amount).mapWith(Number) })
      .from(spendings)
      .where(isNull(spendings.struckBy))
      .groupBy(spendings.machineId)
      .all()
      .map(one => [one.id, one.total]),
  )
  const parts = new Map(
    tx
      .select({ id: heldParts.machineId, total: worth })
      .from(heldParts)
      .where(and(inArray(heldParts.at, [...ofMachine]), isNotNull(heldParts.unitPrice)))
      .groupBy(heldParts.machineId)
      .all()
      .map(one => [one.id, one.total]),
  )
  const rows = tx
    .select({ machine: machines, appraisal: appraisals, consent: consents })
    .from(machines)
    .leftJoin(appraisals, eq(appraisals.machineId, machines.id))
    .leftJoin(consents, eq(consents.machineId, machines.id))
    .orderBy(desc(machines.id))
    .all()
    .filter(({ machine, appraisal, consent }) => spent.has(machine.id) || parts.has(machine.id) || appraisal || (consent && !isOurs(machine)))
    .map(({ machine, appraisal, consent }) => {
      const money = {
        spent: (spent.get(machine.id) ?? 0) + (parts.get(machine.id) ?? 0),
        estimate: appraisal && { low: appraisal.costLow, high: appraisal.costHigh },
        agreed: isOurs(machine) ? null : (consent?.upTo ?? 0),
      }
      return {
        tag: machine.tag,
        machine: machine.nickname || machine.name,
        ...money,
        parts: parts.get(machine.id) ?? 0,
        finding: judgeMoney({ ...money, currency }),
      }
    })
    .sort((a, b) => b.spent - a.spent || b.parts - a.parts || a.tag.localeCompare(b.tag))
  const onOrder =
    tx
      .select({ total: worth })
      .from(heldParts)
      .where(inArray(heldParts.at, ['ordered', 'arrived']))
      .get()?.total ?? 0
  const onShelf =
    tx
      .select({ total: worth })
      .from(heldParts)
      .where(inArray(heldParts.at, ['shelf']))
      .get()?.total ?? 0
  const total = (of: 'spent' | 'parts') => rows.reduce((all, one) => all + one[of], 0)
  return { currency, rows, spent: total('spent'), parts: total('parts'), onOrder, onShelf }
}

/** The same as a table, the collection at its end. */
export const moneyCsv = ({ currency, rows, spent, parts }: MoneyView): string =>
  csvOf([
    ['Tag', 'Machine', `Spent, ${currency}`, 'Thought to cost from', 'to', 'Its owner agreed to', 'Of it for parts, set aside or fitted', 'What is said of it'],
    ...rows.map(r => [r.tag, r.machine, r.spent, r.estimate?.low ?? '', r.estimate?.high ?? '', r.agreed ?? '', r.parts, r.finding.says]),
    ['', 'The collection', spent, '', '', '', parts, ''],
  ])
