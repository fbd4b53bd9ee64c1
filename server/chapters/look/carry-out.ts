import type { MachineFile } from '../../kernel/file'
import { checksOf } from '#core/condition/rules'
import type { Db } from '../../kernel/db'
import type { ImageFile } from '../../files/image-file'
import { v7 as uuidv7 } from 'uuid'
import { damageKinds, mayStay } from '#core/condition/damage'
import { rateMeasured } from '#core/condition/corrosion-rating'
import { gradeAgainst } from '#core/condition/grades'
import { checkMark, mmPerPx } from '#core/condition/marks'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import type { CheckOutcome } from '#shared/chapters/look/index'
import { Assembly, Damage, Intervention, Photograph } from '#shared/chapters/look/index'
import { and, eq, isNull } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { assemblies, checksDone, corrosions, damages, files, interventions, photographs } from './schema'

const assemblyOf = (work: MachineWork, id: number) => rowOf(work, assemblies, id, 'assembly')
/** The name of an assembly of this machine; empty for the machine as a whole. @throws NotFound */
const assemblyName = (work: MachineWork, id: number | null) => (id === null ? '' : assemblyOf(work, id).name)

export function addAssembly({ tx, machine, write }: MachineWork, { name }: CommandInput<'add-assembly'>): void {
  const there = tx
    .select()
    .from(assemblies)
    .where(and(eq(assemblies.machineId, machine.id), eq(assemblies.name, name)))
    .get()
  if (there) throw new InputError('name', name, `Assembly: ${name} is in the list already. Give this one a name of its own, such as ${name} 2.`)
  tx.insert(assemblies).values({ machineId: machine.id, name }).run()
  write('assembly.added', { name })
}

export function gradeAssembly(work: MachineWork, { assemblyId, version, ...given }: CommandInput<'grade-assembly'>): void {
  const assembly = assemblyOf(work, assemblyId)
  expectVersion(work, assembly, version, assembly.version, Assembly.names)
  // What somebody said it is for stays said, until somebody says otherwise.
  const found = { ...given, role: given.role ?? assembly.role }
  const marked = work.file().damages.filter(d => d.assemblyId === assembly.id)
  const against = gradeAgainst(found.grade, marked)
  if (against) throw new InputError('grade', found.grade, `Condition: ${against} Grade it by its damage, or strike the mark.`)
  work.tx
    .update(assemblies)
    .set({ ...found, version: assembly.version + 1 })
    .where(eq(assemblies.id, assembly.id))
    .run()
  work.write('assembly.graded', { name: assembly.name, ...found })
}

export function recordDamage(work: MachineWork, input: CommandInput<'record-damage'>): void {
  const assembly = assemblyName(work, input.assemblyId)
  if ((input.mark === null) !== (input.photographId === null)) throw new InputError('mark', input.mark, 'A mark needs its photograph, and the other way round.')
  if (input.mark && input.photographId !== null) {
    photographOf(work, input.photographId)
    checkMark(input.mark)
  }
  const { id } = work.tx
    .insert(damages)
    .values({ machineId: work.machine.id, at: work.at, ...input })
    .returning()
    .get()
  const { kind, where, extent, severity } = input
  work.write('damage.recorded', { assembly, kind, where, extent, severity }, { subject: { table: 'damages', id } })
}

const damageOf = (work: MachineWork, damageId: number) => rowOf(work, damages, damageId, 'damage')

export function changeDamage(work: MachineWork, { damageId, version, ...found }: CommandInput<'change-damage'>): void {
  const damage = damageOf(work, damageId)
  expectVersion(work, damage, version, damage.version, ['assemblyId', ...Damage.names])
  work.tx
    .update(damages)
    .set({ ...found, patina: mayStay(found.kind) ? damage.patina : '', at: work.at, version: damage.version + 1 })
    .where(eq(damages.id, damageId))
    .run()
  const { assemblyId, ...rest } = found
  work.write('damage.changed', { assembly: assemblyName(work, assemblyId), ...rest }, { subject: { table: 'damages', id: damageId } })
}

