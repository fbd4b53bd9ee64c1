import { randomBytes } from 'node:crypto'
import { and, eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { readDateCode } from '#core/identify/date-code'
import { nextTag } from '#core/identify/tag'
import { defaultAssemblies } from '#core/condition/grades'
import type { CommandInput } from '#shared/contracts/commands'
import { accessories, assemblies, claims, dateCodes, machines, models, powerAssessments } from '../db/schema'
import { practiceOf } from './practice'
import { NotFound, NotNow } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork, Work } from './work'

/** Words for the fields of the identity, as the history writes them. */
const identityFields = {
  name: 'model', maker: 'maker', nickname: 'nickname', serial: 'serial number', variant: 'board issue or variant', weightKg: 'weight in kg', place: 'place',
  acquired: 'how it came', fromWhom: 'from whom', owner: 'owner', lastPowered: 'last powered', lastPoweredBy: 'powered by', lastPoweredWhat: 'what happened',
} as const

/** Books a machine in under the next tag, with all that was said of it at the back door. @returns its tag */
export function bookIn(work: Work, input: CommandInput<'book-in'>): { tag: string } {
  const { tx, at } = work
  notInFuture(input.lastPowered, work.now)
  const model = input.modelId === null ? undefined : tx.select().from(models).where(eq(models.id, input.modelId)).get()
  if (input.modelId !== null && !model) throw new InputError('modelId', input.modelId, 'Model: it is not in the list any more. Choose another, or type it in.')

  const inUse = tx.select({ tag: machines.tag }).from(machines).all().map(m => m.tag)
  const tag = nextTag(practiceOf(tx).numbering, work.now.getUTCFullYear(), inUse)
  const { claims: said, accessories: came, dateCodes: codes, ...identity } = input
  const machine = tx.insert(machines).values({ ...identity, name: model?.name ?? input.name, maker: model?.maker ?? input.maker, uid: uuidv7(), tag, bookedInAt: at }).returning().get()
  tx.insert(powerAssessments).values({ machineId: machine.id, facts: {} }).run()
  tx.insert(assemblies).values((model?.assemblies.length ? model.assemblies : defaultAssemblies).map(name => ({ machineId: machine.id, name }))).run()

  const on: MachineWork = { ...work, machine, write: (kind, data, about) => work.write(kind, data, { ...about, machine }) }
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

/** Books many machines in, all or none. @throws InputError naming the row */
export function bookInLot(work: Work, { machines: rows }: CommandInput<'book-in-lot'>): { tags: string[] } {
  return {
    tags: rows.map((row, i) => {
      try {
        return bookIn(work, row).tag
      }
      catch (error) {
        if (error instanceof InputError) throw new InputError(`machines.${i}.${error.field}`, error.value, error.message)
        throw error
      }
    }),
  }
}

function notInFuture(day: string, now: Date) {
  if (day && day > now.toISOString().slice(0, day.length)) throw new InputError('lastPowered', day, 'Last powered: that day has not come yet. Write a day in the past, or leave it empty.')
}

/** The model that goes by exactly this name and maker. */
const modelCalled = ({ tx }: Work, { name, maker }: { name: string, maker: string }) => tx.select().from(models).where(and(eq(models.name, name), eq(models.maker, maker))).get()

export function correctIdentity(work: MachineWork, { version, ...input }: CommandInput<'correct-identity'>): void {
  const { machine, tx } = work
  expectVersion(work, machine, version, machine.version, Object.keys(identityFields))
  notInFuture(input.lastPowered, work.now)
  const changes = (Object.keys(identityFields) as (keyof typeof identityFields)[])
    .filter(field => machine[field] !== input[field])
    .map(field => ({ field: identityFields[field], from: String(machine[field] ?? ''), to: String(input[field] ?? '') }))
  if (!changes.length) return
  const renamed = changes.some(c => c.field === identityFields.name || c.field === identityFields.maker)
  tx.update(machines).set({ ...input, ...(renamed ? { modelId: modelCalled(work, input)?.id ?? null } : {}), version: machine.version + 1 }).where(eq(machines.id, machine.id)).run()
  work.write('identity.corrected', { changes })
}

export function addClaim({ tx, machine, write }: MachineWork, input: CommandInput<'add-claim'>): void {
  const { id } = tx.insert(claims).values({ machineId: machine.id, ...input }).returning().get()
  write('claim.recorded', input, { subject: { table: 'claims', id } })
}

/** What an observation, a reading or a test says of a claim. The claim stays as it was made. */
export function judgeClaim(work: MachineWork, { claimId, version, verdict, because }: CommandInput<'judge-claim'>): void {
  const { tx, machine, write } = work
  const claim = tx.select().from(claims).where(and(eq(claims.id, claimId), eq(claims.machineId, machine.id))).get()
  if (!claim) throw new NotFound(`${machine.tag} has no such claim.`)
  expectVersion(work, claim, version, claim.version, ['verdict', 'because'])
  tx.update(claims).set({ verdict, because, version: claim.version + 1 }).where(eq(claims.id, claimId)).run()
  write('claim.judged', { says: claim.says, verdict, because })
}

export function noteAccessory({ tx, machine, write }: MachineWork, input: CommandInput<'note-accessory'>): void {
  const { id } = tx.insert(accessories).values({ machineId: machine.id, ...input }).returning().get()
  write('accessory.noted', input, { subject: { table: 'accessories', id } })
}

export function keepDateCode({ tx, machine, write }: MachineWork, input: CommandInput<'read-date-code'>): void {
  const { id } = tx.insert(dateCodes).values({ machineId: machine.id, ...input }).returning().get()
  write('date-code.read', { ...input, says: readDateCode({ code: input.code }).readings[0]?.says ?? 'no date' }, { subject: { table: 'date_codes', id } })
}

export function moveToStage({ tx, machine, write }: MachineWork, { stage }: CommandInput<'move-to-stage'>): void {
  if (machine.stage === stage) return
  tx.update(machines).set({ stage }).where(eq(machines.id, machine.id)).run()
  write('stage.moved', { from: machine.stage, to: stage })
}

export function putOnBench({ tx, machine, write }: MachineWork, { onBench }: CommandInput<'put-on-bench'>): void {
  if (machine.onBench === onBench) return
  tx.update(machines).set({ onBench }).where(eq(machines.id, machine.id)).run()
  write('bench.changed', { onBench })
}

export function chooseLife({ tx, machine, write }: MachineWork, { life }: CommandInput<'choose-life'>): void {
  if (machine.life === life) throw new NotNow('That is its life already.')
  tx.update(machines).set({ life }).where(eq(machines.id, machine.id)).run()
  write('life.chosen', { life })
}

/** Switches the public passport; its link stays the same once made, and cannot be guessed. */
export function switchPassport({ tx, machine, write }: MachineWork, { on }: CommandInput<'switch-passport'>): void {
  if (machine.passportOn === on) return
  const passportToken = machine.passportToken ?? randomBytes(24).toString('base64url')
  tx.update(machines).set({ passportOn: on, passportToken }).where(eq(machines.id, machine.id)).run()
  write('passport.switched', { on })
}
