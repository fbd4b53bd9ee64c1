import { and, eq, inArray, isNotNull, isNull, ne, notInArray, or } from 'drizzle-orm'
import { addDays, formatISO } from 'date-fns'
import { type CameIn, leadTimeOf, leadTimeSays } from '#core/parts/buying/lead-times'
import { lowOnShelf } from '#core/parts/buying/low-on-shelf'
import type { Coming, WantedHere } from '#core/parts/buying/shortage'
import type { Bought, ToBuy } from '#core/parts/buying/to-buy'
import { gonePlaces, isOnItsWay } from '#core/parts/ledger'
import { isMissed } from '#core/parts/needs'
import { mayServe } from '#core/parts/offers'
import { specWords } from '#core/parts/substitute/words'
import { money } from '#core/kernel/money'
import type { CommandInput } from '#shared/chapters/index'
import type { BuyView, OnTheWayView } from '#shared/chapters/parts/index'
import { csvOf } from '../../kernel/csv'
import type { Tx } from '../../kernel/history/journal'
import { machineNamed } from '../../kernel/machine-named'
import { machines } from '../../kernel/trunk'
import type { Work } from '../../kernel/work'
import { practiceOf } from '../practice/index'
import { appraisals, consentAgainst, leftToSpend } from '../stewardship/index'
import { givenTo, heldInSlices, holdPart, nothingKnown } from './ledger'
import { heldParts, partNeeds } from './schema'
import { heldView } from './view'

type MachineRow = typeof machines.$inferSelect
/** What is asked of a thread, with the machines behind its ids. */
export interface BuyQuestion {
  input: { needs: WantedHere[]; coming: Coming[]; bought: Bought[] }
  machines: Map<number, MachineRow>
  /** Lines of which fewer lie here than should. */
  low: (typeof heldParts.$inferSelect & { short: number; keep: number })[]
}

/** What is wanted and not yet given, what is here or coming, and of whom its like came before. */
export async function buyQuestion(tx: Tx): Promise<BuyQuestion> {
  const rows = tx
    .select({ need: partNeeds, machine: machines, path: appraisals.path })
    .from(partNeeds)
    .innerJoin(machines, eq(machines.id, partNeeds.machineId))
    .leftJoin(appraisals, eq(appraisals.machineId, machines.id))
    .where(eq(partNeeds.outcome, 'wanted'))
    .all()
    .filter(({ path }) => path !== 'donor')
  const given = givenTo(tx)
  const here = await heldInSlices(tx, and(inArray(heldParts.at, ['shelf', 'arrived', 'donor', 'ordered', 'pledged']), ne(heldParts.condition, 'bad')))
  const bought = await heldInSlices(
    tx,
    and(or(isNotNull(heldParts.unitPrice), ne(heldParts.source, '')), notInArray(heldParts.at, ['donor', 'pledged']), eq(heldParts.lender, '')),
  )
  const kept = await heldInSlices(tx, and(isNotNull(heldParts.keepAtLeast), ne(heldParts.condition, 'bad')))
  const known = new Set(kept.map(one => one.id))
  return {
    low: lowOnShelf([...kept, ...here.filter(one => !known.has(one.id))]).map(({ line, keep, have }) => ({ ...line, short: keep - have, keep })),
    machines: new Map(rows.map(({ machine }) => [machine.id, machine])),
    input: {
      needs: rows
        .map(({ need }) => ({ ...need, count: need.quantity - (given.get(need.id) ?? 0) }))
        .filter(need => need.count > 0)
        .map(({ id, machineId, name, kind, spec, count, stops, affects, workaround, wouldDo, forFirstStart }) => ({
          id,
          machineId,
          name,
          kind,
          spec,
          count,
          stops,
          affects,
          workaround,
          wouldDo,
          forFirstStart,
        })),
      coming: here.map(one => ({
        id: one.id,
        name: one.name,
        kind: one.kind,
        spec: one.spec,
        count: one.count,
        machineId: one.at === 'donor' ? one.machineId : null,
        onItsWay: isOnItsWay(one),
      })),
      bought: bought.reverse().map(({ name, kind, spec, source, unitPrice }) => ({ name, kind, spec, source, unitPrice })),
    },
  }
}

/** What came so far, and from whom. */
export const cameIn = (tx: Tx): CameIn[] =>
  tx
    .select({ source: heldParts.source, orderedAt: heldParts.orderedAt, arrivedAt: heldParts.arrivedAt })
    .from(heldParts)
    .where(and(isNotNull(heldParts.orderedAt), isNotNull(heldParts.arrivedAt), ne(heldParts.source, '')))
    .groupBy(heldParts.source, heldParts.orderedAt, heldParts.arrivedAt)
    .all() as CameIn[]

/** When what is ordered of somebody now is here as a rule, and how that is known. */
export function expectedOf(came: readonly CameIn[], supplier: string, names: readonly string[], now: Date): { expected: string; lead: string } {
  const slowest = names.map(name => leadTimeOf(supplier, name, came)).reduce((a, b) => (b.usualDays > a.usualDays ? b : a))
  return { expected: formatISO(addDays(now, slowest.usualDays), { representation: 'date' }), lead: leadTimeSays(slowest) }
}