/** Leaves a stain or wear as patina, with the reason, so that nobody tries again; without one it is taken back. */
export function leaveAsPatina(work: MachineWork, { damageId, version, reason }: CommandInput<'leave-as-patina'>): void {
  const damage = damageOf(work, damageId)
  expectVersion(work, damage, version, damage.version, ['patina'])
  if (!mayStay(damage.kind)) throw new InputError('damageId', damageId, `${damageKinds[damage.kind]} goes on doing harm; only a stain or wear stays as patina.`)
  if (!reason && !damage.patina) throw new InputError('reason', reason, 'Why it stays: say in a few words why.')
  work.tx
    .update(damages)
    .set({ patina: reason, version: damage.version + 1 })
    .where(eq(damages.id, damageId))
    .run()
  work.write('damage.patina', { assembly: assemblyName(work, damage.assemblyId), kind: damage.kind, where: damage.where, reason })
}

/** The checks that damage asks for and nobody has done yet. */
const openChecks = (file: MachineFile) => checksOf(file).filter(c => !file.checksDone.some(d => d.code === c.code))

/** Says what came of a check that damage implied. @throws NotNow when nothing implies it any more, or somebody has done it */
export function settleCheck(work: MachineWork, { code, outcome, note }: CommandInput<'settle-check'>): void {
  const check = openChecks(work.file()).find(c => c.code === code)
  if (!check) throw new NotNow('Somebody has done this check already, or nothing asks for it any more.')
  keepSettled(work, check, { outcome, note })
}

function keepSettled(
  { tx, machine, at, person, write }: MachineWork,
  { code, says }: { code: string; says: string },
  found: { outcome: CheckOutcome; note: string },
) {
  const { id } = tx
    .insert(checksDone)
    .values({ machineId: machine.id, code, ...found, at, byWhom: person.name })
    .returning()
    .get()
  write('check.settled', { says, ...found }, { subject: { table: 'checks_done', id } })
}

/** Places that were looked at elsewhere, and found clean, are checks of a rule that nobody has to do again; where two assemblies ask for one, neither is. */
export function lookedAtElsewhere(work: MachineWork, { rule, places, note }: { rule: string; places: readonly string[]; note: string }): void {
  const asked = openChecks(work.file()).filter(check => check.rule === rule)
  for (const check of asked)
    if (places.includes(check.look) && asked.filter(other => other.look === check.look).length === 1) keepSettled(work, check, { outcome: 'nothing', note })
}

export function logIntervention(work: MachineWork, { understood, ...found }: CommandInput<'log-intervention'>): void {
  const assembly = assemblyName(work, found.assemblyId)
  if (found.photographId !== null) photographOf(work, found.photographId)
  const { id } = work.tx
    .insert(interventions)
    .values({ machineId: work.machine.id, ...found, state: understood ? 'understood' : 'not-understood', at: work.at })
    .returning()
    .get()
  work.write(
    'intervention.logged',
    { kind: found.kind, assembly, where: found.where, note: found.note, understood },
    { subject: { table: 'interventions', id } },
  )
}

/** What somebody before us did is understood, or undone; either way it says why. */
export function settleIntervention(work: MachineWork, { interventionId, version, state, note }: CommandInput<'settle-intervention'>): void {
  const row = rowOf(work, interventions, interventionId, 'intervention')
  expectVersion(work, row, version, row.version, Intervention.names)
  work.tx
    .update(interventions)
    .set({ state, note, at: work.at, version: row.version + 1 })
    .where(eq(interventions.id, interventionId))
    .run()
  work.write('intervention.settled', { kind: row.kind, where: row.where, state, note })
}

/** Remembers a file that has been taken in; the same one twice is one. */
export function rememberFile(db: Db, file: ImageFile, now: Date): void {
  db.insert(files)
    .values({ ...file, keptAt: now.toISOString() })
    .onConflictDoNothing()
    .run()
}

