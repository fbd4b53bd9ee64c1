import { e6Nearest } from '../../kernel/e-series'
import { decimals } from '../../kernel/figure'
import { InputError } from '../../kernel/input-error'
import { type Solve, solved, termsOf } from '../../kernel/programme'
import type { Spec } from '../substitute/compare'
import { type PartKindName, judgeSubstitute } from '../substitute/substitute'

/** Some of one kind that a machine wants, at its places. */
export interface RecapWant {
  machineId: number
  places: string[]
  spec: Spec
}
/** A part that lies on the shelf. */
export interface RecapStock {
  id: number
  name: string
  units: number
  spec: Spec
}
/** A line of a price list. Prices are of one, from so many on; what is sold in packs comes in whole ones. */
export interface PriceOffer {
  id: number
  supplier: string
  name: string
  spec: Spec
  pack: number
  /** From how many on at which price of one, the fewest first. */
  breaks: { from: number; price: number }[]
}
export interface RecapOrderInput {
  kind: PartKindName
  wants: RecapWant[]
  stock: RecapStock[]
  offers: PriceOffer[]
  /** So many of each value are bought beside what is wanted. */
  spares: number
  /** What each supplier takes for sending, by its name; nothing where it is not known. */
  postage: Record<string, number>
}

/** Like ones of several machines, merged. */
export interface RecapValue {
  spec: { -readonly [field in keyof Spec]: Spec[field] }
  wants: { machineId: number; places: string[] }[]
  /** How many are wanted, and with the spares. */
  wanted: number
  withSpares: number
  fromStock: { id: number; count: number }[]
  bought: { offerId: number; count: number }[]
  /** So many could be had from nowhere. */
  short: number
  /** The nearest that is made, where nothing on the lists fits. */
  nearestF: number | null
}
export interface RecapPurchase {
  offerId: number
  supplier: string
  /** How many come, in whole packs. */
  units: number
  unitPrice: number
  cost: number
}
export interface RecapOrder {
  values: RecapValue[]
  purchases: RecapPurchase[]
  suppliers: { supplier: string; parts: number; postage: number }[]
  cost: number
}

/** Beside the same part, what is put in its place where that is had from nowhere: with other leads first, then of another value. */
const lesser = ['leads', 'capacitanceF']
/** How good one part is in the place of another, from 0 on; nothing where it may not be put there. */
function tierOf(kind: PartKindName, wanted: Spec, offered: Spec): number | null {
  const { verdict, terms } = judgeSubstitute({ kind, wanted, offered })
  if (verdict === 'fits') return 0
  if (verdict !== 'note') return null
  return Math.max(0, ...terms.filter(term => term.verdict === 'note').map(term => lesser.indexOf(term.field) + 1))
}

/**
 * Which part serves which value. Only where what is the same can neither be bought nor is enough of it on the shelf, what comes with a note is let in.
 * @returns for each part of the shelf and each offer, the values that it serves, by their numbers
 */
export function servedBy(
  { kind, stock, offers }: Pick<RecapOrderInput, 'kind' | 'stock' | 'offers'>,
  values: readonly Pick<RecapValue, 'spec' | 'withSpares'>[],
) {
  const tiers = <S extends { spec: Spec }>(sources: readonly S[]) => sources.map(one => values.map(value => tierOf(kind, value.spec, one.spec)))
  const [shelf, sold] = [tiers(stock), tiers(offers)]
  const mostOf = values.map(({ withSpares }, nth) => {
    const enough = (tier: number) =>
      sold.some(of => of[nth] !== null && of[nth]! <= tier) ||
      stock.reduce((sum, one, at) => sum + (shelf[at]![nth] !== null && shelf[at]![nth]! <= tier ? one.units : 0), 0) >= withSpares
    return [0, 1, 2].find(enough) ?? 2
  })
  const serves = (of: (number | null)[][]) => of.map(row => row.flatMap((tier, nth) => (tier !== null && tier <= mostOf[nth]! ? [nth] : [])))
  return { shelf: serves(shelf), sold: serves(sold) }
}

/** What tells one value from another; of the rest the strictest counts for all. */
const tellsApart = ['capacitanceF', 'voltageV', 'ratedFor', 'technology', 'safetyClass', 'polarity', 'leads', 'spacingMm', 'tolerancePct']
const smallest = ['diameterMm', 'heightMm', 'impedanceOhm']
const largest = ['temperatureC', 'rippleA']

