import { checkContaminationStep } from '#core/cleaning/contamination'
import { refusalOf } from '#core/cleaning/methods'
import { methodTable } from '#core/cleaning/method-table'
import { planCleaning, waitAfter } from '#core/cleaning/plan'
import { wetNow } from '#core/cleaning/rules'
import { materials, methods, soils, workings } from '#core/cleaning/words'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { reportFault } from '../faults/index'
import { wantPart } from '../parts/index'
import { people } from '../people/index'
import { takeBackWait, waitFor } from '../waits/index'
import { putBackMaterials, useMaterial } from '../workshop/index'
import { facts, schoolsOf } from './facts'
import { cleaningParts, cleaningSchools, cleaningSteps, cleanings, contaminations } from './schema'

export function recordCleaning({ tx, machine, at, write }: MachineWork, input: CommandInput<'record-cleaning'>): void {
  const { id } = tx
    .insert(cleanings)
    .values({ machineId: machine.id, at, ...input })
    .returning()
    .get()
  write('cleaning.done', input, { subject: { table: 'cleanings', id } })
}

/** More parts than this nobody cleans apart. */
const mostParts = 60

const listed = <K extends string>(names: Record<K, string>, keys: readonly K[]) => keys.map(key => names[key].toLowerCase()).join(', ')

const partOf = (work: MachineWork, partId: number) => rowOf(work, cleaningParts, partId, 'part to clean')

export function sayCleaningPart(work: MachineWork, { partId, version, ...part }: CommandInput<'say-cleaning-part'>): { partId: number } {
  const { tx, machine, write, file } = work
  const before = partId === null ? null : partOf(work, partId)
  if (before) expectVersion(work, before, version, before.version, Object.keys(part))
  const twice = tx
    .select()
    .from(cleaningParts)
    .where(and(eq(cleaningParts.machineId, machine.id), eq(cleaningParts.name, part.name)))
    .get()
  if (twice && twice.id !== before?.id) throw new InputError('name', part.name, `Part: ${part.name} is among its parts already.`)
  if (!before && file().cleaningParts.length >= mostParts) throw new NotNow(`A machine is cleaned in up to ${mostParts} parts.`)
  const { id } = before
    ? tx
        .update(cleaningParts)
        .set({ ...part, version: before.version + 1 })
        .where(eq(cleaningParts.id, before.id))
        .returning()
        .get()
    : tx
        .insert(cleaningParts)
        .values({ machineId: machine.id, ...part })
        .returning()
        .get()
  write('cleaning.part', { name: part.name, made: listed(materials, part.materials), soiled: listed(soils, part.soils), works: workings[part.works] })
  return { partId: id }
}

/** Leaves a part out, and its steps that nobody has done; what was done, or left out with a reason, stays on record. */
export function dropCleaningPart(work: MachineWork, { partId }: CommandInput<'drop-cleaning-part'>): void {
  const { tx, machine } = work
  const part = partOf(work, partId)
  tx.delete(cleaningParts).where(eq(cleaningParts.id, partId)).run()
  tx.delete(cleaningSteps)
    .where(and(eq(cleaningSteps.machineId, machine.id), eq(cleaningSteps.part, part.name), eq(cleaningSteps.state, 'open')))
    .run()
  work.write('cleaning.part-dropped', { name: part.name })
}

export function chooseCleaningSchools({ tx, machine, write }: MachineWork, chosen: CommandInput<'choose-cleaning-schools'>): void {
  tx.insert(cleaningSchools)
    .values({ machineId: machine.id, ...chosen })
    .onConflictDoUpdate({ target: cleaningSchools.machineId, set: chosen })
    .run()
  write('cleaning.schools', chosen)
}

