import { defaultAssemblies } from '#core/condition/grades'
import { readDateCode } from '#core/identify/date-code'
import { tagFrame, tagOf } from '#core/identify/tag'
import { InputError } from '#core/kernel/input-error'
import { ClaimJudged, Identity } from '#shared/chapters/arrive/index'
import type { CommandInput } from '#shared/chapters/index'
import type { Progress } from '#shared/kernel/answers'
import { and, asc, eq, gte, isNotNull, isNull, lt, sql } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { sliceMs } from '../../kernel/settling/caretaker'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import { carryOut } from '../../kernel/carry-out'
import type { Bench, MachineWork, Work } from '../../kernel/work'
import { workOn } from '../../kernel/work-on'
import { assemblies } from '../look/index'
import { modelCalled, models } from '../models/index'
import { powerAssessments } from '../power/index'
import { practiceOf } from '../practice/index'
import { accessories, claims, dateCodes, lotRows, lots } from './schema'

/** Words for the fields of the identity, as the history writes them. */
const identityFields = {
  name: 'model',
  maker: 'maker',
  nickname: 'nickname',
  serial: 'serial number',
  variant: 'board issue or variant',
  weightKg: 'weight in kg',
  place: 'place',
  acquired: 'how it came',
  fromWhom: 'from whom',
  owner: 'owner',
  lastPowered: 'last powered',
  lastPoweredBy: 'powered by',
  lastPoweredWhat: 'what happened',
} as const satisfies Record<(typeof Identity.names)[number], string>

const unknownModel = 'Model: it is not in the list any more. Choose another, or type it in.'

/** Books a machine in under the next tag, with all that was said of it at the back door. @returns its tag */
export function bookIn(work: Work, input: CommandInput<'book-in'>, onBench = true): { tag: string } {
  const { tx, at } = work
  notInFuture(input.lastPowered, work.now)
  const model = input.modelId === null ? undefined : tx.select().from(models).where(eq(models.id, input.modelId)).get()
  if (input.modelId !== null && !model) throw new InputError('modelId', input.modelId, unknownModel)

  const tag = nextTagOf(work)
  const { claims: said, accessories: came, dateCodes: codes, ...identity } = input
  const machine = tx
    .insert(machines)
    .values({ ...identity, name: model?.name ?? input.name, maker: model?.maker ?? input.maker, uid: uuidv7(), tag, bookedInAt: at, onBench })
    .returning()
    .get()
  tx.insert(powerAssessments).values({ machineId: machine.id, facts: {} }).run()
  tx.insert(assemblies)
    .values((model?.assemblies.length ? model.assemblies : defaultAssemblies).map(name => ({ machineId: machine.id, name })))
    .run()

  const on = workOn(work, machine)
  on.write('machine.booked-in', { tag, name: machine.name, maker: machine.maker })
  on.write('provenance.recorded', { acquired: machine.acquired, fromWhom: machine.fromWhom, owner: machine.owner })
  if (input.lastPowered || input.lastPoweredBy || input.lastPoweredWhat) {
    on.write('last-powered.recorded', { when: input.lastPowered, byWhom: input.lastPoweredBy, what: input.lastPoweredWhat })
  }
  said.forEach(says => addClaim(on, { says, byWhom: input.fromWhom }))
  came.forEach(name => noteAccessory(on, { name }))
  codes.forEach(code => keepDateCode(on, code))
  return { tag }
}

/** The next tag: one more than the highest running number of this numbering. */
function nextTagOf({ tx, now }: Work): string {
  const frame = tagFrame(practiceOf(tx).numbering, now.getUTCFullYear())
  const { before, after } = frame
  const middle = sql<string>`substr(${machines.tag}, ${before.length + 1}, length(${machines.tag}) - ${before.length + after.length})`
  const highest = tx
    .select({ n: sql<number>`coalesce(max(cast(${middle} as integer)), 0)` })
    .from(machines)
    .where(
      and(
        gte(machines.tag, before),
        lt(machines.tag, `${before}\u{10FFFF}`),
        sql`substr(${machines.tag}, length(${machines.tag}) - ${after.length - 1}) = ${after} OR ${after} = ''`,
        sql`${middle} GLOB '[0-9]*' AND ${middle} NOT GLOB '*[^0-9]*'`,
      ),
    )
    .get()!.n
  return tagOf(frame, highest + 1)
}