/** Like ones merged: the same value, voltage and make; what has to fit everywhere has the smallest room and the highest temperature of them. */
export function merged(wants: readonly RecapWant[]): RecapValue[] {
  const values = new Map<string, RecapValue>()
  for (const { machineId, places, spec } of wants) {
    const key = JSON.stringify(tellsApart.map(field => spec[field] ?? null))
    const value = values.get(key) ?? { spec: {}, wants: [], wanted: 0, withSpares: 0, fromStock: [], bought: [], short: 0, nearestF: null }
    values.set(key, value)
    for (const [field, given] of Object.entries(spec)) {
      const had = value.spec[field]
      if (typeof given === 'number' && typeof had === 'number')
        value.spec[field] = smallest.includes(field) ? Math.min(had, given) : largest.includes(field) ? Math.max(had, given) : given
      else value.spec[field] = given
    }
    value.wanted += places.length
    const at = value.wants.find(w => w.machineId === machineId)
    if (at) at.places.push(...places)
    else value.wants.push({ machineId, places: [...places] })
  }
  return [...values.values()].sort(
    (a, b) => Number(a.spec.capacitanceF ?? 0) - Number(b.spec.capacitanceF ?? 0) || Number(a.spec.voltageV ?? 0) - Number(b.spec.voltageV ?? 0),
  )
}

/** An offer is whole where its breaks rise. @throws InputError */
function expectOffer({ name, pack, breaks }: PriceOffer): void {
  const rising =
    breaks.length > 0 && breaks.every(({ from, price }, at) => Number.isInteger(from) && from >= 1 && price >= 0 && (at === 0 || from > breaks[at - 1]!.from))
  if (!Number.isInteger(pack) || pack < 1 || !rising) throw new InputError('offers', name, `${name}: its packs and prices are none that can be bought.`)
}

interface Sold {
  one: PriceOffer
  name: string
  serves: number[]
}
const priceAt = ({ breaks }: PriceOffer, count: number) => breaks.findLast(b => count >= b.from)?.price ?? Infinity
/** Offers of which none is beaten by another of the same supplier: as good for whatever it serves, never dearer, and in packs no larger. */
function undominated(sold: readonly Sold[]): Sold[] {
  const beats = (a: Sold, b: Sold) =>
    a.one.supplier === b.one.supplier &&
    b.one.pack % a.one.pack === 0 &&
    b.serves.every(nth => a.serves.includes(nth)) &&
    [...a.one.breaks, ...b.one.breaks].every(({ from }) => priceAt(a.one, from) <= priceAt(b.one, from))
  return sold.filter((b, at) => !sold.some((a, other) => other !== at && beats(a, b) && (other < at || !beats(b, a))))
}
/** At which prices how many are bought of an offer at most, where so many could be put to use; a break that costs more than all of them did is none. */
function stepsOf({ breaks, pack }: PriceOffer, useful: number) {
  const packed = (count: number) => Math.ceil(count / pack) * pack
  const steps: { price: number; from: number; upTo: number }[] = []
  for (const [at, { from, price }] of breaks.entries()) {
    const most = packed(Math.max(useful, from))
    const before = steps.at(-1)
    if (before && from > useful && before.upTo >= useful && packed(from) * price >= packed(useful) * before.price) break
    const next = breaks[at + 1]
    const upTo = next ? Math.min(most, next.from - 1) : most
    if (upTo >= pack) steps.push({ price, from, upTo })
  }
  return steps
}

/**
 * What is bought where, so that all of it costs least: what the shelf has is taken first where that saves most, packs come whole, a break in price may
 * be worth more than is wanted, one part may serve several values, and each supplier's postage counts once. Exact, as an integer programme.
 * @param solve the solver that is asked
 * @throws TooLarge where it could not be weighed in time; InputError at an offer that is none
 */
