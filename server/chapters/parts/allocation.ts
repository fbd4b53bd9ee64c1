import { and, eq, inArray, isNotNull, ne } from 'drizzle-orm'
import type { Allocation, Contender, Unlock } from '#core/parts/allocation/allocate'
import type { Question } from '#core/parts/allocation/question'
import { weightOf } from '#core/parts/allocation/weight'
import { isOnItsWay } from '#core/parts/ledger'
import { holdsUpStart, isMissed } from '#core/parts/needs'
import { serves } from '#core/parts/offers'
import type { CommandInput } from '#shared/chapters/index'
import type { AllocationView, UnlockView } from '#shared/chapters/parts/index'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { machineNamed } from '../../kernel/machine-named'
import { machines } from '../../kernel/trunk'
import type { Work } from '../../kernel/work'
import { workOn } from '../../kernel/work-on'
import { appraisals, consentAgainst } from '../stewardship/index'
import { givenTo, heldInSlices, meetNeed } from './ledger'
import { heldParts, partNeeds } from './schema'

type Need = typeof partNeeds.$inferSelect
type HeldRow = typeof heldParts.$inferSelect
type MachineRow = typeof machines.$inferSelect

/** What is weighed, with the rows behind its ids. */
export interface Weighed {
  question: Question
  needs: Map<number, Need>
  held: Map<number, HeldRow>
  machines: Map<number, MachineRow & { weight: number }>
  /** Those whose owners have to be asked before anything is fitted. */
  asks: MachineRow[]
}

/** What the machines want and what there is to give, by who may give to whom. @param today what should have been here by now comes today at the earliest */
export async function toWeigh(tx: Tx, today: string): Promise<Weighed> {
  const rows = tx
    .select({ need: partNeeds, machine: machines, appraisal: appraisals })
    .from(partNeeds)
    .innerJoin(machines, eq(machines.id, partNeeds.machineId))
    .leftJoin(appraisals, eq(appraisals.machineId, machines.id))
    .where(eq(partNeeds.outcome, 'wanted'))
    .all()
    .filter(({ need, appraisal }) => isMissed(need) && appraisal?.path !== 'donor')
  const given = givenTo(tx)
  const left = ({ id, quantity }: Need) => quantity - (given.get(id) ?? 0)

  const byMachine = grouped(rows)
  const asks: MachineRow[] = []
  const contenders: Contender[] = []
  const known = new Map<number, MachineRow & { weight: number }>()
  for (const of of byMachine.values()) {
    const { machine, appraisal } = of[0]!
    if (consentAgainst({ tx, machine }, 'repair')) {
      asks.push(machine)
      continue
    }
    const weight = weightOf(appraisal && { ...appraisal.significance })
    known.set(machine.id, { ...machine, weight })
    const needs = of.filter(({ need }) => left(need) > 0).map(({ need }) => ({ id: need.id, name: need.name, count: left(need), starts: holdsUpStart(need) }))
    if (needs.length) contenders.push({ id: machine.id, name: machine.tag, weight, needs })
  }
  const needs = new Map(rows.filter(r => known.has(r.machine.id)).map(({ need }) => [need.id, need]))

  const held = await heldInSlices(tx, and(inArray(heldParts.at, ['shelf', 'donor', 'ordered', 'pledged']), ne(heldParts.condition, 'bad')))
  const donors = new Map(
    tx
      .select()
      .from(machines)
      .where(inArray(machines.id, [...new Set(held.flatMap(one => (one.machineId === null ? [] : [one.machineId])))]))
      .all()
      .map(machine => [machine.id, consentAgainst({ tx, machine }, 'donor') === null]),
  )
  const atHand = held.filter(one => (isOnItsWay(one) || one.condition !== 'not-looked-at') && (one.machineId === null || donors.get(one.machineId)))
  const paid = await heldInSlices(tx, isNotNull(heldParts.unitPrice))
  const asNamed = ({ name, kind, spec }: Need | HeldRow) => ({ name, kind, spec })
  const asWanted = (need: Need) => ({ ...asNamed(need), wouldDo: need.wouldDo, forFirstStart: need.forFirstStart })
  return {
    question: {
      machines: contenders,
      needs: [...needs.values()]
        .filter(need => left(need) > 0)
        .map(need => ({ id: need.id, machineId: need.machineId, byWhen: need.byWhen ?? '', ...asWanted(need) })),
      held: atHand.map(held => ({
        id: held.id,
        units: held.count,
        from: isOnItsWay(held) ? 'ordered' : (held.at as 'shelf' | 'donor'),
        machineId: held.machineId,
        dueBy: held.dueBy && held.dueBy < today ? today : held.dueBy,
        ...asNamed(held),
      })),
      paid: paid.reverse().map(one => ({ unitPrice: one.unitPrice!, ...asNamed(one) })),
    },
    needs,
    held: new Map(atHand.map(one => [one.id, one])),
    machines: known,
    asks,
  }
}

