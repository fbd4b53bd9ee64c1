import { type Finding, commonPractice, finding } from '../../kernel/finding'
import { counted } from '../../kernel/figure'
import { InputError } from '../../kernel/input-error'
import { type Source, allocate, bestPurchase } from './allocate'
import type { Solve } from '../../kernel/programme'
import { questionOf } from './question'

/** Machines and parts as somebody writes them down: which part serves goes by its name. */
export interface NamedAllocation {
  machines: {
    name: string
    /** What it is worth that it runs, above zero. */
    weight: number
    wants: { part: string; count: number; starts: boolean }[]
  }[]
  parts: { name: string; units: number; from: Source['from'] }[]
  /** What one costs, where that is known. */
  prices: { part: string; each: number }[]
}
export interface NamedPurchase {
  buys: { part: string; units: number; cost: number | null }[]
  cost: number | null
  starts: string[]
}
export interface NamedAllocationDone {
  gives: { part: string; machine: string; want: string; count: number }[]
  starts: string[]
  lacks: { machine: string; parts: { part: string; short: number; wentTo: string[] }[] }[]
  one: NamedPurchase | null
  two: NamedPurchase | null
  findings: Finding[]
}

const mostWants = 500

/**
 * Who gets what, so that most comes to life by weight, and which one purchase and which two unlock most for their money; exact.
 * @param solve the solver that is asked @throws InputError; TooLarge where it could not be weighed in time
 */
export function allocateByNames({ machines, parts, prices }: NamedAllocation, solve: Solve): NamedAllocationDone {
  const names = machines.map(machine => machine.name.trim())
  const twice = names.find((name, at) => names.indexOf(name) !== at)
  if (twice !== undefined) throw new InputError('machines', twice, `Machines: ${twice} stands there twice.`)
  const wants = machines.flatMap(({ wants }, machineId) => wants.map(want => ({ ...want, machineId })))
  if (wants.length > mostWants) throw new InputError('machines', wants.length, `Machines: ${mostWants} wanted parts at most.`)
  const bare = (name: string) => ({ name, kind: null, spec: {} })
  const input = questionOf({
    machines: machines.map(({ name, weight }, id) => ({
      id,
      name,
      weight,
      needs: wants.flatMap((want, needId) => (want.machineId === id ? [{ id: needId, name: want.part, count: want.count, starts: want.starts }] : [])),
    })),
    needs: wants.map((want, id) => ({ id, machineId: want.machineId, ...bare(want.part) })),
    held: parts.map(({ name, units, from }, id) => ({ id, units, from, machineId: null, ...bare(name) })),
    paid: prices.map(({ part, each }) => ({ unitPrice: each, ...bare(part) })),
  })
  const done = allocate(input, solve)
  const one = bestPurchase(input, 1, done, solve)
  const two = bestPurchase(input, 2, done, solve, one)
  const told = (unlock: typeof one): NamedPurchase | null =>
    unlock && {
      buys: unlock.buys.map(({ purchasableId, units, cost }) => ({ part: wants[purchasableId]!.part, units, cost })),
      cost: unlock.cost,
      starts: unlock.machines.map(id => names[id]!),
    }
  const starts = done.alive.map(id => names[id]!)
  const lacks = done.refused.map(({ machineId, lacks: short }) => ({
    machine: names[machineId]!,
    parts: short.map(({ needId, short: count, wentTo }) => ({ part: wants[needId]!.part, short: count, wentTo: wentTo.map(id => names[id]!) })),
  }))
  return {
    gives: done.gives.map(({ sourceId, needId, count }) => ({
      part: parts[sourceId]!.name,
      machine: names[wants[needId]!.machineId]!,
      want: wants[needId]!.part,
      count,
    })),
    starts,
    lacks,
    one: told(one),
    two: told(two),
    findings: [
      finding(
        starts.length ? 'fine' : 'note',
        'allocation.starts',
        starts.length ? `${counted(starts.length, 'machine')} can be started by it: ${starts.join(', ')}.` : 'No machine can be started by what is at hand.',
        'The most by weight of all ways to give the parts; names alone say what serves, so look at each before it is fitted.',
        commonPractice,
      ),
      ...lacks.map(({ machine, parts: short }) =>
        finding(
          'note',
          `allocation.${machine}`,
          `${machine} lacks ${short.map(p => `${p.short} × ${p.part}`).join(', ') || 'what went where it is worth more'}.`,
          short.flatMap(p => (p.wentTo.length ? [`${p.part} went to ${p.wentTo.join(', ')}.`] : [`${p.part}: there is none.`])),
          commonPractice,
        ),
      ),
    ],
  }
}