/** Makes the plan anew from what is known of the parts; what was done or left out stays as it was. */
export function makeCleaningPlan({ tx, machine, at, write, file }: MachineWork): void {
  const kept = file()
  if (!kept.cleaningParts.length) throw new NotNow('Say first what its parts are made of, and what is on them.')
  const { steps, minutes } = planCleaning({ parts: kept.cleaningParts, schools: schoolsOf(kept) })
  const settled = kept.cleaningSteps.filter(s => s.state !== 'open').map(s => s.says)
  const wanted = steps.filter(s => !settled.includes(s.says))
  tx.delete(cleaningSteps)
    .where(and(eq(cleaningSteps.machineId, machine.id), eq(cleaningSteps.state, 'open')))
    .run()
  for (const { wait, ...step } of wanted)
    tx.insert(cleaningSteps)
      .values({ machineId: machine.id, at, ...step, waitWhat: wait?.what ?? '', waitHours: wait?.hours ?? null })
      .run()
  write('cleaning.planned', { steps: wanted.length, minutes: wanted.length === steps.length ? minutes : wanted.reduce((sum, s) => sum + s.minutes, 0) })
}

/** What a sister's parts are made of holds for this one; what is on them does not. */
export function takeOverParts({ tx, machine, write, file }: MachineWork, { from }: CommandInput<'take-over-parts'>): void {
  const sister = tx.select().from(machines).where(eq(machines.tag, from)).get()
  if (!sister || sister.modelId === null || sister.modelId !== machine.modelId) throw new InputError('from', from, `${from} is no machine of the same model.`)
  const here = file().cleaningParts.map(p => p.name)
  const taken = tx
    .select()
    .from(cleaningParts)
    .where(eq(cleaningParts.machineId, sister.id))
    .all()
    .filter(p => !here.includes(p.name))
  if (!taken.length) throw new NotNow(`Nothing of ${from} is left to take over.`)
  for (const { name, materials: made, socketed } of taken)
    tx.insert(cleaningParts)
      .values({ machineId: machine.id, name, materials: made, soils: ['dust'], works: 'not-known', socketed })
      .run()
  write('cleaning.parts-taken-over', { from, parts: taken.length })
}

/** A step that somebody wants; what the table forbids for the part is refused with the reason. */
export function addCleaningStep(work: MachineWork, { partId, method, soil, minutes }: CommandInput<'add-cleaning-step'>): void {
  const part = partOf(work, partId)
  const refused = refusalOf(method, part.materials, soil)
  if (refused) throw new InputError('method', method, refused)
  const wait = waitAfter(method, part.name)
  const says = `${methods[method]}: ${part.name.charAt(0).toLowerCase()}${part.name.slice(1)}`
  work.tx
    .insert(cleaningSteps)
    .values({
      machineId: work.machine.id,
      at: work.at,
      part: part.name,
      kind: 'method',
      method,
      says,
      why: `${soils[soil]}. Added by ${work.person.name}.`,
      minutes: Math.round(minutes),
      cautions: [...(methodTable[method].caution ?? [])],
      waitWhat: wait?.what ?? '',
      waitHours: wait?.hours ?? null,
    })
    .run()
  work.write('cleaning.step-added', { says })
}

function openStep(work: MachineWork, stepId: number, version: number) {
  const step = work.tx
    .select()
    .from(cleaningSteps)
    .where(and(eq(cleaningSteps.id, stepId), eq(cleaningSteps.machineId, work.machine.id)))
    .get()
  if (!step) throw new NotFound('This step is no longer in the plan; the plan may have been remade.')
  if (step.state !== 'open') throw new NotNow(`This step was ${step.state === 'done' ? 'done' : 'left out'} already, by ${step.doneBy}.`)
  expectVersion(work, step, version, step.version, ['state', 'personId'])
  return step
}

/** Done, and what it wetted dries: the wait begins at once, and the gate hears of it. */
export function doCleaningStep(work: MachineWork, { stepId, version, waitHours, uses }: CommandInput<'do-cleaning-step'>): void {
  const { tx, at, person, write } = work
  const step = openStep(work, stepId, version)
  tx.update(cleaningSteps)
    .set({ state: 'done', doneBy: person.name, at, version: step.version + 1 })
    .where(eq(cleaningSteps.id, stepId))
    .run()
  write('cleaning.step-done', { says: step.says })
  for (const used of uses) useMaterial(work, { ...used, what: step.says })
  // Longer than the plan has it, as somebody likes; never shorter, for what is wet conducts.
  const hours = step.waitHours === null ? null : Math.max(step.waitHours, waitHours ?? 0)
  if (hours !== null) waitFor(work, 'wet', step.waitWhat, hours)
}