/**
 * Accepts a job lot: every row is looked at before any is booked in, so that all go in or none.
 * They are booked in slice by slice once this has been kept, in the order of the rows.
 * @throws InputError naming the row
 */
export function bookInLot(work: Work, { machines: rows }: CommandInput<'book-in-lot'>): { lot: string; of: number } {
  const { tx, person, at } = work
  const known = new Set(
    tx
      .select({ id: models.id })
      .from(models)
      .all()
      .map(m => m.id),
  )
  rows.forEach((row, i) => {
    const refuse = (field: string, value: unknown, message: string) => {
      throw new InputError(`machines.${i}.${field}`, value, message)
    }
    if (row.modelId !== null && !known.has(row.modelId)) refuse('modelId', row.modelId, unknownModel)
    try {
      notInFuture(row.lastPowered, work.now)
    } catch (error) {
      refuse('lastPowered', row.lastPowered, (error as Error).message)
    }
  })
  const lot = tx.insert(lots).values({ uid: uuidv7(), total: rows.length, personId: person.id, by: person.name, at }).returning().get()
  tx.insert(lotRows)
    .values(rows.map(input => ({ lotId: lot.id, input })))
    .run()
  work.progress = progressOf(lot, 0)
  return { lot: lot.uid, of: rows.length }
}

type LotRow = typeof lots.$inferSelect
const progressOf = ({ uid, total, trouble }: LotRow, done: number): Progress => ({ uid, what: 'lot', done, of: total, trouble })

/** The lot that has waited longest and can go on. */
const firstLot = (tx: Tx): LotRow | undefined =>
  tx
    .select()
    .from(lots)
    .where(and(eq(lots.trouble, ''), sql`EXISTS (SELECT 1 FROM ${lotRows} WHERE ${lotRows.lotId} = ${lots.id} AND ${lotRows.tag} IS NULL)`))
    .orderBy(asc(lots.id))
    .limit(1)
    .get()

const bookedOf = (tx: Tx, lotId: number) =>
  tx
    .select({ tag: machines.tag, name: machines.name, nickname: machines.nickname })
    .from(lotRows)
    .innerJoin(machines, eq(machines.tag, lotRows.tag))
    .where(and(eq(lotRows.lotId, lotId), isNotNull(lotRows.tag)))
    .orderBy(asc(lotRows.id))
    .all()

/** Books in the next machine of a lot. @returns whether there was one */
function bookNextOf(work: Work, lot: LotRow): boolean {
  const { tx } = work
  const row = tx
    .select()
    .from(lotRows)
    .where(and(eq(lotRows.lotId, lot.id), isNull(lotRows.tag)))
    .orderBy(asc(lotRows.id))
    .limit(1)
    .get()
  if (!row) return false
  // A bench has room for what is worked on; a lot waits in the store until each of it is put there.
  const { tag } = bookIn(work, row.input, false)
  tx.update(lotRows).set({ tag }).where(eq(lotRows.id, row.id)).run()
  work.progress = progressOf(lot, bookedOf(tx, lot.id).length)
  return true
}

/** Stops a lot for good, with the reason; what was booked in stays. */
function stopLot(work: Work, lot: LotRow, trouble: string): void {
  work.tx.update(lots).set({ trouble }).where(eq(lots.id, lot.id)).run()
  work.progress = progressOf({ ...lot, trouble }, bookedOf(work.tx, lot.id).length)
}

/** How far a lot has come, with what its machines became so far. @throws NotFound */
export function lotOf(tx: Tx, uid: string): Progress & { booked: { tag: string; name: string; nickname: string }[] } {
  const lot = tx.select().from(lots).where(eq(lots.uid, uid)).get()
  if (!lot) throw new NotFound('There is no such job lot.')
  const booked = bookedOf(tx, lot.id)
  return { ...progressOf(lot, booked.length), booked }
}

function notInFuture(day: string, now: Date) {
  if (day && day > now.toISOString().slice(0, day.length))
    throw new InputError('lastPowered', day, 'Last powered: that day has not come yet. Write a day in the past, or leave it empty.')
}

export function correctIdentity(work: MachineWork, { version, ...input }: CommandInput<'correct-identity'>): void {
  const { machine, tx } = work
  expectVersion(work, machine, version, machine.version, Identity.names)
  notInFuture(input.lastPowered, work.now)
  const changes = Identity.names
    .filter(field => machine[field] !== input[field])
    .map(field => ({ field: identityFields[field], from: String(machine[field] ?? ''), to: String(input[field] ?? '') }))
  if (!changes.length) return
  const renamed = changes.some(c => c.field === identityFields.name || c.field === identityFields.maker)
  tx.update(machines)
    .set({ ...input, ...(renamed ? { modelId: modelCalled(tx, input)?.id ?? null } : {}), version: machine.version + 1 })
    .where(eq(machines.id, machine.id))
    .run()
  work.write('identity.corrected', { changes })
}

