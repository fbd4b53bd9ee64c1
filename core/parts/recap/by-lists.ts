import { counted } from '../../kernel/figure'
import { type Finding, commonPractice, finding } from '../../kernel/finding'
import { InputError } from '../../kernel/input-error'
import type { Solve } from '../../kernel/programme'
import { specWords } from '../substitute/words'
import { type RecapOrder, recapOrder } from './order'
import { readCapacitor, readRecapList } from './read-list'
import { readPrices } from './read-prices'
import { type CapacitorSchool, type Due, capacitorSchools, recapDue } from './schools'

/** What a school makes of a list as it was typed. @throws InputError where the list is longer than any board, or holds nothing that can be read */
export function recapByList({ typed, school, started }: { typed: string; school: CapacitorSchool; started: boolean }): {
  capacitors: { place: string; says: string; due: Due; why: string }[]
  wrong: { line: number; says: string }[]
  findings: Finding[]
} {
  const { capacitors, wrong } = readRecapList(typed)
  if (!capacitors.length)
    throw new InputError(
      'typed',
      typed,
      wrong[0] ? `The list: line ${wrong[0].line}: ${wrong[0].says}` : 'The list: a line for each, such as C12 470u 25V radial.',
    )
  const judged = capacitors.map(({ place, spec, stressed }) => ({
    place,
    says: specWords('capacitor', spec),
    ...recapDue({ spec, stressed, looksBad: false, verdict: null }, school, started),
  }))
  const many = (due: Due) => judged.filter(one => one.due === due).length
  return {
    capacitors: judged,
    wrong: wrong.map(({ line, says }) => ({ line, says })),
    findings: [
      finding(
        many('now') ? 'care' : 'note',
        'recap.list',
        `${many('now')} of ${counted(judged.length, 'capacitor')} to be changed now${many('after-start') ? `, ${many('after-start')} after an attended start` : ''}.`,
        [capacitorSchools[school].means, 'Practitioners disagree. Whatever the school, one that bulges, leaks or measures bad is changed.'],
        commonPractice,
      ),
      ...(wrong.length
        ? [
            finding(
              'care',
              'recap.unread',
              `${counted(wrong.length, 'line')} could not be read, and may hold more.`,
              wrong.map(w => `Line ${w.line}: ${w.says}`),
            ),
          ]
        : []),
    ],
  }
}

export interface ListsToOrder {
  lists: { machine: string; typed: string }[]
  shelf: { part: string; units: number }[]
  prices: { supplier: string; postage: number; typed: string }[]
  spares: number
}
export interface ListsOrdered {
  suppliers: { supplier: string; postage: number; lines: { part: string; units: number; each: number; cost: number }[] }[]
  values: { says: string; wanted: number; fromShelf: number; bought: number; short: number }[]
  cost: number
  findings: Finding[]
}

/** @throws InputError at the first line that cannot be read */
function whole<L extends { wrong: readonly { line: number; says: string }[] }>(read: L, field: string, of: string): L {
  const [first] = read.wrong
  if (first) throw new InputError(field, '', `${of}, line ${first.line}: ${first.says}`)
  return read
}

/** The cheapest order over lists of capacitors as they were typed; exact. @throws InputError; TooLarge where it could not be weighed in time */
export function orderByLists({ lists, shelf, prices, spares }: ListsToOrder, solve: Solve): ListsOrdered {
  const offers = prices.flatMap(({ supplier, typed }, at) =>
    whole(readPrices(typed), `prices.${at}.typed`, supplier).lines.map(line => ({ ...line, supplier })),
  )
  const order: RecapOrder = recapOrder(
    {
      kind: 'capacitor',
      wants: lists.flatMap(({ machine, typed }, machineId) =>
        whole(readRecapList(typed), `lists.${machineId}.typed`, machine).capacitors.map(({ place, spec }) => ({ machineId, places: [place], spec })),
      ),
      stock: shelf.map(({ part, units }, id) => ({ id, name: part, units, spec: readCapacitor(part) })),
      offers: offers.map((offer, id) => ({ ...offer, id })),
      spares,
      postage: Object.fromEntries(prices.map(p => [p.supplier, p.postage])),
    },
    solve,
  )
  const short = order.values.reduce((sum, value) => sum + value.short, 0)
  const sum = (of: readonly { count: number }[]) => of.reduce((all, one) => all + one.count, 0)
  return {
    suppliers: order.suppliers.map(({ supplier, postage }) => ({
      supplier,
      postage,
      lines: order.purchases
        .filter(p => p.supplier === supplier)
        .map(p => ({ part: offers[p.offerId]!.name, units: p.units, each: p.unitPrice, cost: p.cost })),
    })),
    values: order.values.map(value => ({
      says: specWords('capacitor', value.spec),
      wanted: value.wanted,
      fromShelf: sum(value.fromStock),
      bought: sum(value.bought),
      short: value.short,
    })),
    cost: order.cost,
    findings: [
      finding(
        'note',
        'order.cost',
        `${counted(order.values.length, 'value')}, ${order.cost.toFixed(2)} in all with postage.`,
        'The least that it can cost, with the shelf first, whole packs and breaks in price.',
        commonPractice,
      ),
      ...(short
        ? [
            finding(
              'care',
              'order.short',
              `${counted(short, 'capacitor')} can be had from nowhere.`,
              'Nothing on the shelf or on a price list fits, by what is stated of it.',
              commonPractice,
            ),
          ]
        : []),
    ],
  }
}
