import { InputError } from '#core/kernel/input-error'
import { type Battery, foundStates, hasLeaked } from '#core/power/battery'
import { batteryRule, checkHomeStep } from '#core/power/battery-home'
import { inletName } from '#core/power/bench'
import { judgeOffState } from '#core/power/off-state'
import { overvoltages } from '#core/power/alarms'
import { type RailReading, type RailVerdict, judgeRails, shownRail, volts } from '#core/power/rails'
import { batteriesOf, readHere, readableRails } from '#core/power/rules'
import { basisOf } from '#core/safety/overrule'
import { labelWords, matchSupply } from '#core/power/supply-match'
import { judgeTemperature } from '#core/power/temperature'
import { keyOf } from '#core/safety/configuration'
import { gateWords } from '#core/safety/gate-words'
import { hazardKinds, skillToSettle } from '#core/safety/hazards'
import { whoCould } from '#core/kernel/skills'
import { enteredFactNames, factValue, powerFacts } from '#core/safety/power-facts'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, isNull } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines, sayings } from '../../kernel/trunk'
import { gateAsItStood } from '../../kernel/settling/as-it-stood'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { assemblies, lookedAtElsewhere } from '../look/index'
import { crewOf, requireSkill } from '../people/index'
import { practiceOf } from '../practice/index'
import type { MachineFile } from '../../kernel/file'
import { supplies } from '../supplies/index'
import { expectedRailsOf, inletOf } from './facts'
import { batteries, explanations, hazards, offReadings, powerAssessments, readings, temperatures } from './schema'

const assessmentOf = ({ tx, machine }: MachineWork) => tx.select().from(powerAssessments).where(eq(powerAssessments.machineId, machine.id)).get()!

/** Keeps what was found of the facts that decide power. */
export function assessPower(work: MachineWork, { version, facts, inspectedById }: CommandInput<'assess-power'>): void {
  const { tx, machine, at, write } = work
  const before = assessmentOf(work)
  expectVersion(work, before, version, before.version, ['facts', 'inspectedById'])
  const changes = enteredFactNames.filter(fact => facts[fact] !== before.facts[fact]).map(fact => ({ fact, to: facts[fact] ?? null }))
  if (!changes.length && inspectedById === before.inspectedById) return
  const inspectedBy = inspectorOf(work, inspectedById)
  for (const { fact, to } of changes) {
    const value = factValue(fact, to ?? undefined)
    requireSkill(work, value?.takes, `To say “${powerFacts[fact].title}: ${value?.label.toLowerCase()}”`)
  }
  const batteryHasLeaked = before.batteryHasLeaked || facts.battery === 'leaking' || facts.battery === 'residue'
  tx.update(powerAssessments)
    .set({
      facts,
      answeredAt: { ...before.answeredAt, ...Object.fromEntries(changes.map(({ fact }) => [fact, at])) },
      inspectedById,
      inspectedBy,
      batteryHasLeaked,
      version: before.version + 1,
    })
    .where(eq(powerAssessments.machineId, machine.id))
    .run()
  write('power.assessed', { changes, inspected: inspectedBy !== '' })
}

/** The name of whoever signs for the inspection. @throws InputError for somebody without leave to inspect */
function inspectorOf({ tx }: MachineWork, id: number | null): string {
  if (id === null) return ''
  const crew = crewOf(tx)
  const one = crew.find(p => p.id === id)
  if (!one) throw new InputError('inspectedById', id, 'Inspected by: choose somebody of the list.')
  if (!one.skills.includes('inspection'))
    throw new InputError('inspectedById', id, `Inspected by: ${one.name} has no leave to inspect. ${whoCould('inspection', crew)}`)
  return one.name
}

