import { and, asc, count, eq, inArray, ne, or } from 'drizzle-orm'
import { type Finding, commonPractice, finding } from '#core/kernel/finding'
import { counted } from '#core/kernel/figure'
import { type RecapOrder, type RecapOrderInput, type RecapWant, sharesOf } from '#core/parts/recap/order'
import type { HeldPlace } from '#core/parts/ledger'
import { judgeListed } from '#core/parts/recap/rules'
import type { Due } from '#core/parts/recap/schools'
import { valueWords } from '#core/parts/substitute/compare'
import { capacitor } from '#core/parts/substitute/kinds/capacitor'
import { specWords } from '#core/parts/substitute/words'
import { money } from '#core/kernel/money'
import type { RecapMachines, RecapOrderView } from '#shared/chapters/recap/index'
import { csvOf } from '../../kernel/csv'
import type { Tx } from '../../kernel/history/journal'
import { machineNamed } from '../../kernel/machine-named'
import { machines } from '../../kernel/trunk'
import { cameIn, expectedOf, heldParts } from '../parts/index'
import { practiceOf } from '../practice/index'
import { startRuns } from '../starts/index'
import { leftToSpend } from '../stewardship/index'
import { capacitors, prices, recapSchools } from './schema'

type MachineRow = typeof machines.$inferSelect
type Row = typeof capacitors.$inferSelect

/** What of the lists is still to be fitted, with when. */
function dueOf(tx: Tx): (Row & { machine: MachineRow; due: Due })[] {
  const school = practiceOf(tx).capacitorSchool
  const rows = tx
    .select({ one: capacitors, machine: machines, own: recapSchools.school })
    .from(capacitors)
    .innerJoin(machines, eq(machines.id, capacitors.machineId))
    .leftJoin(recapSchools, eq(recapSchools.machineId, machines.id))
    .where(inArray(capacitors.state, ['in', 'out']))
    .orderBy(asc(capacitors.id))
    .all()
  const ids = [...new Set(rows.map(r => r.machine.id))]
  const started = new Set(
    ids.length
      ? tx
          .select({ id: startRuns.machineId })
          .from(startRuns)
          .where(and(inArray(startRuns.machineId, ids), ne(startRuns.onSeconds, 0)))
          .groupBy(startRuns.machineId)
          .all()
          .map(r => r.id)
      : [],
  )
  return rows.map(({ one, machine, own }) => ({
    ...one,
    machine,
    due:
      one.state === 'out'
        ? 'now'
        : judgeListed({ ...one, measured: one.measured ?? null }, { capacitorSchool: own ?? school, started: started.has(machine.id) }).due,
  }))
}
/** What was ordered, or came and nobody looked at, is not ordered again. */
const coming: HeldPlace[] = ['ordered', 'arrived']
const isComing = and(inArray(heldParts.at, coming), ne(heldParts.condition, 'bad'))
const suppliersOf = (tx: Tx): RecapMachines['suppliers'] =>
  tx
    .select({ supplier: prices.supplier, lines: count(), postage: prices.postage, setAt: prices.setAt })
    .from(prices)
    .groupBy(prices.supplier)
    .orderBy(asc(prices.supplier))
    .all()

/** Machines whose lists want something now, or will after a start. */
export function recapMachines(tx: Tx): RecapMachines {
  const byMachine = new Map<number, { machine: MachineRow; wanted: number; later: number }>()
  for (const { machine, due } of dueOf(tx)) {
    const one = byMachine.get(machine.id) ?? { machine, wanted: 0, later: 0 }
    byMachine.set(machine.id, one)
    if (due === 'now') one.wanted++
    else if (due === 'after-start') one.later++
  }
  return {
    machines: [...byMachine.values()].filter(m => m.wanted + m.later).map(({ machine, wanted, later }) => ({ ...machineNamed(machine), wanted, later })),
    suppliers: suppliersOf(tx),
    currency: practiceOf(tx).currency,
  }
}

