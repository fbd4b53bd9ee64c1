import { dayOf } from '#core/kernel/days'
import { readableRails, startChecksOf } from '#core/power/rules'
import { recordOf } from '../../kernel/assembled'
import { expectedRailsOf, schoolOf, verdictWith } from '../power/index'
import { harvest } from './running'
import { v7 as uuidv7 } from 'uuid'
import { finding } from '#core/kernel/finding'
import { InputError } from '#core/kernel/input-error'
import { type RunDone, hazardsNoticed, noticed } from '#core/power/noticed'
import { fanless } from '#core/power/temperature'
import { configurationWords, keyOf } from '#core/safety/configuration'
import { judgeStarters } from '#core/safety/first-start'
import { gateWords, mayBeStarted } from '#core/safety/gate-words'
import { leavesUnassessed } from '#core/kernel/heard'
import type { CommandInput, MachineCommandName } from '#shared/chapters/index'
import type { StartOutcome } from '#shared/chapters/starts/index'
import { and, desc, eq, isNull } from 'drizzle-orm'
import type { Tx } from '../../kernel/history/journal'
import { NotNow } from '../../kernel/refusals'
import type { MachineWork } from '../../kernel/work'
import { thinned } from '../../kernel/thin'
import { reportFault } from '../faults/index'
import { crewOf } from '../people/index'
import { readings } from '../power/index'
import { practiceOf } from '../practice/index'
import { startRuns, starts } from './schema'

/** A first start is short; what has to be read for longer is started again. Common practice, no source. */
const mostSeconds = 300

/** The start of this machine that runs. */
export const openStart = (tx: Tx, machineId: number) =>
  tx
    .select()
    .from(starts)
    .where(and(eq(starts.machineId, machineId), isNull(starts.endedAt)))
    .orderBy(desc(starts.id))
    .get()

const notWhileOn = 'A start is running. End it before anything is plugged in or taken out.'
const underPower = 'It is being powered just now. Continuity is measured with the power off and the supply unplugged; end the start first.'
/** What is not done to a machine while a start of it runs, and why. */
const waitsForItsEnd: Partial<Record<MachineCommandName, string>> = {
  'set-configuration': notWhileOn,
  'plan-build-up': notWhileOn,
  'change-build-up': notWhileOn,
  'step-build-up': notWhileOn,
  'begin-probe-sheet': underPower,
  'take-probe': underPower,
  'answer-probe': underPower,
  'fit-patch': underPower,
}

/** @throws NotNow for what may not be done while a start runs */
export function refuseWhileRunning({ tx, machine }: MachineWork, command: MachineCommandName): void {
  const why = waitsForItsEnd[command]
  if (why && openStart(tx, machine.id)) throw new NotNow(why)
}

/** Begins an attended start. @throws NotNow while the gate is closed or one runs, InputError for people and checks that will not do */
export function beginStart(work: MachineWork, input: CommandInput<'begin-start'>): { startId: number } {
  const { tx, machine, at, write } = work
  const file = work.file()
  const { gateInForce, gate, facts } = work.assess().known
  if (!mayBeStarted(gateInForce))
    throw new NotNow(
      `The gate says: ${gateWords[gateInForce].title.toLowerCase()}. It may not be started.`,
      gate.findings.filter(f => f.level === 'stop' || leavesUnassessed(f)).map(f => f.says),
    )
  if (openStart(tx, machine.id)) throw new NotNow('A start of this machine is running already. Open it, or end it.')
  const crew = crewOf(tx)
  const [atProbe, atSwitch] = [crew.find(p => p.id === input.atProbe), crew.find(p => p.id === input.atSwitch)]
  if (!atProbe) throw new InputError('atProbe', input.atProbe, 'At the probe: choose somebody of the list.')
  if (!atSwitch) throw new InputError('atSwitch', input.atSwitch, 'At the switch: choose somebody of the list.')
  judgeStarters({ atProbe, atSwitch, facts, configuration: file.power.configuration, crew })
  const checks = startChecksOf(recordOf(file), { facts, gate, gateInForce, school: schoolOf(file) })
  const failed = checks.filter(c => c.known === false)
  if (failed.length)
    throw new NotNow(
      'By the records, this has not been seen to yet.',
      failed.map(c => `${c.do} ${c.why}`),
    )
  const missing = checks.filter(c => c.known === null && !input.checked.includes(c.code))
  if (missing.length) throw new InputError('checked', input.checked, `Not ticked yet: ${missing.map(c => c.do).join(' ')}`)
  if (input.byMeter && !practiceOf(tx).meterHost)
    throw new InputError('byMeter', true, 'Readings: no meter is set up. Type the readings, or set the meter up under Settings.')
  const plan = {
    points: readableRails(expectedRailsOf(file)).rails.map(({ name, nominalV, tolerancePct, point }) => ({
      rail: name,
      nominalV,
      point: point ?? '',
      ...(tolerancePct === undefined ? {} : { tolerancePct }),
    })),
    load: input.load,
    currentLimitA: input.currentLimitA,
    warm: input.warm,
    byMeter: input.byMeter,
    mostSeconds: facts.fan === 'missing' ? fanless.runSeconds : mostSeconds,
  }
  if (!plan.points.length) throw new NotNow('No rail is expected. Say under Prove which rails it has, and where they are measured.')
  const { id } = tx
    .insert(starts)
    .values({
      uid: uuidv7(),
      machineId: machine.id,
      plan,
      configuration: file.power.configuration,
      atProbe: atProbe.name,
      atSwitch: atSwitch.name,
      begunAt: at,
    })
    .returning()
    .get()
  write('start.begun', { atProbe: atProbe.name, atSwitch: atSwitch.name, configuration: configurationWords(file.power.configuration) })
  return { startId: id }
}

