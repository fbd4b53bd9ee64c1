import { InputError } from '#core/kernel/input-error'
import { type BuildUpStep, checkBuildUp, configurationAt, explain, judgeBuildUp, planBuildUp, namesFigure } from '#core/retest/build-up'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, isNull } from 'drizzle-orm'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { reportFault } from '../faults/index'
import { setConfiguration, takeReading, verdictWith } from '../power/index'
import { buildUps, modelProofs } from './schema'

/** More looks at one build-up than this nobody takes. */
const mostLooks = 200

const presentOf = (work: MachineWork) => work.file().assemblies.filter(a => a.presence === 'present')
const words = (steps: readonly { adds: readonly string[] }[]) => steps.map(s => s.adds.join(' with '))

function buildUpOf(work: MachineWork, id: number, version: number) {
  const row = rowOf(work, buildUps, id, 'build-up')
  if (row.endedAt) throw new NotNow('This build-up has ended. Plan another.')
  expectVersion(work, row, version, row.version, ['steps', 'looks'])
  return row
}

/** Says that what this step has in is connected now, so that nobody says it twice; the gate asks about that. */
function connect(work: MachineWork, steps: readonly BuildUpStep[], at: number): void {
  const { version } = work.file().power
  setConfiguration(work, { version, bench: [], ...copy(configurationAt(steps, Math.min(at, steps.length - 1), presentOf(work))) })
}
const copy = ({ kind, out }: ReturnType<typeof configurationAt>) => ({ kind, out: [...out] })

/** Plans the steps, least first, and sets the first one up. @throws NotNow where one goes on already */
export function planBuildUpNow(work: MachineWork): { buildUpId: number } {
  const { tx, machine, at } = work
  if (
    tx
      .select()
      .from(buildUps)
      .where(and(eq(buildUps.machineId, machine.id), isNull(buildUps.endedAt)))
      .get()
  )
    throw new NotNow('A build-up goes on already. End it first.')
  const template = machine.modelId === null ? undefined : tx.select().from(modelProofs).where(eq(modelProofs.modelId, machine.modelId)).get()
  const steps = planBuildUp(presentOf(work), template?.buildUp)
  const { id } = tx.insert(buildUps).values({ machineId: machine.id, steps, startedAt: at }).returning({ id: buildUps.id }).get()
  work.write('build-up.planned', { steps: words(steps) })
  connect(work, steps, 0)
  return { buildUpId: id }
}

/** Changes the steps that are still to come; what has been done stays as it was done. With the model they are kept for its other machines. */
export function changeBuildUp(work: MachineWork, { buildUpId, version, steps: typed, withModel }: CommandInput<'change-build-up'>): void {
  const row = buildUpOf(work, buildUpId, version)
  checkBuildUp(
    typed,
    presentOf(work).map(a => a.name),
  )
  const done = row.looks.length ? Math.max(...row.looks.map(l => l.step)) + 1 : 0
  const moved = row.steps.slice(0, done).findIndex((step, i) => JSON.stringify(step.adds) !== JSON.stringify(typed[i]?.adds))
  if (moved >= 0) throw new InputError(`steps.${moved}.adds`, typed[moved]?.adds, `Step ${moved + 1} has been looked at already; it stays as it was done.`)
  const steps = explain(typed, presentOf(work))
  const { tx, machine } = work
  tx.update(buildUps)
    .set({ steps, version: row.version + 1 })
    .where(eq(buildUps.id, buildUpId))
    .run()
  if (withModel && machine.modelId !== null)
    tx.insert(modelProofs)
      .values({ modelId: machine.modelId, buildUp: steps })
      .onConflictDoUpdate({ target: modelProofs.modelId, set: { buildUp: steps } })
      .run()
  work.write('build-up.changed', { steps: words(steps) })
  const { at, verdict } = judgeBuildUp(steps, row.looks)
  if (verdict !== 'done') connect(work, steps, at)
}

/** How a step came out, with what was read on its rails; whatever is set up next is connected from then on. @throws NotNow while it is kept off */
export function stepBuildUp(work: MachineWork, { buildUpId, version, step, outcome, seen, readings, sure }: CommandInput<'step-build-up'>): void {
  const row = buildUpOf(work, buildUpId, version)
  const { at: due } = judgeBuildUp(row.steps, row.looks)
  if (step !== due) throw new InputError('step', step, `Step ${due + 1} is set up, not step ${step + 1}.`)
  if (row.looks.length >= mostLooks) throw new NotNow(`A build-up takes up to ${mostLooks} looks. End it, and plan another.`)
  if (outcome === 'as-expected') {
    const { gateInForce, gate } = work.assess().known
    if (gateInForce === 'keep-off' || gateInForce === 'not-yet-assessed')
      throw new NotNow(
        'As it is connected now the gate does not let it be started, so nobody can have seen it run.',
        gate.findings.filter(f => f.level !== 'fine' && f.level !== 'note').map(f => f.says),
      )
  }
  const { expect = '' } = row.steps[step] ?? {}
  if (outcome === 'as-expected' && namesFigure(expect) && !readings.length && !/\d/.test(seen))
    throw new InputError('seen', seen, `What was seen: “${expect}” names a figure. Say the one that was read.`)
  readings.forEach(({ rail, valueV }, i) => {
    if (outcome === 'as-expected' && verdictWith(work.file(), rail, { valueV, load: 'loaded' }) === 'out')
      throw new InputError(`readings.${i}.valueV`, valueV, `${rail} at ${valueV} V is out of its limits: that is not as expected.`)
    takeReading(work, { rail, valueV, load: 'loaded', sure })
  })
  const looks = [...row.looks, { step, outcome, seen, at: work.at, by: work.person.name }]
  work.tx
    .update(buildUps)
    .set({ looks, version: row.version + 1 })
    .where(eq(buildUps.id, buildUpId))
    .run()
  work.write('build-up.stepped', { step: step + 1, adds: row.steps[step]!.adds.join(', '), outcome, seen })
  const { at, verdict } = judgeBuildUp(row.steps, looks)
  if (verdict !== 'done') connect(work, row.steps, at)
}

/** Ends it; what failed last becomes a fault, so that ending it hides nothing. */
export function endBuildUp(work: MachineWork, { buildUpId, version, note }: CommandInput<'end-build-up'>): void {
  const row = buildUpOf(work, buildUpId, version)
  const { verdict, failing } = judgeBuildUp(row.steps, row.looks)
  if (verdict !== 'done' && note.length < 5) throw new InputError('note', note, 'Why it ends: it is not done. Say why it is given up.')
  work.tx
    .update(buildUps)
    .set({ endedAt: work.at, version: row.version + 1 })
    .where(eq(buildUps.id, buildUpId))
    .run()
  work.write('build-up.ended', { verdict, note })
  const last = row.looks.at(-1)
  if (failing && last)
    reportFault(work, {
      symptom: `Building it up with ${row.steps[last.step]!.adds.join(', ')}: ${last.seen}`.slice(0, 200),
      firstSeen: '',
      stopsMachine: true,
    })
}