export interface RecapQuestion {
  input: RecapOrderInput
  machines: Map<number, MachineRow>
}
/** What is asked of the solver: the wants of these machines, what lies on the shelf, and what the suppliers ask. @param later what waits for a start, too */
export function recapQuestion(tx: Tx, { tags, spares, later }: { tags: readonly string[]; spares: number; later: boolean }): RecapQuestion {
  const wanted = dueOf(tx).filter(one => tags.includes(one.machine.tag) && (one.due === 'now' || (later && one.due === 'after-start')))
  const wants: RecapWant[] = wanted.map(({ machineId, assembly, place, spec }) => ({ machineId, places: [`${assembly} ${place}`], spec }))
  const offers = tx.select().from(prices).orderBy(asc(prices.id)).all()
  return {
    machines: new Map(wanted.map(one => [one.machineId, one.machine])),
    input: {
      kind: 'capacitor',
      wants,
      stock: tx
        .select()
        .from(heldParts)
        .where(and(eq(heldParts.kind, 'capacitor'), or(and(eq(heldParts.at, 'shelf'), inArray(heldParts.condition, ['new', 'tested'])), isComing)))
        .all()
        .map(({ id, name, count, spec }) => ({ id, name, units: count, spec })),
      offers: offers.map(({ id, supplier, name, spec, pack, breaks }) => ({ id, supplier, name, spec, pack, breaks })),
      spares,
      postage: Object.fromEntries(offers.map(o => [o.supplier, o.postage ?? 0])),
    },
  }
}

const columns = ['Supplier', 'Part', 'How many', 'Price of one', 'Cost']
/** An order as a table, a line a purchase, postage at the end of each supplier. */
export const recapOrderCsv = ({ suppliers }: RecapOrderView): string =>
  csvOf([
    columns,
    ...suppliers.flatMap(({ supplier, lines, postage }) => [
      ...lines.map(({ name, units, unitPrice, cost }) => [supplier, name, units, unitPrice, cost]),
      ...(postage ? [[supplier, 'Postage', 1, postage, postage]] : []),
    ]),
  ])

/** The order in names, for a page, with what stands against it. */
export function recapOrderView(tx: Tx, question: RecapQuestion, order: RecapOrder, now: Date): RecapOrderView {
  const came = cameIn(tx)
  const { input, machines } = question
  const stock = new Map(
    tx
      .select()
      .from(heldParts)
      .where(inArray(heldParts.at, ['shelf', ...coming]))
      .all()
      .map(h => [h.id, h]),
  )
  const offers = new Map(input.offers.map(o => [o.id, o]))
  const currency = practiceOf(tx).currency
  const farads = (value: number) => valueWords(capacitor.fields, 'capacitanceF', value)
  const lines = order.values.map(value => ({
    says: specWords('capacitor', value.spec),
    spec: value.spec,
    wants: value.wants.map(({ machineId, places }) => ({ ...machineNamed(machines.get(machineId)!), places })),
    wanted: value.wanted,
    withSpares: value.withSpares,
    fromStock: value.fromStock.map(({ id, count }) => ({
      name: stock.get(id)?.name ?? '',
      lies: stock.get(id)?.lies ?? '',
      count,
      coming: stock.get(id)?.at !== 'shelf',
    })),
    bought: value.bought.map(({ offerId, count }) => ({ supplier: offers.get(offerId)!.supplier, name: offers.get(offerId)!.name, count })),
    short: value.short,
    nearest: value.nearestF === null ? null : farads(value.nearestF),
  }))
  const shares = sharesOf(order).map(({ machineId, ...share }) => ({ machine: machines.get(machineId)!, ...share }))
  const findings: Finding[] = shares.flatMap(({ machine, cost }) => {
    const left = leftToSpend(tx, machine)
    return left !== null && cost > left
      ? [
          finding(
            'care',
            `order.${machine.tag}`,
            `${machine.nickname || machine.tag}: its share is ${money(cost, currency)}, and its owner agreed to ${money(Math.max(0, left), currency)} more.`,
            'Ask its owner before it is ordered.',
            commonPractice,
          ),
        ]
      : []
  })
  const short = lines.filter(line => line.short)
  if (short.length)
    findings.push(
      finding(
        'care',
        'order.short',
        `${counted(
          short.reduce((sum, line) => sum + line.short, 0),
          'capacitor',
        )} can be had from nowhere.`,
        input.offers.length ? 'Nothing on the shelf or on a price list fits, by what is stated of it.' : 'No price list is kept. A coordinator adds one here.',
        commonPractice,
      ),
    )
  return {
    lines,
    suppliers: order.suppliers.map(({ supplier, parts, postage }) => ({
      supplier,
      parts,
      postage,
      ...expectedOf(came, supplier, ['capacitor'], now),
      lines: order.purchases
        .filter(p => p.supplier === supplier)
        .map(p => ({ name: offers.get(p.offerId)!.name, spec: offers.get(p.offerId)!.spec, units: p.units, unitPrice: p.unitPrice, cost: p.cost })),
    })),
    cost: order.cost,
    machines: shares.map(({ machine, ...rest }) => ({ ...machineNamed(machine), ...rest })),
    findings,
  }
}