export function recapOrder({ kind, wants, stock, offers, spares, postage }: RecapOrderInput, solve: Solve): RecapOrder {
  offers.forEach(expectOffer)
  const values = merged(wants).map(value => ({ ...value, withSpares: value.wanted + spares }))
  const served = servedBy({ kind, stock, offers }, values)
  const shelf = stock.map((one, at) => ({ one, name: `k${at}`, serves: served.shelf[at]! })).filter(s => s.serves.length)
  const all = (nths: readonly number[]) => nths.reduce((sum, nth) => sum + values[nth]!.withSpares, 0)
  const sold = undominated(offers.map((one, at) => ({ one, name: `o${at}`, serves: served.sold[at]! })).filter(s => s.serves.length)).map(s => ({
    ...s,
    steps: stepsOf(s.one, all(s.serves)),
  }))
  const suppliers = [...new Set(sold.map(({ one }) => one.supplier))]
  const steps = sold.flatMap(({ one, name, steps: its }) => its.map((step, at) => ({ one, name, packs: `${name}t${at}`, is: `${name}y${at}`, ...step })))
  // Whatever can be had is had: to be short of one costs more than anything on the lists.
  const dearest = 1 + Math.max(0, ...steps.map(({ price, upTo }) => price * upTo)) + suppliers.reduce((sum, s) => sum + (postage[s] ?? 0), 0)
  const missing = dearest * 2
  const into = (source: string, nth: number) => `${source}v${nth}`
  const goal = [
    ...steps.map(({ one, price, packs }) => [price * one.pack, packs] as const),
    ...suppliers.map((s, at) => [postage[s] ?? 0, `z${at}`] as const),
    ...values.map((_, nth) => [missing, `u${nth}`] as const),
    // Of two ways that cost the same, the one that uses up the shelf: all of it together weighs less than a cent.
    ...sold.flatMap(s => s.serves.map(nth => [0.004 / (all([...values.keys()]) + 1), into(s.name, nth)] as const)),
  ]
  const rows = [
    ...values.map(
      (value, nth) =>
        `${termsOf([...[...shelf, ...sold].filter(s => s.serves.includes(nth)).map(s => [1, into(s.name, nth)] as const), [1, `u${nth}`]])} = ${value.withSpares}`,
    ),
    ...shelf.map(({ one, name, serves }) => `${termsOf(serves.map(nth => [1, into(name, nth)] as const))} <= ${one.units}`),
    ...sold.map(
      ({ one, name, serves, steps: its }) =>
        `${termsOf([...serves.map(nth => [1, into(name, nth)] as const), ...its.map((_, at) => [-one.pack, `${name}t${at}`] as const)])} <= 0`,
    ),
    ...steps.flatMap(({ one, packs, is, from, upTo }) => [
      `${termsOf([
        [one.pack, packs],
        [-from, is],
      ])} >= 0`,
      `${termsOf([
        [one.pack, packs],
        [-upTo, is],
      ])} <= 0`,
    ]),
    ...sold.map(
      ({ one, name, steps: its }) => `${termsOf([...its.map((_, at) => [1, `${name}y${at}`] as const), [-1, `z${suppliers.indexOf(one.supplier)}`]])} <= 0`,
    ),
  ]
  const binaries = [...steps.map(({ is }) => is), ...suppliers.map((_, at) => `z${at}`)]
  const whole = steps.map(({ packs }) => packs)
  const given = [...values.map((_, nth) => `u${nth}`), ...[...shelf, ...sold].flatMap(s => s.serves.map(nth => into(s.name, nth)))]
  /** What is bought is found first; only where it was shared out in halves, it is shared out once more in whole ones. */
  function weighed(): Record<string, number> {
    if (!values.length) return {}
    const programme = { goal: termsOf(goal), rows, binaries, whole, least: true }
    const found = solved(solve, programme).values
    if (given.every(name => Math.abs((found[name] ?? 0) - Math.round(found[name] ?? 0)) < 1e-6)) return found
    const bought = whole.map(name => `+ 1 ${name} = ${Math.round(found[name] ?? 0)}`)
    return solved(solve, { ...programme, rows: [...rows, ...bought], whole: [...whole, ...given] }).values
  }
  const answer = weighed()
  const many = (name: string) => Math.round(answer[name] ?? 0)

  for (const [nth, value] of values.entries()) {
    value.fromStock = shelf.flatMap(({ one, name }) => (many(into(name, nth)) ? [{ id: one.id, count: many(into(name, nth)) }] : []))
    value.bought = sold.flatMap(({ one, name }) => (many(into(name, nth)) ? [{ offerId: one.id, count: many(into(name, nth)) }] : []))
    value.short = many(`u${nth}`)
    const printedF = value.spec.capacitanceF
    const made = typeof printedF === 'number' ? e6Nearest(printedF) : null
    value.nearestF = value.short && made !== null && Math.abs(made / (printedF as number) - 1) > 0.01 ? made : null
  }
  const purchases = steps.flatMap(({ one, price, packs }): RecapPurchase[] => {
    const units = many(packs) * one.pack
    return units ? [{ offerId: one.id, supplier: one.supplier, units, unitPrice: price, cost: units * price }] : []
  })
  const bySupplier = suppliers.flatMap(supplier => {
    const parts = purchases.filter(p => p.supplier === supplier).reduce((sum, p) => sum + p.cost, 0)
    return purchases.some(p => p.supplier === supplier) ? [{ supplier, parts, postage: postage[supplier] ?? 0 }] : []
  })
  return { values, purchases, suppliers: bySupplier, cost: bySupplier.reduce((sum, s) => sum + s.parts + s.postage, 0) }
}

/**
 * What each machine's share of an order costs: what goes into it at what was paid for one, and of spares, of what comes in whole packs and of postage
 * as much as its own parts are of all. In hundredths, which together may be one more or less than all of it.
 */
export function sharesOf({ values, purchases, cost }: RecapOrder): { machineId: number; capacitors: number; cost: number }[] {
  const priceOf = new Map(purchases.map(p => [p.offerId, p.unitPrice]))
  const shares = new Map<number, { capacitors: number; own: number }>()
  for (const { wants, wanted, bought } of values) {
    const paid = bought.reduce((sum, b) => sum + b.count * (priceOf.get(b.offerId) ?? 0), 0)
    for (const { machineId, places } of wants) {
      const { capacitors, own } = shares.get(machineId) ?? { capacitors: 0, own: 0 }
      shares.set(machineId, { capacitors: capacitors + places.length, own: own + (paid * places.length) / wanted })
    }
  }
  const told = [...shares.values()].reduce((sum, share) => sum + share.own, 0)
  return [...shares].map(([machineId, { capacitors, own }]) => ({ machineId, capacitors, cost: decimals(told ? (cost * own) / told : 0, 2) }))
}
