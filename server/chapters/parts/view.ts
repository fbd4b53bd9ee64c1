import { type SQL, and, asc, count, eq, like, lte, ne, notInArray, or, sql } from 'drizzle-orm'
import { gonePlaces, isOnItsWay } from '#core/parts/ledger'
import { arisingNeeds } from '#core/parts/arising'
import { isMissed, needStops, needs } from '#core/parts/needs'
import { mayServe, offersFor, wordsOf } from '#core/parts/offers'
import { readWouldDo } from '#core/parts/would-do'
import type { ViewOf } from '#shared/chapters/index'
import { type DueView, HeldPart, type HeldQuery, type HeldView, type OfferView, PartNeed, type WantedPart } from '#shared/chapters/parts/index'
import type { Page } from '#shared/kernel/answers'
import type { PageQuery } from '#shared/kernel/machine'
import type { ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { machines } from '../../kernel/trunk'
import { openFaultsOf } from '../faults/index'
import { emptySockets } from '../inventory/index'
import { heldParts, partNeeds } from './schema'

/** The most pressing first, as `needRank` has it. */
const pressing = sql`instr(${`|${needStops.join('|')}|`}, '|' || ${partNeeds.stops} || '|'), ${partNeeds.workaround} <> ''`
const wanted = eq(partNeeds.outcome, 'wanted')

/** Parts that are still wanted, by what hangs on them, and of the same the longest wanted first. */
export function wantedParts(tx: Tx, { page, size }: PageQuery): Page<WantedPart> {
  const rows = tx
    .select({ part: partNeeds, tag: machines.tag, nickname: machines.nickname, model: machines.name })
    .from(partNeeds)
    .innerJoin(machines, eq(machines.id, partNeeds.machineId))
    .where(wanted)
    .orderBy(pressing, asc(partNeeds.wantedAt))
    .limit(size)
    .offset((page - 1) * size)
    .all()
    .map(({ part, tag, nickname, model }) => ({ ...needView(part), tag, machine: nickname || model, wantedAt: part.wantedAt }))
  return { rows, total: tx.select({ n: count() }).from(partNeeds).where(wanted).get()!.n }
}
const needView = ({ id, version, seekerId, seeker, ...need }: typeof partNeeds.$inferSelect) => ({
  ...PartNeed.of(need),
  kind: need.kind,
  spec: need.spec,
  stops: need.stops,
  id,
  version,
  seekerId,
  seeker,
})

/** Parts that it wants, or wanted, and what of the ledger is in it. */
export const partsView = ({ file }: ViewInput): ViewOf<'parts'> => ({
  parts: file.partNeeds.map(need => ({ ...needView(need), outcome: need.outcome })),
  gives: file.appraisal?.path === 'donor',
  arising:
    file.appraisal?.path === 'donor'
      ? []
      : arisingNeeds(
          { ...file, batterySchool: file.practice.batterySchool, wearParts: file.model?.wearParts ?? [], emptySockets: emptySockets(file) },
          file.partNeeds.map(need => need.name),
        ),
  held: file.heldParts.map(({ id, version, name, count, at, condition, lies, lender, needId }) => ({
    id,
    version,
    name,
    count,
    at,
    condition,
    lies,
    lender,
    needId,
  })),
})

export const heldView = (
  { id, uid, version, count, at, holder, dueBy, spared, trail, ...held }: typeof heldParts.$inferSelect,
  tag: string | null,
): HeldView => ({
  ...HeldPart.of(held),
  kind: held.kind,
  spec: held.spec,
  condition: held.condition,
  id,
  uid,
  version,
  count,
  at,
  tag,
  holder,
  dueBy,
  spared,
  trail,
})

/** The ledger, by name; `here` is what has not gone for good. */
export function listHeld(tx: Tx, { at, find, lies, page, size }: HeldQuery): Page<HeldView> {
  const asked: SQL | undefined = and(
    lies ? eq(heldParts.lies, lies) : undefined,
    at === 'here' ? notInArray(heldParts.at, gonePlaces) : eq(heldParts.at, at),
    find ? or(...[heldParts.name, heldParts.lies, heldParts.source, heldParts.holder, heldParts.lender].map(column => like(column, `%${find}%`))) : undefined,
  )
  const rows = tx
    .select({ held: heldParts, tag: machines.tag })
    .from(heldParts)
    .leftJoin(machines, eq(machines.id, heldParts.machineId))
    .where(asked)
    .orderBy(sql`${heldParts.name} collate nocase`, asc(heldParts.id))
    .limit(size)
    .offset((page - 1) * size)
    .all()
    .map(({ held, tag }) => heldView(held, tag))
  return { rows, total: tx.select({ n: count() }).from(heldParts).where(asked).get()!.n }
}

/** A line of the ledger by its code. @throws NotFound */
export function heldByUid(tx: Tx, uid: string): HeldView {
  const row = tx
    .select({ held: heldParts, tag: machines.tag })
    .from(heldParts)
    .leftJoin(machines, eq(machines.id, heldParts.machineId))
    .where(eq(heldParts.uid, uid))
    .get()
  if (!row) throw new NotFound('No part on record has this code.')
  return heldView(row.held, row.tag)
}

/** Where parts lie, with how many lines lie there. */
export function placesOfParts(tx: Tx): { name: string; lines: number }[] {
  return tx
    .select({ name: heldParts.lies, lines: count() })
    .from(heldParts)
    .where(and(ne(heldParts.lies, ''), notInArray(heldParts.at, gonePlaces)))
    .groupBy(heldParts.lies)
    .orderBy(sql`${heldParts.lies} collate nocase`)
    .limit(500)
    .all()
}

/** What was wanted elsewhere, with the tag of its machine. */
const otherNeeds = (tx: Tx, needId = 0) =>
  tx
    .select({ need: partNeeds, tag: machines.tag })
    .from(partNeeds)
    .innerJoin(machines, eq(machines.id, partNeeds.machineId))
    .where(and(wanted, ne(partNeeds.id, needId)))
    .all()

/** More than a day shows; the rest is in the ledger. */
const mostDue = 30
/** What is lent, borrowed or ordered and due by this day, the longest overdue first; an order says whom it holds up. */
export function dueParts(tx: Tx, day: string): DueView[] {
  const backBy = sql<string>`coalesce(${heldParts.dueBy}, ${heldParts.backBy})`
  const due = tx
    .select({ held: heldParts, tag: machines.tag, by: backBy })
    .from(heldParts)
    .leftJoin(machines, eq(machines.id, heldParts.machineId))
    .where(and(notInArray(heldParts.at, gonePlaces), lte(backBy, day)))
    .orderBy(backBy, asc(heldParts.id))
    .limit(mostDue)
    .all()
  const others = due.some(({ held }) => isOnItsWay(held)) ? otherNeeds(tx) : []
  return due.map(({ held, tag, by }) => ({
    held: heldView(held, tag),
    by,
    goesBack: held.dueBy === null,
    holdsUp: isOnItsWay(held)
      ? others
          .filter(o => isMissed(o.need) && mayServe(o.need, held))
          .map(o => ({ tag: o.tag, name: o.need.name, what: needs[o.need.stops].title.toLowerCase() }))
      : [],
  }))
}

/** More than anybody reads; what is at hand beyond is found by its name in the ledger. */
const mostOffers = 30

/** Nothing serves that is neither of its kind nor shares a word with it: a ledger of thousands is not read for a handful. */
const mightServe = ({ kind, name, wouldDo, forFirstStart }: typeof partNeeds.$inferSelect) =>
  or(
    kind ? eq(heldParts.kind, kind) : undefined,
    ...[name, ...readWouldDo(wouldDo, forFirstStart).map(one => one.name)].flatMap(wordsOf).map(word => like(heldParts.name, `%${word.replace(/[%_]/g, '')}%`)),
  )

/** What is at hand for a need, the best first, with who else wants the same. @throws NotFound */
export function offersForNeed(tx: Tx, needId: number): OfferView[] {
  const need = tx.select().from(partNeeds).where(eq(partNeeds.id, needId)).get()
  if (!need) throw new NotFound('No such part is wanted.')
  const others = otherNeeds(tx, needId)
  const atHand = tx
    .select({ held: heldParts, tag: machines.tag })
    .from(heldParts)
    .leftJoin(machines, eq(machines.id, heldParts.machineId))
    .where(
      and(
        or(eq(heldParts.at, 'shelf'), eq(heldParts.at, 'arrived'), and(eq(heldParts.at, 'donor'), ne(heldParts.machineId, need.machineId))),
        mightServe(need),
      ),
    )
    .all()
  const tags = new Map(atHand.map(({ held, tag }) => [held.id, tag]))
  const offered = offersFor(
    need,
    atHand.map(row => row.held),
    others.map(row => row.need),
  ).slice(0, mostOffers)
  const donors = offered.flatMap(({ held }) => (held.at === 'donor' && held.machineId !== null ? [held.machineId] : []))
  const wrong = openFaultsOf(tx, [...new Set(donors)])
  return offered.map(({ held, verdict, says, alsoFor }) => ({
    held: heldView(held, tags.get(held.id) ?? null),
    verdict,
    says,
    alsoFor: others.filter(o => alsoFor.includes(o.need.id)).map(o => ({ tag: o.tag, name: o.need.name, stops: o.need.stops })),
    donorFaults: held.at === 'donor' ? wrong.filter(fault => fault.machineId === held.machineId).map(fault => fault.symptom) : [],
  }))
}
