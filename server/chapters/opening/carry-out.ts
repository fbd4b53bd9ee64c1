import { InputError } from '#core/kernel/input-error'
import { fixingWords } from '#core/opening/reassembly'
import type { CommandInput } from '#shared/chapters/index'
import { OpeningStep } from '#shared/chapters/opening/index'
import { asc, eq } from 'drizzle-orm'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { photographOf } from '../look/index'
import { openingSteps } from './schema'

const recordOf = ({ tx }: MachineWork, machineId: number) =>
  tx.select().from(openingSteps).where(eq(openingSteps.machineId, machineId)).orderBy(asc(openingSteps.step)).all()

const stepOf = (work: MachineWork, id: number) => rowOf(work, openingSteps, id, 'step in its opening record')

const notCounted = <F>(fixings: F[]) => fixings.map(f => ({ ...f, back: null }))

/** One more step of taking it apart, at the end of what was done so far. Steps that are ahead move on by one. */
export function recordOpeningStep(work: MachineWork, { fixings, photographId, ...input }: CommandInput<'record-opening-step'>): void {
  if (photographId !== null) photographOf(work, photographId)
  const record = recordOf(work, work.machine.id)
  const step = record.filter(s => s.state !== 'ahead').length + 1
  record
    .filter(s => s.state === 'ahead')
    .forEach(s =>
      work.tx
        .update(openingSteps)
        .set({ step: s.step + 1 })
        .where(eq(openingSteps.id, s.id))
        .run(),
    )
  work.tx
    .insert(openingSteps)
    .values({ machineId: work.machine.id, step, state: 'undone', ...input, photographId, fixings: notCounted(fixings) })
    .run()
  work.write('opening.step', { step, what: input.what, fixings: fixings.map(fixingWords) })
}

/** Corrects a step, or does one that was ahead. */
export function changeOpeningStep(work: MachineWork, { stepId, version, fixings, ...input }: CommandInput<'change-opening-step'>): void {
  const before = stepOf(work, stepId)
  expectVersion(work, before, version, before.version, OpeningStep.names)
  if (before.state === 'back') throw new NotNow('This step is together again. What was counted back stands.')
  if (input.photographId !== null) photographOf(work, input.photographId)
  const inFront = recordOf(work, work.machine.id).find(s => s.state === 'ahead' && s.step < before.step)
  if (before.state === 'ahead' && inFront) throw new NotNow(`Step ${inFront.step} comes first: ${inFront.what}.`)
  work.tx
    .update(openingSteps)
    .set({ ...input, fixings: notCounted(fixings), state: 'undone', version: before.version + 1 })
    .where(eq(openingSteps.id, stepId))
    .run()
  work.write('opening.step', { step: before.step, what: input.what, fixings: fixings.map(fixingWords) })
}

/** Takes over the opening record of a sister; its steps lie ahead until each is done here, as found here. */
export function reuseOpening(work: MachineWork, { fromTag }: CommandInput<'reuse-opening'>): void {
  const { tx, machine, write } = work
  const sister = tx.select().from(machines).where(eq(machines.tag, fromTag)).get()
  if (!sister || sister.id === machine.id || sister.modelId === null || sister.modelId !== machine.modelId)
    throw new InputError('fromTag', fromTag, `${fromTag} is no other machine of the same model.`)
  if (recordOf(work, machine.id).length) throw new NotNow('This machine has an opening record already. Only an empty one can be taken over.')
  const steps = recordOf(work, sister.id)
  if (!steps.length) throw new NotNow(`${fromTag} has no opening record.`)
  tx.insert(openingSteps)
    .values(
      steps.map(sister => ({
        machineId: machine.id,
        step: sister.step,
        ...OpeningStep.of(sister),
        fixings: notCounted(sister.fixings),
        state: 'ahead' as const,
      })),
    )
    .run()
  write('opening.reused', { fromTag, steps: steps.length })
}

/** Puts a step back together and counts its fixings back. */
export function countBack(work: MachineWork, { stepId, version, back }: CommandInput<'count-back'>): void {
  const step = stepOf(work, stepId)
  expectVersion(work, step, version, step.version, ['state', 'fixings'])
  if (step.state === 'ahead') throw new NotNow('This step has not been undone yet.')
  if (back.length !== step.fixings.length)
    throw new InputError('back', back, `Counted back: this step has ${step.fixings.length} kinds of fixings; give a number for each.`)
  const fixings = step.fixings.map((f, i) => ({ ...f, back: back[i]! }))
  work.tx
    .update(openingSteps)
    .set({ state: 'back', fixings, version: step.version + 1 })
    .where(eq(openingSteps.id, stepId))
    .run()
  work.write('opening.back', { step: step.step, what: step.what, missing: fixings.reduce((sum, f) => sum + f.count - f.back, 0) })
}
