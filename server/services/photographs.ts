import { and, eq, isNull } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import { rateCorrosion } from '#core/condition/corrosion-rating'
import { mmPerPx } from '#core/condition/marks'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/contracts/commands'
import type { Db } from '../db/connection'
import { corrosions, files, photographs } from '../db/schema'
import type { ImageFile } from '../files/image-file'
import { assemblyName } from './assemblies'
import { NotFound } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork } from './work'

/** Remembers a file that has been taken in; the same one twice is one. */
export function rememberFile(db: Db, file: ImageFile, now: Date): void {
  db.insert(files).values({ ...file, keptAt: now.toISOString() }).onConflictDoNothing().run()
}

/** A photograph of this machine that stands. @throws NotFound */
export function photographOf({ tx, machine }: MachineWork, id: number) {
  const row = tx.select().from(photographs).innerJoin(files, eq(files.hash, photographs.hash)).where(and(eq(photographs.id, id), eq(photographs.machineId, machine.id), isNull(photographs.struckBy))).get()
  if (!row) throw new NotFound(`${machine.tag} has no such photograph.`)
  return { ...row.photographs, size: { widthPx: row.files.widthPx, heightPx: row.files.heightPx } }
}

export function addPhotograph(work: MachineWork, input: CommandInput<'add-photograph'>): { photographId: number } {
  const { tx, machine, at, person, write } = work
  if (!tx.select().from(files).where(eq(files.hash, input.hash)).get()) throw new InputError('hash', input.hash, 'Photograph: its file is not known here. Send it again.')
  const there = tx.select().from(photographs).where(and(eq(photographs.machineId, machine.id), eq(photographs.hash, input.hash), isNull(photographs.struckBy))).get()
  if (there) throw new InputError('hash', input.hash, `This photograph is there already${there.name === input.name ? '' : `, as ${there.name}`}.`)
  const assembly = assemblyName(work, input.assemblyId)
  const { id } = tx.insert(photographs).values({ machineId: machine.id, uid: uuidv7(), at, byWhom: person.name, ...input }).returning().get()
  write('photograph.added', { name: input.name, assembly, caption: input.caption, hash: input.hash }, { subject: { table: 'photographs', id } })
  return { photographId: id }
}

export function describePhotograph(work: MachineWork, { photographId, version, assemblyId, caption }: CommandInput<'describe-photograph'>): void {
  const photograph = photographOf(work, photographId)
  expectVersion(work, photograph, version, photograph.version, ['assemblyId', 'caption'])
  const assembly = assemblyName(work, assemblyId)
  work.tx.update(photographs).set({ assemblyId, caption, version: photograph.version + 1 }).where(eq(photographs.id, photographId)).run()
  work.write('photograph.described', { assembly, caption })
}

/** Sets the scale of a photograph, or takes it off. @throws InputError when the two points lie on each other */
export function setScale(work: MachineWork, { photographId, version, scale }: CommandInput<'set-scale'>): void {
  const photograph = photographOf(work, photographId)
  expectVersion(work, photograph, version, photograph.version, ['scale'])
  if (scale) mmPerPx(scale, photograph.size)
  work.tx.update(photographs).set({ scale, version: photograph.version + 1 }).where(eq(photographs.id, photographId)).run()
  work.write('scale.set', { photograph: photograph.caption || photograph.name, distanceMm: scale?.distanceMm ?? null })
}

/** Keeps a measurement with all it was made from, so that it can be made again. */
export function keepCorrosion(work: MachineWork, { photographId, ...input }: CommandInput<'keep-corrosion'>): void {
  photographOf(work, photographId)
  const { tx, machine, at, person, write } = work
  const { rating, rustDegree } = rateCorrosion({ areasPct: [input.areaPct], steel: input.steel })
  const { id } = tx.insert(corrosions).values({ machineId: machine.id, photographId, ...input, at, byWhom: person.name }).returning().get()
  write('corrosion.measured', { what: input.what, areaPct: input.areaPct, errorPct: input.errorPct, rating, rustDegree }, { subject: { table: 'corrosions', id } })
}