export function leaveCleaningStep(work: MachineWork, { stepId, version, reason }: CommandInput<'leave-cleaning-step'>): void {
  const step = openStep(work, stepId, version)
  work.tx
    .update(cleaningSteps)
    .set({ state: 'left', note: reason, doneBy: work.person.name, at: work.at, version: step.version + 1 })
    .where(eq(cleaningSteps.id, stepId))
    .run()
  work.write('cleaning.step-left', { says: step.says, reason })
}

/** So long a press is thought better of: then what it began by itself goes with it. */
const atOnceMs = 60_000

/**
 * A step that was not done, or not left out, after all. Taken back at once, by whoever pressed it, the wait that the very press had begun goes too,
 * and what it took from the shelf: all is as it was before. Later both stay, for by then something may be wet.
 */
export function reopenCleaningStep(work: MachineWork, { stepId }: CommandInput<'reopen-cleaning-step'>): void {
  const { tx, at, person, write } = work
  const step = rowOf(work, cleaningSteps, stepId, 'step of the plan')
  if (step.state === 'open') throw new NotNow('This step is open already.')
  tx.update(cleaningSteps)
    .set({ state: 'open', note: '', doneBy: '', at, version: step.version + 1 })
    .where(eq(cleaningSteps.id, stepId))
    .run()
  const atOnce = step.state === 'done' && step.doneBy === person.name && work.now.getTime() - Date.parse(step.at) <= atOnceMs
  const wait = atOnce && step.waitHours !== null && takeBackWait(work, step.waitWhat, step.at)
  if (atOnce) putBackMaterials(work, step.says, step.at)
  write('cleaning.step-reopened', { says: step.says, ...(wait ? { wait: step.waitWhat } : {}) })
}

export function giveCleaningStep(work: MachineWork, { stepId, version, personId }: CommandInput<'give-cleaning-step'>): void {
  const step = openStep(work, stepId, version)
  const to = personId === null ? null : work.tx.select().from(people).where(eq(people.id, personId)).get()
  if (personId !== null && !to) throw new InputError('personId', personId, 'Who: nobody of that number is here.')
  work.tx
    .update(cleaningSteps)
    .set({ personId, version: step.version + 1 })
    .where(eq(cleaningSteps.id, stepId))
    .run()
  work.write('cleaning.step-given', { says: step.says, to: to?.name ?? '' })
}

/** Logged, and at once the part that is wanted or the repair to be made. */
export function logBreakage(work: MachineWork, { what, how, becomes, stops }: CommandInput<'log-breakage'>): void {
  work.write('breakage.logged', { what, how })
  if (becomes === 'part') wantPart(work, { name: what, quantity: 1, stops: stops ? 'start' : 'no-start' })
  if (becomes === 'fault') reportFault(work, { symptom: `Broken: ${what}`, firstSeen: '', stopsMachine: stops })
}

export function findContamination({ tx, machine, at, write }: MachineWork, found: CommandInput<'find-contamination'>): void {
  const { id } = tx
    .insert(contaminations)
    .values({ machineId: machine.id, at, ...found })
    .returning()
    .get()
  write('contamination.found', found, { subject: { table: 'contaminations', id } })
}

export function stepContamination(work: MachineWork, { contaminationId, version, step, lookedAt, waitHours }: CommandInput<'step-contamination'>): void {
  const { tx, machine, at, write, file } = work
  const before = file().contaminations.find(c => c.id === contaminationId)
  if (!before) throw new NotFound(`${machine.tag} has no such contamination.`)
  expectVersion(work, before, version, before.version, ['state'])
  checkContaminationStep(before, step, lookedAt, wetNow(facts(file()), at))
  tx.update(contaminations)
    .set({ state: step, at, version: before.version + 1 })
    .where(eq(contaminations.id, contaminationId))
    .run()
  write('contamination.stepped', { kind: before.kind, where: before.where, step })
  if ((step === 'rinsed' || step === 'washed') && waitHours !== null) waitFor(work, 'wet', `Drying after rinsing: ${before.where}`, waitHours)
}
