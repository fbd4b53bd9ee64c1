import { setImmediate } from 'node:timers/promises'
import { type SQL, and, asc, eq, gt, inArray, isNotNull, sum } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { type HeldMove, heldPlaces, isOnItsWay, maySpare, moveHeld, takesCoordinator } from '#core/parts/ledger'
import { type Named, metBy, serves } from '#core/parts/offers'
import { readSpec } from '#core/parts/substitute/typed'
import type { CommandInput } from '#shared/chapters/index'
import { HeldPart, PartNeed } from '#shared/chapters/parts/index'
import type { MachineRow } from '../../kernel/file'
import { NotFound } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork, Work } from '../../kernel/work'
import { workOn } from '../../kernel/work-on'
import { openFaultsOf } from '../faults/index'
import { expectConsent, expectMoney } from '../stewardship/index'
import { ofMachine } from './money'
import { heldParts, partNeeds } from './schema'

type HeldRow = typeof heldParts.$inferSelect
/** Of a part that is only promised. */
export const nothingKnown = {
  keepAtLeast: null,
  condition: 'not-looked-at',
  tag: '',
  lies: '',
  unitPrice: null,
  dateCode: '',
  lender: '',
  backBy: null,
  kind: null,
  spec: {},
} as const
/** Who wants to know more asks the history of the machines; a line keeps the end of its way. */
const longestTrail = 60

/** A line of the ledger. @throws NotFound */
function heldOf({ tx }: Pick<Work, 'tx'>, heldId: number): HeldRow {
  const held = tx.select().from(heldParts).where(eq(heldParts.id, heldId)).get()
  if (!held) throw new NotFound('There is no such part on record.')
  return held
}
const byId = ({ tx }: Pick<Work, 'tx'>, id: number | null): MachineRow | null =>
  id === null ? null : (tx.select().from(machines).where(eq(machines.id, id)).get() ?? null)
/** @throws InputError at `tag` */
function byTag({ tx }: Pick<Work, 'tx'>, tag: string): MachineRow {
  const machine = tx.select().from(machines).where(eq(machines.tag, tag)).get()
  if (!machine) throw new InputError('tag', tag, `Which machine: there is none with the tag ${tag || 'that was left empty'}.`)
  return machine
}

/** What a line says of itself, whole. @throws InputError */
function asTyped({ kind = null, spec = {}, ...typed }: Omit<CommandInput<'change-held'>, 'heldId' | 'version' | 'dueBy'>) {
  if (typed.lender && !typed.backBy) throw new InputError('backBy', null, 'Back to them by: choose a day; it can be put off.')
  return { ...HeldPart.of({ ...typed, kind, spec: {} }), spec: kind ? readSpec(kind, spec, 'spec') : {} }
}

/** Puts parts on record: on the shelf, arrived, ordered, or still in a machine whose parts are given. */
export function holdPart(work: Work, { count, at, tag, dueBy, ...typed }: CommandInput<'hold-part'>): { heldId: number } {
  const part = asTyped(typed)
  const donor = at === 'donor' ? byTag(work, tag) : null
  if (donor) expectGiving(workOn(work, donor))
  const coming = isOnItsWay({ at })
  if (coming && !part.source) throw new InputError('source', '', 'From whom: say where it comes from.')
  const expected = coming ? dueBy : null
  const says = `Put on record: ${heldPlaces[at].toLowerCase()}${donor ? `, ${donor.tag}` : ''}.`
  const { id } = work.tx
    .insert(heldParts)
    .values({
      ...part,
      uid: uuidv7(),
      count,
      at,
      dueBy: expected,
      orderedAt: coming ? work.at : null,
      machineId: donor?.id ?? null,
      trail: [{ at: work.at, by: work.person.name, says }],
    })
    .returning({ id: heldParts.id })
    .get()
  work.write('held.added', { ...part, count, at, donor: donor?.tag ?? null, dueBy: expected }, donor ? { machine: donor } : {})
  return { heldId: id }
}

/** Parts are taken from what was chosen to give them, with its owner's leave. @throws InputError, AskOwner */
function expectGiving(work: MachineWork): void {
  if (work.file().appraisal?.path !== 'donor')
    throw new InputError('tag', work.machine.tag, `Which machine: ${work.machine.tag} is not chosen to give its parts. Choose that path under Look first.`)
  expectConsent(work, 'donor')
}

