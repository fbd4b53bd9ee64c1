import { and, eq } from 'drizzle-orm'
import { InputError } from '#core/kernel/input-error'
import { judgeOffState } from '#core/power/off-state'
import { judgeRails } from '#core/power/rails'
import { gateWords } from '#core/safety/gate'
import { keyOf } from '#core/safety/configuration'
import { hazardKinds, skillToSettle } from '#core/safety/hazards'
import { enteredFactNames, factValue, powerFacts } from '#core/safety/power-facts'
import type { CommandInput } from '#shared/contracts/commands'
import { assemblies, hazards, machines, offReadings, powerAssessments, readings } from '../db/schema'
import { openStart } from './starts'
import { requireSkill } from './skills'
import { basisOf, endOverrule } from './consequences'
import { assess, expectedRailsOf, loadMachine } from './machine-file'
import { NotNow } from './refusals'
import { expectVersion } from './versions'
import type { MachineWork } from './work'

const assessmentOf = ({ tx, machine }: MachineWork) => tx.select().from(powerAssessments).where(eq(powerAssessments.machineId, machine.id)).get()!

/** Keeps what was found of the facts that decide power. */
export function assessPower(work: MachineWork, { version, facts, inspectedBy }: CommandInput<'assess-power'>): void {
  const { tx, machine, write } = work
  const before = assessmentOf(work)
  expectVersion(work, before, version, before.version, ['facts', 'inspectedBy'])
  const changes = enteredFactNames.filter(fact => facts[fact] !== before.facts[fact]).map(fact => ({ fact, to: facts[fact] ?? null }))
  if (!changes.length && inspectedBy === before.inspectedBy) return
  for (const { fact, to } of changes) {
    const value = factValue(fact, to ?? undefined)
    requireSkill(work, value?.takes, `To say “${powerFacts[fact].title}: ${value?.label.toLowerCase()}”`)
  }
  const batteryHasLeaked = before.batteryHasLeaked || facts.battery === 'leaking' || facts.battery === 'residue'
  tx.update(powerAssessments).set({ facts, inspectedBy, batteryHasLeaked, version: before.version + 1 }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('power.assessed', { changes, inspected: inspectedBy !== '' })
}

export function chooseSchool(work: MachineWork, { school }: CommandInput<'choose-school'>): void {
  const { tx, machine, write } = work
  if (assessmentOf(work).school === school) return
  tx.update(powerAssessments).set({ school }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('school.chosen', { school })
}

export function overruleGate(work: MachineWork, { verdict, reason }: CommandInput<'overrule-gate'>): void {
  const { tx, machine, write, person } = work
  const file = loadMachine(tx, machine)
  const { gate } = assess(file, work.now)
  if (gate.verdict === verdict) throw new InputError('verdict', verdict, `Verdict: the gate says ${gateWords[verdict].title} already. Choose another, or leave it.`)
  tx.update(powerAssessments).set({ overruleVerdict: verdict, overruleReason: reason, overruledBy: person.name, overruleBasis: basisOf(gate, file.power.configuration) }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('gate.overruled', { computed: gate.verdict, verdict, reason })
}

export function withdrawOverrule(work: MachineWork): void {
  if (!assessmentOf(work).overruleVerdict) throw new NotNow('The gate is not overruled.')
  endOverrule(work, 'withdrawn')
}

/** Says what of it is connected. What was read in another configuration counts no more. @throws NotNow while a start runs */
export function setConfiguration(work: MachineWork, { version, ...configuration }: CommandInput<'set-configuration'>): void {
  const { tx, machine, write } = work
  const before = assessmentOf(work)
  expectVersion(work, { ...before.configuration }, version, before.version, ['kind', 'out'])
  const known = tx.select({ name: assemblies.name }).from(assemblies).where(eq(assemblies.machineId, machine.id)).all().map(a => a.name)
  const unknown = configuration.out.find(name => !known.includes(name))
  if (unknown) throw new InputError('out', unknown, `What is out: ${machine.tag} has no assembly “${unknown}”.`)
  if (keyOf(configuration) === keyOf(before.configuration)) return
  if (openStart(tx, machine.id)) throw new NotNow('A start is running. End it before anything is plugged in or taken out.')
  tx.update(powerAssessments).set({ configuration, version: before.version + 1 }).where(eq(powerAssessments.machineId, machine.id)).run()
  write('configuration.set', { configuration: { ...configuration, out: [...configuration.out] } })
}

export function expectRails({ tx, machine, write }: MachineWork, { rails }: CommandInput<'expect-rails'>): void {
  judgeRails({ rails: rails.map(rail => ({ ...rail, readings: [] })) })
  tx.update(machines).set({ ownRails: rails }).where(eq(machines.id, machine.id)).run()
  write('rails.expected', { rails })
}

/** Keeps a reading, and in the history the judgement of the moment. */
export function takeReading({ tx, machine, at, now, write }: MachineWork, { rail, valueV, load }: CommandInput<'take-reading'>): void {
  const { configuration } = loadMachine(tx, machine).power
  const { id } = tx.insert(readings).values({ machineId: machine.id, rail, valueV, load, configuration: keyOf(configuration), at }).returning().get()
  const judged = assess(loadMachine(tx, machine), now).rails?.rails.find(r => r.name === rail)
  if (!judged) throw new InputError('rail', rail, `Rail: ${rail} is not expected on ${machine.tag}. Choose one of the list, or add it to the rails expected.`)
  write('reading.taken', { rail, valueV, load, verdict: judged.verdict }, { subject: { table: 'readings', id } })
}

/** Keeps what a rail reads to ground with the power off; the gate looks at it at once. */
export function measureOffState({ tx, machine, at, write }: MachineWork, { rail, reversedOhm, leadsOhm, ...found }: CommandInput<'measure-off-state'>): void {
  const file = loadMachine(tx, machine)
  const expected = expectedRailsOf(file).find(r => r.name === rail)
  if (!expected) throw new InputError('rail', rail, `Rail: ${rail} is not expected on ${machine.tag}. Choose one of the list, or add it to the rails expected.`)
  const reading = { ...found, railV: expected.nominalV, leadsOhm: leadsOhm ?? 0, ...(reversedOhm === undefined ? {} : { reversedOhm }) }
  const { verdict } = judgeOffState(reading)
  const { id } = tx.insert(offReadings).values({ machineId: machine.id, rail, reading, configuration: keyOf(file.power.configuration), at }).returning().get()
  write('off-state.measured', { rail, ohm: reading.ohm, verdict }, { subject: { table: 'off_readings', id } })
}

/** Says what is known of a hazard, and on what evidence. */
export function settleHazard(work: MachineWork, { kind, version, state, evidence }: CommandInput<'settle-hazard'>): void {
  const { tx, machine, at, person, write } = work
  requireSkill(work, skillToSettle(kind, state), `To settle “${hazardKinds[kind].title}”`)
  const before = tx.select().from(hazards).where(and(eq(hazards.machineId, machine.id), eq(hazards.kind, kind))).get()
  expectVersion(work, before ?? {}, version, before?.version ?? 0, ['state', 'evidence'])
  const found = { state, evidence, at, byWhom: person.name, version: version + 1 }
  tx.insert(hazards).values({ machineId: machine.id, kind, ...found }).onConflictDoUpdate({ target: [hazards.machineId, hazards.kind], set: found }).run()
  write('hazard.settled', { kind, state, evidence })
}