/** What is known of its model holds from now on, its rails and its inlet among it. @throws InputError for a model of another name, NotNow where it has one */
export function joinModel({ tx, machine, write }: MachineWork, { modelId }: CommandInput<'join-model'>): void {
  if (machine.modelId !== null) throw new NotNow('It is of a known model already. Correct its name if that is the wrong one.')
  const model = modelCalled(tx, machine)
  if (!model || model.id !== modelId) throw new InputError('modelId', modelId, 'Model: its name and maker are not this machine’s. Correct either first.')
  tx.update(machines)
    .set({ modelId, version: machine.version + 1 })
    .where(eq(machines.id, machine.id))
    .run()
  write('model.joined', { name: model.name })
}

export function addClaim({ tx, machine, at, write }: MachineWork, input: CommandInput<'add-claim'>): void {
  const { id } = tx
    .insert(claims)
    .values({ machineId: machine.id, at, ...input })
    .returning()
    .get()
  write('claim.recorded', input, { subject: { table: 'claims', id } })
}

/** What an observation, a reading or a test says of a claim. The claim stays as it was made. */
export function judgeClaim(work: MachineWork, { claimId, version, ...given }: CommandInput<'judge-claim'>): void {
  const { tx, at, write } = work
  const claim = rowOf(work, claims, claimId, 'claim')
  expectVersion(work, claim, version, claim.version, ClaimJudged.names)
  // Of what kind it is stays said, until somebody says otherwise.
  const judged = { ...given, kind: given.kind ?? claim.kind }
  tx.update(claims)
    .set({ ...judged, at, version: claim.version + 1 })
    .where(eq(claims.id, claimId))
    .run()
  write('claim.judged', { says: claim.says, ...judged })
}

export function noteAccessory({ tx, machine, write }: MachineWork, input: CommandInput<'note-accessory'>): void {
  const { id } = tx
    .insert(accessories)
    .values({ machineId: machine.id, ...input })
    .returning()
    .get()
  write('accessory.noted', input, { subject: { table: 'accessories', id } })
}

export function keepDateCode({ tx, machine, write }: MachineWork, input: CommandInput<'read-date-code'>): void {
  const { id } = tx
    .insert(dateCodes)
    .values({ machineId: machine.id, ...input })
    .returning()
    .get()
  write('date-code.read', { ...input, says: readDateCode({ code: input.code }).readings[0]?.says ?? 'no date' }, { subject: { table: 'date_codes', id } })
}

export function moveToStage({ tx, machine, write }: MachineWork, { stage }: CommandInput<'move-to-stage'>): void {
  if (machine.stage === stage) return
  tx.update(machines).set({ stage }).where(eq(machines.id, machine.id)).run()
  write('stage.moved', { from: machine.stage, to: stage })
}

/** Says where it stands now. */
export function moveToPlace({ tx, machine, write }: MachineWork, { place }: CommandInput<'move-to-place'>): void {
  if (machine.place === place) return
  tx.update(machines)
    .set({ place, version: machine.version + 1 })
    .where(eq(machines.id, machine.id))
    .run()
  write('identity.corrected', { changes: [{ field: identityFields.place, from: machine.place, to: place }] })
}

export function putOnBench({ tx, machine, write }: MachineWork, { onBench }: CommandInput<'put-on-bench'>): void {
  if (machine.onBench === onBench) return
  tx.update(machines).set({ onBench }).where(eq(machines.id, machine.id)).run()
  write('bench.changed', { onBench })
}

/** Books in the next machines of a job lot. What cannot be booked in after all stops the lot, and says why. @returns whether there was one */
export function bookSlice(bench: Bench): boolean {
  const lot = firstLot(bench.db)
  if (!lot) return false
  const person = { id: lot.personId, name: lot.by }
  try {
    carryOut(bench, person, work => {
      const until = performance.now() + sliceMs
      while (performance.now() < until && bookNextOf(work, lot)) {
        /* one after the other, in the order of the rows */
      }
    })
  } catch (error) {
    carryOut(bench, person, work => stopLot(work, lot, (error as Error).message))
  }
  return true
}