export function changeHeld(work: Work, { heldId, version, dueBy, ...typed }: CommandInput<'change-held'>): void {
  const held = heldOf(work, heldId)
  expectVersion(work, held, version, held.version, [...HeldPart.names, 'dueBy'])
  const part = asTyped(typed)
  if (part.condition === 'bad' && (held.at === 'fitted' || held.at === 'promised'))
    throw new InputError('condition', part.condition, `How it is: it is ${heldPlaces[held.at].toLowerCase()}; take it away from there first, and say it then.`)
  const due = isOnItsWay(held) || held.at === 'lent' ? dueBy : null
  if (held.at === 'lent' && !due) throw new InputError('dueBy', null, 'Back by: choose a day.')
  work.tx
    .update(heldParts)
    .set({ ...part, dueBy: due, version: held.version + 1 })
    .where(eq(heldParts.id, heldId))
    .run()
  const machine = byId(work, held.machineId)
  work.write('held.changed', { ...part, dueBy: due }, machine ? { machine } : {})
}

/** Takes some of a line elsewhere: one row stays, another goes, and together they are as many as before. */
function take(work: Work, held: HeldRow, move: HeldMove): HeldRow {
  const { stays, goes } = moveHeld(held, move)
  const [out, into] = [byId(work, held.machineId), byId(work, goes.machineId)]
  // What a part cost is spent on the machine that it goes into; one that is set aside for it was asked about then.
  if (into && held.unitPrice && ofMachine.includes(goes.at) && !(ofMachine.includes(held.at) && out?.id === into.id))
    expectMoney({ tx: work.tx, machine: into }, goes.count * held.unitPrice)
  // What was found wrong in a donor goes with whatever comes out of it.
  const wrong = held.at === 'donor' && out ? openFaultsOf(work.tx, [out.id]).map(fault => fault.symptom) : []
  const says = [
    `${heldPlaces[goes.at]}${into ? `, ${into.tag}` : ''}${goes.holder && `: ${goes.holder}`}.`,
    ...(move.tested ? [move.tested] : []),
    ...(wrong.length ? [`Wrong with ${out!.tag}, where it was: ${wrong.join('; ')}.`.slice(0, 400)] : []),
  ].join(' ')
  const { id: _, uid: __, ...copied } = { ...held, ...goes, spared: held.spared && goes.at === 'shelf' }
  const row = {
    ...copied,
    version: held.version + 1,
    arrivedAt: goes.at === 'arrived' ? work.at : held.arrivedAt,
    trail: [...held.trail, { at: work.at, by: work.person.name, says }].slice(-longestTrail),
  }
  if (stays)
    work.tx
      .update(heldParts)
      .set({ count: stays.count, version: held.version + 1 })
      .where(eq(heldParts.id, held.id))
      .run()
  const moved = stays
    ? work.tx
        .insert(heldParts)
        .values({ ...row, uid: uuidv7(), version: 1 })
        .returning()
        .get()
    : work.tx.update(heldParts).set(row).where(eq(heldParts.id, held.id)).returning().get()!
  const entry = {
    name: held.name,
    count: goes.count,
    from: held.at,
    to: goes.at,
    out: out?.tag ?? null,
    into: into?.tag ?? null,
    holder: goes.holder,
    dueBy: goes.dueBy,
    lies: goes.lies,
    condition: goes.condition,
    tested: move.tested ?? '',
  }
  const touched = [...new Map([out, into].flatMap(one => (one ? [[one.id, one] as const] : []))).values()]
  for (const machine of touched) workOn(work, machine).write('held.moved', entry)
  if (!touched.length) work.write('held.moved', entry)
  for (const needId of new Set([held.needId, goes.needId])) if (needId !== null) settleNeed(work, needId)
  return moved
}

/** A need is met once as many are fitted as it wants, lived with where some do for a first start alone, and wanted again once one is taken out. */
function settleNeed(work: Work, needId: number): void {
  const need = work.tx.select().from(partNeeds).where(eq(partNeeds.id, needId)).get()!
  if (need.outcome === 'not-needed') return
  const fitted = work.tx
    .select()
    .from(heldParts)
    .where(and(eq(heldParts.needId, needId), eq(heldParts.at, 'fitted')))
    .all()
  const met = metBy(need, fitted)
  const outcome = met === 'fitted' ? 'fitted' : 'wanted'
  const workaround = met === 'for-a-start' && !need.workaround ? `${fitted.map(one => one.name).join(' and ')}, for a first start` : need.workaround
  if (outcome === need.outcome && workaround === need.workaround) return
  work.tx
    .update(partNeeds)
    .set({ outcome, workaround, version: need.version + 1 })
    .where(eq(partNeeds.id, needId))
    .run()
  const on = workOn(work, byId(work, need.machineId)!)
  if (outcome !== need.outcome) on.write('part.settled', { name: need.name, outcome })
  else on.write('part.changed', { ...PartNeed.of({ ...need, workaround }), kind: need.kind, spec: need.spec, stops: need.stops, seeker: need.seeker })
}