export function chooseSchool(work: MachineWork, { school }: CommandInput<'choose-school'>): void {
  const { tx, machine, write } = work
  if (assessmentOf(work).school === school) return
  tx.update(powerAssessments).set({ school }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('school.chosen', { school })
}

export function overruleGate(work: MachineWork, { verdict, reason }: CommandInput<'overrule-gate'>): void {
  const { tx, machine, write, person } = work
  const { gate } = work.assess().known
  if (gate.verdict === verdict)
    throw new InputError('verdict', verdict, `Verdict: the gate says ${gateWords[verdict].title} already. Choose another, or leave it.`)
  const overruleBasis = basisOf(gate, work.file().power.configuration)
  tx.update(powerAssessments)
    .set({ overruleVerdict: verdict, overruleReason: reason, overruledBy: person.name, overruleBasis })
    .where(eq(powerAssessments.machineId, machine.id))
    .run()
  write('gate.overruled', { computed: gate.verdict, verdict, reason })
}

export function withdrawOverrule(work: MachineWork): void {
  if (!assessmentOf(work).overruleVerdict) throw new NotNow('The gate is not overruled.')
  endOverrule(work, 'withdrawn')
}

/** Says what of it is connected. What was read in another configuration counts no more. @throws NotNow while a start runs */
export function setConfiguration(work: MachineWork, { version, bench: outputs, ...configuration }: CommandInput<'set-configuration'>): void {
  const { tx, machine, write } = work
  const before = assessmentOf(work)
  expectVersion(work, { ...before.configuration, bench: before.bench }, version, before.version, ['kind', 'out', 'bench'])
  const known = tx
    .select({ name: assemblies.name })
    .from(assemblies)
    .where(eq(assemblies.machineId, machine.id))
    .all()
    .map(a => a.name)
  const unknown = configuration.out.find(name => !known.includes(name))
  if (unknown) throw new InputError('out', unknown, `What is out: ${machine.tag} has no assembly “${unknown}”.`)
  const bench = configuration.kind === 'bench-supply' ? outputs : []
  const feeds = [inletName, ...readableRails(expectedRailsOf(work.file())).rails.map(r => r.name)]
  bench.forEach((output, i) => {
    if (!feeds.includes(output.feeds))
      throw new InputError(`bench.${i}.feeds`, output.feeds, `Feeds: ${output.feeds} is no rail that is expected here, and not the inlet.`)
  })
  if (keyOf(configuration) === keyOf(before.configuration) && JSON.stringify(bench) === JSON.stringify(before.bench)) return
  tx.update(powerAssessments)
    .set({ configuration, bench, version: before.version + 1 })
    .where(eq(powerAssessments.machineId, machine.id))
    .run()
  write('configuration.set', { configuration: { ...configuration, out: [...configuration.out] }, bench })
}

export function expectRails({ tx, machine, write }: MachineWork, { rails }: CommandInput<'expect-rails'>): void {
  judgeRails({ rails: rails.map(rail => ({ ...rail, readings: [] })) })
  tx.update(machines).set({ ownRails: rails }).where(eq(machines.id, machine.id)).run()
  write('rails.expected', { rails })
}

/** The expected rail of this name. @throws InputError where it is not expected, or cannot be judged as the record stands */
function railOf(file: MachineFile, name: string) {
  const rail = readableRails(expectedRailsOf(file)).rails.find(r => r.name === name)
  if (rail) return rail
  throw new InputError('rail', name, `Rail: ${name} is not expected on ${file.machine.tag}. Choose one of the list, or add it to the rails expected.`)
}

/** What a rail reads with one more reading beside those of this configuration. @throws InputError where the rail is not expected */
export function verdictWith(file: MachineFile, name: string, reading: RailReading): RailVerdict {
  const rail = railOf(file, name)
  const readings = [...readHere(file.power.configuration, file.readings).filter(r => r.rail === name), reading]
  return judgeRails({ rails: [{ ...rail, readings }] }).rails[0]!.verdict
}

/**
 * What harms, and what should not have been on at all, is asked about once before it is kept: mostly it belongs to another rail.
 * @throws InputError at `sure`
 */
function expectMeant(file: MachineFile, { keptOff, ...reading }: RailReading & { rail: string; keptOff: boolean; at: string }): void {
  const { rail, valueV } = reading
  const [alarm] = overvoltages([railOf(file, rail)], [reading])
  const other = readableRails(expectedRailsOf(file)).rails.find(r => r.name !== rail && Math.abs(valueV - r.nominalV) <= Math.abs(r.nominalV) * 0.1)
  if (alarm)
    throw new InputError(
      'sure',
      valueV,
      `${volts(valueV)} on ${shownRail(rail)} may have harmed what it feeds.${other ? ` It would be right for ${shownRail(other.name)}.` : ''} Is it the right rail, and the right figure?`,
    )
  if (keptOff) throw new InputError('sure', valueV, 'This machine is to be kept off. Was it on? Then save it: the history and the label will say so.')
}

/** Keeps a reading, and in the history the judgement of the moment. */
export function takeReading(work: MachineWork, { rail, valueV, load, sure }: CommandInput<'take-reading'>): void {
  const { tx, machine, at, write } = work
  const keptOff = gateAsItStood(work) === 'keep-off'
  if (!sure) expectMeant(work.file(), { rail, valueV, load, keptOff, at })
  const verdict = verdictWith(work.file(), rail, { valueV, load })
  const configuration = keyOf(work.file().power.configuration)
  const { id } = tx.insert(readings).values({ machineId: machine.id, rail, valueV, load, configuration, keptOff, at }).returning().get()
  write('reading.taken', { rail, valueV, load, verdict, ...(keptOff ? { keptOff } : {}) }, { subject: { table: 'readings', id } })
}

/** Keeps what a rail reads to ground with the power off; the gate looks at it at once. */
export function measureOffState(work: MachineWork, { rail, reversedOhm, leadsOhm, ...found }: CommandInput<'measure-off-state'>): void {
  const { tx, machine, at, write } = work
  const { nominalV } = railOf(work.file(), rail)
  const reading = { ...found, railV: nominalV, leadsOhm: leadsOhm ?? 0, ...(reversedOhm === undefined ? {} : { reversedOhm }) }
  const { verdict } = judgeOffState(reading)
  const configuration = keyOf(work.file().power.configuration)
  const { id } = tx.insert(offReadings).values({ machineId: machine.id, rail, reading, configuration, at }).returning().get()
  write('off-state.measured', { rail, ohm: reading.ohm, verdict }, { subject: { table: 'off_readings', id } })
}

/** Says what a sentence was that sounded like a danger. That it was none takes the leave that ruling the danger out takes. */
export function settleSaying(work: MachineWork, { sayingId, is, found }: CommandInput<'settle-saying'>): void {
  const { tx, person, write } = work
  const saying = rowOf(work, sayings, sayingId, 'sentence')
  const { kind, sentence } = saying
  if (!is) requireSkill(work, skillToSettle(kind, 'ruled-out'), `To rule out “${hazardKinds[kind].title}”`)
  tx.update(sayings)
    .set({ state: is ? 'yes' : 'no', found, foundBy: person.name })
    .where(eq(sayings.id, sayingId))
    .run()
  write('saying.settled', { kind, sentence, is, found })
}

/** Says what is known of a hazard, and on what evidence. */
export function settleHazard(work: MachineWork, { kind, version, state, evidence }: CommandInput<'settle-hazard'>): void {
  const { tx, machine, at, person, write } = work
  requireSkill(work, skillToSettle(kind, state), `To settle “${hazardKinds[kind].title}”`)
  const before = tx
    .select()
    .from(hazards)
    .where(and(eq(hazards.machineId, machine.id), eq(hazards.kind, kind)))
    .get()
  expectVersion(work, before ?? {}, version, before?.version ?? 0, ['state', 'evidence'])
  const found = { state, evidence, at, byWhom: person.name, version: version + 1 }
  tx.insert(hazards)
    .values({ machineId: machine.id, kind, ...found })
    .onConflictDoUpdate({ target: [hazards.machineId, hazards.kind], set: found })
    .run()
  write('hazard.settled', { kind, state, evidence })
}

/** Refuses what the core cannot judge. @throws InputError as the core does */
const checkBattery = (work: MachineWork, battery: Battery) => void batteriesOf([battery], practiceOf(work.tx).batterySchool, work.at)

/** Its sisters are warned once a battery was found leaking, whatever is cleaned later. */
function remember({ tx, machine }: MachineWork, state: Battery['state']) {
  if (hasLeaked(state)) tx.update(powerAssessments).set({ batteryHasLeaked: true }).where(eq(powerAssessments.machineId, machine.id)).run()
}

export function recordBattery(work: MachineWork, found: CommandInput<'record-battery'>): void {
  if (!(foundStates as readonly string[]).includes(found.state))
    throw new InputError('state', found.state, 'State: say what was found. What is done about it afterwards goes step by step.')
  checkBattery(work, found)
  if (
    work.tx
      .select()
      .from(batteries)
      .where(and(eq(batteries.machineId, work.machine.id), eq(batteries.where, found.where), isNull(batteries.struckBy)))
      .get()
  )
    throw new InputError('where', found.where, 'Where: a battery is on record there already. Change that one, or say where this one is.')
  const { id } = work.tx
    .insert(batteries)
    .values({ machineId: work.machine.id, at: work.at, ...found })
    .returning()
    .get()
  remember(work, found.state)
  work.write('battery.recorded', found, { subject: { table: 'batteries', id } })
}

export function changeBattery(work: MachineWork, { batteryId, version, replacement, ...found }: CommandInput<'change-battery'>): void {
  const { tx, at, write } = work
  const before = rowOf(work, batteries, batteryId, 'battery')
  expectVersion(work, before, version, before.version, [...Object.keys(found), 'replacement'])
  if (replacement && found.fitted) throw new InputError('fitted', found.fitted, 'It is still in: take the old one out before another is fitted.')
  refuseShortcut(before.state, found.state)
  checkBattery(work, { ...found, replacement })
  tx.update(batteries)
    .set({ ...found, replacement, at, version: before.version + 1 })
    .where(eq(batteries.id, batteryId))
    .run()
  remember(work, found.state)
  const was = {
    where: before.where,
    chemistry: before.chemistry,
    cells: before.cells,
    year: before.year,
    state: before.state,
    fitted: before.fitted,
    charging: before.charging,
  }
  // What was fitted in its place may have been taken out again; the gate hears of that, so the history does.
  const takenOut = before.replacement !== null && !replacement
  if (takenOut || JSON.stringify(was) !== JSON.stringify({ ...was, ...found })) write('battery.changed', found)
  if (replacement && JSON.stringify(replacement) !== JSON.stringify(before.replacement)) write('battery.replaced', { where: found.where, ...replacement })
}

/** What has leaked comes clean step by step, or its record is struck; nobody changes it to clean. @throws InputError */
function refuseShortcut(from: Battery['state'], to: Battery['state']) {
  const found = (foundStates as readonly string[]).includes(to)
  if (from === to || (found && !hasLeaked(from))) return
  if (found && hasLeaked(to)) return
  throw new InputError(
    'state',
    to,
    hasLeaked(from)
      ? 'State: it has leaked. Take it through the clean-up steps below; a record made by mistake is struck in the history.'
      : 'State: say what was found.',
  )
}

/** One step of the way home of a battery that has leaked. @throws InputError for a step out of turn, or places that nobody has looked at */
export function stepBattery(work: MachineWork, { batteryId, version, step, lookedAt }: CommandInput<'step-battery'>): void {
  const { tx, at, write } = work
  const before = rowOf(work, batteries, batteryId, 'battery')
  expectVersion(work, before, version, before.version, ['state'])
  checkHomeStep(before, step, lookedAt)
  tx.update(batteries)
    .set({ state: step, at, version: before.version + 1 })
    .where(eq(batteries.id, batteryId))
    .run()
  write('battery.stepped', { where: before.where, step })
  lookedAtElsewhere(work, { rule: batteryRule, places: lookedAt, note: `Battery ${before.where}: the place counts as clean` })
}

/** Says what an alarm was and what was done about it; what was measured until now counts as explained. @throws NotNow where none of that name stands */
export function explainAlarm(work: MachineWork, { alarm, says }: CommandInput<'explain-alarm'>): void {
  const { tx, machine, at, person, write } = work
  const one = work.assess().known.alarms.find(a => a.key === alarm)
  if (!one) throw new NotNow('No such alarm stands any more. Somebody may have explained it.')
  const { id } = tx.insert(explanations).values({ machineId: machine.id, alarm, says, at, byWhom: person.name }).returning().get()
  write('alarm.explained', { alarm: one.finding.says, says }, { subject: { table: 'explanations', id } })
}

function keep({ tx, machine, at, person, write }: MachineWork, { part, where, samples }: CommandInput<'import-temperatures'>) {
  const judged = judgeTemperature({ part, samples })
  const { lastC, highestC, climbKPerMin } = judged
  const { id } = tx
    .insert(temperatures)
    .values({ machineId: machine.id, part, where, samples, lastC, highestC, climbKPerMin, at, byWhom: person.name })
    .returning()
    .get()
  write(
    'temperature.taken',
    { part, where, celsius: judged.highestC, readings: samples.length, says: judged.findings[0]!.says },
    { subject: { table: 'temperatures', id } },
  )
}

export const takeTemperature = (work: MachineWork, { celsius, ...where }: CommandInput<'take-temperature'>): void =>
  keep(work, { ...where, samples: [{ atSeconds: 0, celsius }] })
export const importTemperatures = (work: MachineWork, log: CommandInput<'import-temperatures'>): void => keep(work, log)

export function expectInlet({ tx, machine, write }: MachineWork, { inlet }: CommandInput<'expect-inlet'>): void {
  tx.update(machines).set({ ownInlet: inlet }).where(eq(machines.id, machine.id)).run()
  write('inlet.expected', { says: inlet ? labelWords(inlet) : 'what its model says' })
}

/** Says from which supply it runs. @throws NotNow for one that would harm it, with the reasons */
export function assignSupply(work: MachineWork, { supplyId }: CommandInput<'assign-supply'>): void {
  const { tx, machine, write } = work
  const supply =
    supplyId === null
      ? null
      : tx
          .select()
          .from(supplies)
          .where(and(eq(supplies.id, supplyId), eq(supplies.active, true)))
          .get()
  if (supply === undefined) throw new NotFound('There is no such supply.')
  const inlet = inletOf(work.file())
  if (supply && !inlet) throw new NotNow('It is not known what its inlet needs. Say that first.')
  const match = supply && matchSupply({ needs: inlet!, supply: supply.label })
  if (match?.suits === 'no')
    throw new NotNow(
      `${supply!.name} does not suit ${machine.tag}.`,
      match.findings.filter(f => f.level === 'stop').map(f => f.says),
    )
  tx.update(powerAssessments).set({ supplyId }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('supply.assigned', { name: supply?.name ?? '', says: supply ? labelWords(supply.label) : '' })
}

export function endOverrule({ tx, machine, write }: MachineWork, why: string): void {
  tx.update(powerAssessments)
    .set({ overruleVerdict: null, overruleReason: '', overruledBy: '', overruleBasis: '' })
    .where(eq(powerAssessments.machineId, machine.id))
    .run()
  write('gate.overrule-ended', { why })
}