function grouped<R extends { machine: { id: number } }>(rows: R[]): Map<number, R[]> {
  const groups = new Map<number, R[]>()
  for (const row of rows) groups.set(row.machine.id, [...(groups.get(row.machine.id) ?? []), row])
  return groups
}

/** The same in names, for a page. */
export function allocationView({ needs, held, machines, asks }: Weighed, { gives, alive, refused }: Allocation): AllocationView {
  const machineOf = (needId: number) => machines.get(needs.get(needId)!.machineId)!
  const weighed = (id: number) => ({ ...machineNamed(machines.get(id)!), weight: machines.get(id)!.weight })
  return {
    gives: gives.map(({ sourceId, needId, count, late }) => {
      const [one, need] = [held.get(sourceId)!, needs.get(needId)!]
      const { verdict, says } = serves(need, one)!
      return {
        heldId: one.id,
        version: one.version,
        held: one.name,
        at: one.at,
        lies: one.lies,
        dueBy: one.dueBy,
        wantedBy: need.byWhen,
        late,
        condition: one.condition,
        partId: need.id,
        need: need.name,
        count,
        verdict,
        says,
        ...machineNamed(machineOf(needId)),
      }
    }),
    alive: alive.map(weighed),
    refused: refused.map(({ machineId, lacks }) => ({
      ...weighed(machineId),
      lacks: lacks.map(({ needId, short, wentTo }) => ({ name: needs.get(needId)!.name, short, wentTo: wentTo.map(weighed) })),
    })),
    asks: asks.map(machineNamed),
  }
}

export const unlockView = ({ needs, machines }: Weighed, unlock: Unlock | null): UnlockView | null =>
  unlock && {
    buys: unlock.buys.map(({ purchasableId, units, cost }) => {
      const { name, kind, spec } = needs.get(purchasableId)!
      return { name, kind, spec, units, cost }
    }),
    cost: unlock.cost,
    machines: unlock.machines.map(id => ({ ...machineNamed(machines.get(id)!), weight: machines.get(id)!.weight })),
  }

/** Sets aside what was weighed, all of it or some lines; nothing where one of them does not do any more. */
export function acceptAllocation(work: Work, { lines }: CommandInput<'accept-allocation'>): void {
  const versions = new Map<number, number>()
  for (const { partId, heldId, version, count } of lines) {
    const need = work.tx.select().from(partNeeds).where(eq(partNeeds.id, partId)).get()
    const machine = need && work.tx.select().from(machines).where(eq(machines.id, need.machineId)).get()
    if (!machine) throw new NotFound('One of the parts is not wanted any more. Look at it again.')
    // What went from a line before, within this, made it a newer one.
    meetNeed(workOn(work, machine), { partId, heldId, version: versions.get(heldId) ?? version, count, to: 'promised', condition: null, tested: '' })
    versions.set(heldId, work.tx.select().from(heldParts).where(eq(heldParts.id, heldId)).get()!.version)
  }
}