/** So many lines are read at once; between two slices others are answered. */
const sliceSize = 1500
/** Lines of the ledger, the oldest first: of a store of thousands, slice by slice. */
export async function heldInSlices(tx: Work['tx'], of: SQL | undefined): Promise<HeldRow[]> {
  const all: HeldRow[] = []
  for (let after = 0; ;) {
    const rows = tx
      .select()
      .from(heldParts)
      .where(and(of, gt(heldParts.id, after)))
      .orderBy(asc(heldParts.id))
      .limit(sliceSize)
      .all()
    for (const row of rows) all.push(row)
    if (rows.length < sliceSize) return all
    after = rows.at(-1)!.id
    await setImmediate()
  }
}

/** How many each need has been given: set aside for it, or fitted. */
export function givenTo(tx: Work['tx']): Map<number, number> {
  const rows = tx
    .select({ needId: heldParts.needId, count: sum(heldParts.count).mapWith(Number) })
    .from(heldParts)
    .where(and(inArray(heldParts.at, ['promised', 'fitted']), isNotNull(heldParts.needId)))
    .groupBy(heldParts.needId)
    .all()
  return new Map(rows.map(one => [one.needId!, one.count]))
}

/** What was set aside for a need that is settled lies on the shelf again. */
export function putBack(work: MachineWork, needId: number): void {
  const aside = work.tx
    .select()
    .from(heldParts)
    .where(and(eq(heldParts.needId, needId), eq(heldParts.at, 'promised')))
    .all()
  for (const held of aside) take(work.whole, held, { count: held.count, to: 'shelf' })
}

export function moveHeldParts(work: Work, { heldId, version, to, tag, condition, ...move }: CommandInput<'move-held'>): void {
  const held = heldOf(work, heldId)
  expectVersion(work, held, version, held.version, ['count', 'at', 'condition', 'lies', 'holder', 'dueBy'])
  if (takesCoordinator(held, to))
    throw new InputError(
      'to',
      to,
      to === 'given' ? 'Where to: a coordinator gives it away.' : 'Where to: what was lent and does not come back is written off by a coordinator.',
    )
  const into = tag && (to === 'fitted' || to === 'promised') ? byTag(work, tag) : null
  const from = byId(work, held.machineId)
  if (held.at === 'donor' && from) expectGiving(workOn(work, from))
  if (into) expectConsent(workOn(work, into), 'repair')
  take(work, held, { ...move, to, machineId: into?.id ?? null, ...(condition ? { condition } : {}) })
}

/** Gives a machine what it wants: set aside for it, or fitted. */
export function meetNeed(
  work: MachineWork,
  { partId, heldId, version, count, to, condition, tested }: CommandInput<'meet-need'>,
): { heldId: number; version: number } {
  const { tx, machine } = work
  const need = tx
    .select()
    .from(partNeeds)
    .where(and(eq(partNeeds.id, partId), eq(partNeeds.machineId, machine.id)))
    .get()
  if (!need) throw new NotFound(`${machine.tag} wants no such part.`)
  const held = heldOf(work, heldId)
  expectVersion({ tx, at: work.at }, held, version, held.version, ['count', 'at', 'condition', 'lies'])
  if (need.outcome !== 'wanted') throw new InputError('partId', partId, `${need.name} is not wanted any more.`)
  const served = serves(need, held)
  if (!served || served.verdict === 'does-not')
    throw new InputError('heldId', heldId, `${held.name}: ${served?.says ?? 'by what is stated it has nothing to do with what is wanted.'}`)
  // Whose machine it is agreed to like parts, or to more.
  if (served.verdict !== 'fits') expectConsent(work, 'substitute')
  const given = tx
    .select({ count: heldParts.count, id: heldParts.id })
    .from(heldParts)
    .where(and(eq(heldParts.needId, partId), inArray(heldParts.at, ['promised', 'fitted'])))
    .all()
    .reduce((n, one) => (one.id === heldId ? n : n + one.count), 0)
  if (count > need.quantity - given)
    throw new InputError('count', count, `How many: ${need.name} is wanted ${need.quantity} times${given ? `, and ${given} of it is there already` : ''}.`)
  const from = byId(work, held.machineId)
  if (held.at === 'donor' && from) expectGiving(workOn(work.whole, from))
  const moved = take(work.whole, held, { count, to, machineId: machine.id, needId: partId, tested, ...(condition ? { condition } : {}) })
  return { heldId: moved.id, version: moved.version }
}