/** A photograph of this machine that stands. @throws NotFound */
export function photographOf({ tx, machine }: MachineWork, id: number) {
  const row = tx
    .select()
    .from(photographs)
    .innerJoin(files, eq(files.hash, photographs.hash))
    .where(and(eq(photographs.id, id), eq(photographs.machineId, machine.id), isNull(photographs.struckBy)))
    .get()
  if (!row) throw new NotFound(`${machine.tag} has no such photograph.`)
  return { ...row.photographs, size: { widthPx: row.files.widthPx, heightPx: row.files.heightPx } }
}

export function addPhotograph(work: MachineWork, input: CommandInput<'add-photograph'>): { photographId: number } {
  const { tx, machine, at, person, write } = work
  if (!tx.select().from(files).where(eq(files.hash, input.hash)).get())
    throw new InputError('hash', input.hash, 'Photograph: its file is not known here. Send it again.')
  const there = tx
    .select()
    .from(photographs)
    .where(and(eq(photographs.machineId, machine.id), eq(photographs.hash, input.hash), isNull(photographs.struckBy)))
    .get()
  if (there) throw new InputError('hash', input.hash, `This photograph is there already${there.name === input.name ? '' : `, as ${there.name}`}.`)
  const assembly = assemblyName(work, input.assemblyId)
  const { id } = tx
    .insert(photographs)
    .values({ machineId: machine.id, uid: uuidv7(), at, byWhom: person.name, ...input })
    .returning()
    .get()
  write('photograph.added', { name: input.name, assembly, caption: input.caption, hash: input.hash }, { subject: { table: 'photographs', id } })
  return { photographId: id }
}

export function describePhotograph(work: MachineWork, { photographId, version, assemblyId, caption }: CommandInput<'describe-photograph'>): void {
  const photograph = photographOf(work, photographId)
  expectVersion(work, photograph, version, photograph.version, Photograph.names)
  const assembly = assemblyName(work, assemblyId)
  work.tx
    .update(photographs)
    .set({ assemblyId, caption, version: photograph.version + 1 })
    .where(eq(photographs.id, photographId))
    .run()
  work.write('photograph.described', { assembly, caption }, { subject: { table: 'photographs', id: photographId } })
}

/** Chooses the picture that a machine is known by, in place of another; or takes it off. */
export function choosePortrait(work: MachineWork, { photographId, chosen }: CommandInput<'choose-portrait'>): void {
  const photograph = photographOf(work, photographId)
  if (photograph.portrait === chosen) return
  const { tx, machine } = work
  tx.update(photographs).set({ portrait: false }).where(eq(photographs.machineId, machine.id)).run()
  if (chosen) tx.update(photographs).set({ portrait: true }).where(eq(photographs.id, photographId)).run()
  work.write('portrait.chosen', { photograph: photograph.caption || photograph.name, chosen })
}

/** Sets the scale of a photograph, or takes it off. @throws InputError when the two points lie on each other */
export function setScale(work: MachineWork, { photographId, version, scale }: CommandInput<'set-scale'>): void {
  const photograph = photographOf(work, photographId)
  expectVersion(work, photograph, version, photograph.version, ['scale'])
  if (scale) mmPerPx(scale, photograph.size)
  work.tx
    .update(photographs)
    .set({ scale, version: photograph.version + 1 })
    .where(eq(photographs.id, photographId))
    .run()
  work.write('scale.set', { photograph: photograph.caption || photograph.name, distanceMm: scale?.distanceMm ?? null })
}

/** Keeps a measurement with all it was made from, so that it can be made again. */
export function keepCorrosion(work: MachineWork, { photographId, ...input }: CommandInput<'keep-corrosion'>): void {
  photographOf(work, photographId)
  const { tx, machine, at, person, write } = work
  const { rating, rustDegree } = rateMeasured(input)
  const { id } = tx
    .insert(corrosions)
    .values({ machineId: machine.id, photographId, ...input, at, byWhom: person.name })
    .returning()
    .get()
  write(
    'corrosion.measured',
    { what: input.what, areaPct: input.areaPct, errorPct: input.errorPct, rating, rustDegree },
    { subject: { table: 'corrosions', id } },
  )
}