/** What should be bought, in names: a draft for each supplier, those that nobody knows at the end. @param now of the day that it is looked at */
export function buyView(tx: Tx, { input, low, machines: known }: BuyQuestion, { lines, lookFirst }: ToBuy, now: Date): BuyView {
  const needs = new Map(input.needs.map(need => [need.id, need]))
  const came = cameIn(tx)
  const { currency } = practiceOf(tx)
  /** What its owner is asked before anything is bought for it; nothing for our own. */
  const asked = new Map<number, string>()
  const asksOf = (machine: MachineRow): string => {
    const before = asked.get(machine.id)
    if (before !== undefined) return before
    const left = leftToSpend(tx, machine)
    const says = consentAgainst({ tx, machine }, 'repair')
      ? 'its owner has not agreed to a repair'
      : left === null
        ? ''
        : `its owner agreed to ${money(Math.max(0, left), currency)} more`
    asked.set(machine.id, says)
    return says
  }
  const lowOf = (supplier: string) => low.filter(one => one.source === supplier)
  const suppliers = [...new Set([...lines, ...low].map(line => line.source))].sort((a, b) => Number(a === '') - Number(b === '') || a.localeCompare(b))
  return {
    currency,
    drafts: suppliers.map(supplier => {
      const its = lines.filter(line => line.source === supplier)
      return {
        supplier,
        ...expectedOf(came, supplier, [...its.map(line => line.need.name), ...lowOf(supplier).map(one => one.name)], now),
        lines: [
          ...its.map(({ need, needIds, count, unitPrice, starts }) => ({
            partId: need.id,
            name: need.name,
            kind: need.kind,
            spec: need.spec,
            says: need.kind ? specWords(need.kind, need.spec) : '',
            count,
            unitPrice,
            stops: need.stops,
            wants: needIds.map(id => {
              const machine = known.get(needs.get(id)!.machineId)!
              return { ...machineNamed(machine), stops: needs.get(id)!.stops, asks: asksOf(machine) }
            }),
            starts: starts.map(id => machineNamed(known.get(id)!)),
            keep: 0,
          })),
          ...lowOf(supplier).map(one => ({
            partId: -one.id,
            name: one.name,
            kind: one.kind,
            spec: one.spec,
            says: one.kind ? specWords(one.kind, one.spec) : '',
            count: one.short,
            unitPrice: one.unitPrice,
            stops: 'nothing' as const,
            wants: [],
            starts: [],
            keep: one.keep,
          })),
        ],
      }
    }),
    lookFirst: lookFirst.map(({ need, count }) => ({ name: need.name, count, stops: need.stops, ...machineNamed(known.get(need.machineId)!) })),
  }
}

/** The same as a table, a line a part. */
export const buyCsv = ({ drafts, currency }: BuyView): string =>
  csvOf([
    ['Supplier', 'Part', 'What it is like', 'How many', `Price of one, ${currency}`, `Cost, ${currency}`, 'For', 'Ask first', 'Starts', 'Usually here by'],
    ...drafts.flatMap(({ supplier, expected, lines }) =>
      lines.map(({ name, says, count, unitPrice, wants, starts }) => [
        supplier || 'Not known',
        name,
        says,
        count,
        unitPrice ?? '',
        unitPrice === null ? '' : Math.round(unitPrice * count * 100) / 100,
        wants.map(w => w.tag).join(', ') || 'the shelf',
        wants.flatMap(w => (w.asks ? [`${w.tag}: ${w.asks}`] : [])).join('; '),
        starts.map(m => m.tag).join(', '),
        expected,
      ]),
    ),
  ])

/** Puts what was ordered in the ledger, line by line; it is on its way from then on, and bought no second time. */
export function placeOrder(work: Work, { supplier, dueBy, postage, lines }: CommandInput<'place-order'>): { lines: number } {
  const parts = lines.reduce((sum, line) => sum + (line.unitPrice ?? 0) * line.count, 0)
  const { currency } = practiceOf(work.tx)
  work.write('order.placed', {
    supplier,
    dueBy,
    lines: lines.length,
    cost: lines.every(line => line.unitPrice !== null) ? money(parts + (postage ?? 0), currency) : '',
  })
  for (const { name, kind, spec, count, unitPrice, note } of lines)
    holdPart(work, { ...nothingKnown, name, kind, spec, count, unitPrice, note, at: 'ordered', source: supplier, dueBy })
  return { lines: lines.length }
}

/** More than anybody waits for. */
const mostOnTheWay = 200
/** What was ordered or promised and is not here, or came and nobody looked at: the latest first, with whom it holds up. @param today ISO date */
export function onTheWay(tx: Tx, today: string): OnTheWayView {
  const rows = tx
    .select()
    .from(heldParts)
    .where(and(inArray(heldParts.at, ['ordered', 'pledged', 'arrived']), notInArray(heldParts.at, gonePlaces)))
    .orderBy(isNull(heldParts.dueBy), heldParts.dueBy, heldParts.id)
    .limit(mostOnTheWay)
    .all()
  const came = cameIn(tx)
  const wanted = tx
    .select({ need: partNeeds, tag: machines.tag, nickname: machines.nickname, model: machines.name })
    .from(partNeeds)
    .innerJoin(machines, eq(machines.id, partNeeds.machineId))
    .where(eq(partNeeds.outcome, 'wanted'))
    .all()
    .filter(({ need }) => isMissed(need))
  return {
    lines: rows.map(held => ({
      held: heldView(held, null),
      late: isOnItsWay(held) && held.dueBy !== null && held.dueBy < today,
      lead: isOnItsWay(held) ? leadTimeSays(leadTimeOf(held.source, held.name, came)) : '',
      holdsUp: wanted
        .filter(({ need }) => mayServe(need, held))
        .map(({ need, tag, nickname, model }) => ({ tag, machine: nickname || model, stops: need.stops })),
    })),
  }
}