/** Fits one of the shelf in a place that is no need of its own. @returns what it is called @throws InputError where it does not fit, or lies elsewhere */
export function fitFromShelf(work: MachineWork, heldId: number, wanted: Named): string {
  const held = heldOf(work.whole, heldId)
  const served = serves({ ...wanted, name: held.name }, held)
  if (held.at !== 'shelf' && !(held.at === 'promised' && held.machineId === work.machine.id))
    throw new InputError('heldId', heldId, `${held.name}: it does not lie on the shelf any more.`)
  if (!served || served.verdict === 'does-not') throw new InputError('heldId', heldId, `${held.name}: ${served?.says ?? 'it is of another kind.'}`)
  if (served.verdict !== 'fits') expectConsent(work, 'substitute')
  if (held.condition === 'not-looked-at') throw new InputError('heldId', heldId, `${held.name}: nobody has looked at it yet. Do that under Parts first.`)
  take(work.whole, held, { count: 1, to: 'fitted', machineId: work.machine.id })
  return held.name
}

/** Takes out what was fitted, or set aside: it lies on the shelf then. */
export function takeOutPart(work: MachineWork, { heldId, version }: CommandInput<'take-out-part'>): void {
  const held = rowOf(work, heldParts, heldId, 'part')
  expectVersion(work, held, version, held.version, ['count', 'at', 'condition', 'lies'])
  if (held.at === 'donor') expectGiving(work)
  take(work.whole, held, { count: held.count, to: 'shelf' })
}

export function writeOffLoan(work: Work, { heldId, version, reason }: CommandInput<'write-off-loan'>): void {
  const held = heldOf(work, heldId)
  expectVersion(work, held, version, held.version, ['count', 'at', 'holder', 'dueBy'])
  if (held.at !== 'lent') throw new InputError('heldId', heldId, `${held.name} is not lent out.`)
  take(work, held, { count: held.count, to: 'scrapped', tested: reason })
  work.write('held.written-off', { name: held.name, count: held.count, holder: held.holder, reason })
}

/** Gives a part away for good, or swaps it: what is promised for it stands in the ledger from then on. */
export function giveAway(work: Work, { heldId, version, count, holder, tested, inReturn, dueBy }: CommandInput<'give-away'>): void {
  const held = heldOf(work, heldId)
  expectVersion(work, held, version, held.version, ['count', 'at', 'condition', 'lies', 'holder'])
  take(work, held, { count, to: 'given', holder, tested })
  work.write('held.given', { name: held.name, count, holder, inReturn })
  if (inReturn)
    holdPart(work, { ...nothingKnown, name: inReturn, count: 1, at: 'pledged', source: holder, dueBy, note: `For ${count} × ${held.name}`.slice(0, 300) })
}

/** Says whether a part can be spared: whoever is outside may know of it then. */
export function sparePart(work: Work, { heldId, version, spared }: CommandInput<'spare-part'>): void {
  const held = heldOf(work, heldId)
  expectVersion(work, held, version, held.version, ['spared'])
  if (spared && !maySpare(held))
    throw new InputError('spared', spared, `${held.name}: only what is ours, lies on the shelf and is not known bad can be spared.`)
  if (held.spared === spared) return
  work.tx
    .update(heldParts)
    .set({ spared, version: held.version + 1 })
    .where(eq(heldParts.id, heldId))
    .run()
  work.write('held.spared', { name: held.name, spared })
}

/** Says where parts lie, by their codes; whatever is fitted, away or gone lies nowhere. */
export function putHere(work: Work, { uids, lies }: CommandInput<'put-here'>): void {
  const parts = uids.map(uid => {
    const held = work.tx.select().from(heldParts).where(eq(heldParts.uid, uid)).get()
    if (!held) throw new NotFound('No part on record has this code.')
    if (!['shelf', 'arrived', 'promised'].includes(held.at))
      throw new InputError('uids', uid, `${held.name}: ${heldPlaces[held.at].toLowerCase()}, so that it lies in no place of ours.`)
    work.tx
      .update(heldParts)
      .set({ lies, version: held.version + 1, trail: [...held.trail, { at: work.at, by: work.person.name, says: `Put in ${lies}.` }].slice(-longestTrail) })
      .where(eq(heldParts.id, held.id))
      .run()
    return `${held.count} × ${held.name}`
  })
  work.write('held.put', { parts, lies })
}