/**
 * Ends the start, and keeps every run of it: the readings of each rail that stood still or called it off, what called it off, what was noticed, the trace.
 * Smoke, a smell or a bang becomes a fault too; the register of hazards hears of it by itself. @throws NotNow while it is on
 */
export function endStart(work: MachineWork): void {
  const { tx, machine, now } = work
  const row = openStart(tx, machine.id)
  if (!row) throw new NotNow('No start of this machine is running.')
  const { runs, phase, all } = harvest(row.id, now.getTime())
  if (phase !== 'ready' && phase !== 'off') throw new NotNow('It is still on. Switch it off, and say that it is off; then the start can be ended.')
  for (const { read, ...run } of runs) {
    keepRun(work, row.id, run)
    for (const [rail, valueV] of Object.entries(read)) keepReading(work, row, rail, valueV)
  }
  for (const what of hazardsNoticed(runs))
    reportFault(work, {
      symptom: `${noticed[what].says.replace(/\.$/, '')} at a start on ${dayOf(work.at)}`,
      firstSeen: work.at.slice(0, 10),
      stopsMachine: true,
    })
  const last = runs.at(-1)
  const calledOff = runs.flatMap(r => (r.called ? [r.called.says] : []))
  finish(work, row.id, {
    outcome: last?.called ? 'called-off' : all ? 'all-read' : 'some-read',
    why: [...new Set(calledOff)].join(' '),
    seconds: runs.reduce((sum, r) => sum + r.onSeconds, 0),
    samples: last?.samples ?? [],
    rails: new Set(runs.flatMap(r => Object.keys(r.read))).size,
    runs: runs.length,
  })
}

function keepRun({ tx, machine, at, write }: MachineWork, startId: number, { samples, ...run }: RunDone) {
  tx.insert(startRuns)
    .values({ machineId: machine.id, startId, ...run, samples: thinned(samples), at })
    .run()
  if (run.called || run.noticed.length) write('start.called-off', { why: run.called?.says ?? '', noticed: run.noticed, onSeconds: run.onSeconds })
}

function keepReading(work: MachineWork, row: typeof starts.$inferSelect, rail: string, valueV: number) {
  const { id } = work.tx
    .insert(readings)
    .values({ machineId: work.machine.id, rail, valueV, load: row.plan.load, configuration: keyOf(row.configuration), at: work.at })
    .returning()
    .get()
  // A rail that is not expected any more was read all the same.
  const expected = expectedRailsOf(work.file()).some(r => r.name === rail)
  const verdict = expected ? verdictWith(work.file(), rail, { valueV, load: row.plan.load }) : 'unread'
  work.write('reading.taken', { rail, valueV, load: row.plan.load, verdict }, { subject: { table: 'readings', id } })
}

function finish(
  { tx, at, write }: MachineWork,
  startId: number,
  {
    outcome,
    why,
    seconds,
    samples,
    rails,
    runs,
  }: { outcome: StartOutcome; why: string; seconds: number; samples: (typeof starts.$inferSelect)['samples']; rails: number; runs: number },
) {
  tx.update(starts).set({ endedAt: at, outcome, why, onSeconds: seconds, samples }).where(eq(starts.id, startId)).run()
  write('start.ended', { outcome, why, onSeconds: seconds, rails, ...(runs > 1 ? { runs } : {}) })
}

/** Ends a start that the program did not outlive: what was seen of it is lost, and the history says so. */
export function breakOff(work: MachineWork): void {
  const row = openStart(work.tx, work.machine.id)
  if (!row) return
  // Nobody knows what was noticed: that is an alarm of its own, until somebody says.
  const called = finding(
    'stop',
    'start.broken-off',
    'The program was stopped while it ran; what was seen of it is lost.',
    'Ask those who stood at the machine.',
  )
  work.tx.insert(startRuns).values({ machineId: work.machine.id, startId: row.id, onSeconds: 0, called, at: work.at }).run()
  finish(work, row.id, { outcome: 'broken-off', why: 'The program was stopped while it ran', seconds: 0, samples: [], rails: 0, runs: 0 })
}
