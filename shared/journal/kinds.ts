import { z } from 'zod'
import { damageKinds, severityNames } from '#core/condition/damage'
import { grades, presenceNames } from '#core/condition/grades'
import { type InterventionKind, type InterventionState, interventionKinds, interventionStateNames } from '#core/condition/interventions'
import { type Path, paths } from '#core/condition/triage'
import { lifeNames, stageNames } from '#core/planning/stages'
import { type BatteryState, type Chemistry, type Replacement, batteryStateNames, chemistries, replacements } from '#core/power/battery'
import { type OffVerdict, offVerdictWords } from '#core/power/off-state'
import { type RailVerdict, loadWords, railVerdictWords, volts } from '#core/power/rails'
import { type WarmPart, warmParts } from '#core/power/temperature'
import { configurationWords } from '#core/safety/configuration'
import { gateWords } from '#core/safety/gate'
import { type HazardKind, type HazardState, hazardKinds, hazardStateNames } from '#core/safety/hazards'
import { type PowerFactName, factValue, powerFacts, schoolNames } from '#core/safety/power-facts'
import { type Skill, skills } from '#core/safety/skills'
import { type WorkAsked, money, worksAsked } from '#core/stewardship/consent'
import { ConfigurationShape } from '../contracts/power'
import { type Acquisition, type CheckOutcome, type ClaimVerdict, type PartOutcome, type Role, type StartOutcome, acquisitionNames, checkOutcomeNames, claimVerdictNames, partOutcomeNames, roleNames, startOutcomeNames } from '../contracts/vocabulary'

/**
 * Every kind of entry in the history, and the one sentence it reads as: on screen, in print, in exports.
 * `open` entries may be shown to anybody on a passport; the others name donors, owners, places, people or trust.
 * `strikeable` entries are observations that a correction can take back.
 */
interface Kind<D> { data: z.ZodType<D>, reads: (d: D) => string, open: boolean, strikeable: boolean }

const kind = <D>(data: z.ZodType<D>, reads: (d: D) => string, { open = true, strikeable = false } = {}): Kind<D> => ({ data, reads, open, strikeable })
const closed = { open: false }
const observed = { strikeable: true }

const s = z.string()
const n = z.number()
const b = z.boolean()
const word = <T extends string>() => z.string() as unknown as z.ZodType<T>
const quote = (text: string) => `“${text}”`
const ending = (text: string) => (/[.?…]$/.test(text) ? text : `${text}.`)

export const journalKinds = {
  'machine.booked-in': kind(z.object({ tag: s, name: s, maker: s }), d => `Booked in as ${d.tag}: ${d.name}${d.maker && ` by ${d.maker}`}.`),
  'provenance.recorded': kind(z.object({ acquired: word<Acquisition>(), fromWhom: s, owner: s }), d => `${acquisitionNames[d.acquired]}, from ${d.fromWhom}${d.owner && `; it belongs to ${d.owner}`}.`, closed),
  'identity.corrected': kind(z.object({ changes: z.array(z.object({ field: s, from: s, to: s })) }), d => `Identity corrected: ${d.changes.map(c => `${c.field} ${quote(c.from || 'nothing')} to ${quote(c.to || 'nothing')}`).join('; ')}.`, closed),
  'claim.recorded': kind(z.object({ says: s, byWhom: s }), d => `Claimed${d.byWhom && ` by ${d.byWhom}`}: ${quote(d.says)}`, { open: false, strikeable: true }),
  'claim.judged': kind(z.object({ says: s, verdict: word<ClaimVerdict>(), because: s }), d => `Claim ${quote(d.says)}: ${claimVerdictNames[d.verdict].toLowerCase()}. ${ending(d.because)}`, closed),
  'last-powered.recorded': kind(z.object({ when: s, byWhom: s, what: s }), d => `Last powered ${d.when || 'at a time nobody knows'}${d.byWhom && ` by ${d.byWhom}`}${d.what && `: ${ending(d.what)}`}`, closed),
  'accessory.noted': kind(z.object({ name: s }), d => `Came with it: ${ending(d.name)}`, observed),
  'date-code.read': kind(z.object({ part: s, code: s, reworked: b.default(false), socketed: b.default(false), says: s }), d => `Date code ${d.code}${d.part && ` on ${d.part}`}${d.reworked ? ', reworked' : ''}${d.socketed ? ', in a socket' : ''}: ${d.says}.`, observed),
  'stage.moved': kind(z.object({ from: word<keyof typeof stageNames>(), to: word<keyof typeof stageNames>() }), d => `Moved from ${stageNames[d.from]} to ${stageNames[d.to]}.`),
  'bench.changed': kind(z.object({ onBench: b }), d => (d.onBench ? 'Put on the bench.' : 'Taken off the bench.')),

  'assembly.added': kind(z.object({ name: s }), d => `Assembly added: ${d.name}.`),
  'assembly.graded': kind(z.object({ name: s, presence: word<keyof typeof presenceNames>(), grade: n.nullable(), note: s }), d => `${d.name}: ${d.grade === null ? presenceNames[d.presence].toLowerCase() : `grade ${d.grade}, ${grades[d.grade as 0]?.title.toLowerCase()}`}. ${d.note && ending(d.note)}`.trim()),
  'damage.recorded': kind(z.object({ assembly: s, kind: word<keyof typeof damageKinds>(), where: s, extent: s, severity: word<keyof typeof severityNames>() }), d => `${severityNames[d.severity]} ${damageKinds[d.kind].toLowerCase()}${d.assembly && ` on ${d.assembly.toLowerCase()}`}, ${d.where}${d.extent && `, ${d.extent}`}.`, observed),

  'damage.changed': kind(z.object({ assembly: s, kind: word<keyof typeof damageKinds>(), where: s, extent: s, severity: word<keyof typeof severityNames>() }), d => `Damage now reads: ${severityNames[d.severity].toLowerCase()} ${damageKinds[d.kind].toLowerCase()}${d.assembly && ` on ${d.assembly.toLowerCase()}`}, ${d.where}${d.extent && `, ${d.extent}`}.`),
  'check.settled': kind(z.object({ says: s, outcome: word<CheckOutcome>(), note: s }), d => `${ending(d.says)} ${checkOutcomeNames[d.outcome]}${d.note && `: ${d.note}`}.`, observed),
  'photograph.added': kind(z.object({ name: s, assembly: s, caption: s, hash: s }), d => `Photograph added${d.assembly && ` of ${d.assembly.toLowerCase()}`}: ${ending(d.caption || d.name)}`, observed),
  'photograph.described': kind(z.object({ assembly: s, caption: s }), d => `Photograph${d.assembly && ` of ${d.assembly.toLowerCase()}`} now reads: ${ending(d.caption || 'no caption')}`),
  'scale.set': kind(z.object({ photograph: s, distanceMm: n.nullable() }), d => (d.distanceMm === null ? `Scale taken off photograph ${quote(d.photograph)}.` : `Scale set on photograph ${quote(d.photograph)}, from ${d.distanceMm} mm.`)),
  'corrosion.measured': kind(z.object({ what: s, areaPct: n, errorPct: n, rating: n, rustDegree: n.nullable() }), d => `Corrosion measured, ${d.what}: ${d.areaPct.toFixed(1)} % ± ${d.errorPct.toFixed(1)}, rating ${d.rating} of 10${d.rustDegree === null ? '' : `, Ri ${d.rustDegree}`}.`, observed),
  'opening.step': kind(z.object({ step: n, what: s, fixings: z.array(s) }), d => `Opened, step ${d.step}: ${d.what}${d.fixings.length ? ` (${d.fixings.join('; ')})` : ''}.`),
  'opening.reused': kind(z.object({ fromTag: s, steps: n }), d => `Opening record of ${d.fromTag} taken over: ${d.steps} steps ahead.`),
  'opening.back': kind(z.object({ step: n, what: s, missing: n }), d => `Put back, step ${d.step}: ${d.what}${d.missing > 0 ? `; ${d.missing} missing` : d.missing < 0 ? `; ${-d.missing} too many` : ''}.`),
  'intervention.logged': kind(z.object({ kind: word<InterventionKind>(), assembly: s, where: s, note: s, understood: b }), d => `Somebody was here before: ${interventionKinds[d.kind].toLowerCase()}${d.assembly && ` on ${d.assembly.toLowerCase()}`}, ${d.where}${d.note && `, ${d.note}`}; ${d.understood ? 'understood' : 'not understood yet'}.`, observed),
  'intervention.settled': kind(z.object({ kind: word<InterventionKind>(), where: s, state: word<InterventionState>(), note: s }), d => `${interventionKinds[d.kind]}, ${d.where}: ${interventionStateNames[d.state].toLowerCase()}. ${ending(d.note)}`),
  'machine.appraised': kind(z.object({ hoursLow: n, hoursHigh: n, costLow: n, costHigh: n, currency: s }), d => `Appraised: ${d.hoursLow} to ${d.hoursHigh} hours, ${money(d.costLow, d.currency)} to ${money(d.costHigh, d.currency)}.`, closed),
  'path.chosen': kind(z.object({ path: word<Path>(), reason: s }), d => `Path chosen: ${paths[d.path].title.toLowerCase()}. ${ending(d.reason)}`, closed),
  'consent.recorded': kind(z.object({ agreedWith: s, agreedOn: s, allowed: z.array(word<WorkAsked>()), upTo: n, currency: s, mustAsk: s }), d => `Agreed with ${d.agreedWith}${d.agreedOn && ` on ${d.agreedOn}`}: ${d.allowed.map(w => worksAsked[w].toLowerCase()).join(', ') || 'nothing yet'}; up to ${money(d.upTo, d.currency)}${d.mustAsk && `; to be asked: ${d.mustAsk}`}.`, closed),
  'money.spent': kind(z.object({ what: s, amount: n, currency: s }), d => `Spent ${money(d.amount, d.currency)}: ${ending(d.what)}`, { open: false, strikeable: true }),
  'owner.written-to': kind(z.object({ owner: s, questions: z.array(s) }), d => `Letter to ${d.owner}: ${d.questions.map(ending).join(' ')}`, closed),

  'power.assessed': kind(z.object({ changes: z.array(z.object({ fact: word<PowerFactName>(), to: s.nullable() })), inspected: b }), d => `${d.inspected ? 'Inspected for power' : 'Facts for power noted'}. ${d.changes.map(c => `${powerFacts[c.fact].title}: ${factValue(c.fact, c.to ?? undefined)?.label.toLowerCase() ?? 'not looked at'}`).join('; ')}${d.changes.length ? '.' : 'Nothing changed.'}`),
  'school.chosen': kind(z.object({ school: word<keyof typeof schoolNames>().nullable() }), d => (d.school ? `For this machine: ${schoolNames[d.school].title.toLowerCase()}.` : 'For this machine: the school of the collection.')),
  'hazard.settled': kind(z.object({ kind: word<HazardKind>(), state: word<HazardState>(), evidence: s }), d => `Hazard, ${hazardKinds[d.kind].title.toLowerCase()}: ${hazardStateNames[d.state].toLowerCase()}. ${ending(d.evidence)}`),
  'gate.changed': kind(z.object({ from: word<keyof typeof gateWords>(), to: word<keyof typeof gateWords>(), why: s }), d => `The gate went from ${gateWords[d.from].title} to ${gateWords[d.to].title}${d.why && `: ${ending(d.why)}`}`),
  'configuration.set': kind(z.object({ configuration: ConfigurationShape }), d => `What is connected: ${ending(configurationWords(d.configuration))}`),
  'battery.recorded': kind(z.object({ where: s, chemistry: word<Chemistry>(), state: word<BatteryState>(), fitted: b }), d => `Battery, ${d.where}, ${chemistries[d.chemistry].title.toLowerCase()}: ${batteryStateNames[d.state].toLowerCase()}, ${d.fitted ? 'still in' : 'out'}.`, observed),
  'battery.changed': kind(z.object({ where: s, state: word<BatteryState>(), fitted: b }), d => `Battery, ${d.where}: now ${batteryStateNames[d.state].toLowerCase()}, ${d.fitted ? 'still in' : 'out'}.`),
  'battery.replaced': kind(z.object({ where: s, how: word<Replacement>(), chemistry: word<Chemistry>(), diode: b }), d => `In place of the battery, ${d.where}: ${replacements[d.how].title.toLowerCase()}${d.how === 'none' ? '' : `, ${chemistries[d.chemistry].title.toLowerCase()}${d.diode ? ' behind a diode' : ''}`}.`),
  'inlet.expected': kind(z.object({ says: s }), d => `Its inlet wants ${ending(d.says)}`),
  'supply.assigned': kind(z.object({ name: s, says: s }), d => (d.name ? `Runs from supply ${d.name}: ${ending(d.says)}` : 'Runs from no supply of the collection.')),
  'temperature.taken': kind(z.object({ part: word<WarmPart>(), where: s, celsius: n, readings: n, says: s }), d => `${warmParts[d.part].title}${d.where && ` (${d.where})`}: ${d.readings > 1 ? `${d.readings} readings, up to ` : ''}${d.celsius.toFixed(1)} °C. ${ending(d.says)}`, observed),
  'start.begun': kind(z.object({ atProbe: s, atSwitch: s, configuration: s }), d => `Start begun: ${ending(d.configuration)} At the probe ${d.atProbe}, at the switch ${d.atSwitch}.`, closed),
  'start.ended': kind(z.object({ outcome: word<StartOutcome>(), why: s, onSeconds: n, rails: n }), d => `Start ended after ${Math.round(d.onSeconds)} s: ${startOutcomeNames[d.outcome].toLowerCase()}, ${d.rails} ${d.rails === 1 ? 'rail' : 'rails'} kept.${d.why && ` ${ending(d.why)}`}`),
  'gate.overruled': kind(z.object({ computed: word<keyof typeof gateWords>(), verdict: word<keyof typeof gateWords>(), reason: s }), d => `Gate overruled from ${gateWords[d.computed].title} to ${gateWords[d.verdict].title}: ${ending(d.reason)}`, closed),
  'gate.overrule-ended': kind(z.object({ why: s }), d => `Overrule of the gate ended: ${ending(d.why)}`, closed),

  'cleaning.done': kind(z.object({ what: s, withWhat: s, byWhom: s }), d => `Cleaned ${d.what} with ${d.withWhat}.`, observed),
  'wait.started': kind(z.object({ what: s, until: s }), d => `Wait started: ${ending(d.what)}`),
  'wait.ended': kind(z.object({ what: s, early: b }), d => `Wait ended${d.early ? ' early' : ''}: ${ending(d.what)}`),

  'fault.reported': kind(z.object({ symptom: s, firstSeen: s, stopsMachine: b }), d => `Fault reported: ${d.symptom}${d.firstSeen && `, first seen ${d.firstSeen}`}${d.stopsMachine ? '; it stops the machine' : ''}.`),
  'fault.changed': kind(z.object({ from: s, to: s, stopsMachine: b }), d => `Fault now reads: ${d.to}${d.stopsMachine ? '; it stops the machine' : '; it does not stop the machine'}.`),
  'fault.observed': kind(z.object({ symptom: s, says: s }), d => `Observed on ${quote(d.symptom)}: ${ending(d.says)}`, observed),
  'fault.repaired': kind(z.object({ symptom: s, did: s, closes: b }), d => `Repair on ${quote(d.symptom)}: ${ending(d.did)} ${d.closes ? 'That closed it.' : 'It did not close it.'}`),
  'part.wanted': kind(z.object({ name: s, quantity: n, stopsStart: b }), d => `Wanted: ${d.quantity} × ${d.name}; ${d.stopsStart ? 'it cannot be started without' : 'it can be started without'}.`),
  'part.settled': kind(z.object({ name: s, outcome: word<PartOutcome>() }), d => `${d.name}: ${partOutcomeNames[d.outcome].toLowerCase()}.`),

  'rails.expected': kind(z.object({ rails: z.array(z.object({ name: s, nominalV: n })) }), d => `Rails expected: ${d.rails.map(r => r.name).join(', ')}.`),
  'reading.taken': kind(z.object({ rail: s, valueV: n, load: word<keyof typeof loadWords>(), verdict: word<RailVerdict>() }), d => `Read ${d.rail}: ${volts(d.valueV)} ${loadWords[d.load]}; ${railVerdictWords[d.verdict]}.`, observed),
  'off-state.measured': kind(z.object({ rail: s, ohm: n.nullable(), verdict: word<OffVerdict>() }), d => `Measured ${d.rail} to ground with the power off: ${d.ohm === null ? 'open' : `${d.ohm} Ω`}; ${offVerdictWords[d.verdict].toLowerCase()}.`, observed),
  'machine.signed-off': kind(z.object({ statement: s }), d => `Signed off: ${ending(d.statement)}`),
  'sign-off.ended': kind(z.object({ why: s }), d => `The sign-off no longer stands: ${ending(d.why)}`),
  'life.chosen': kind(z.object({ life: word<keyof typeof lifeNames>() }), d => `Its life from now on: ${lifeNames[d.life].title.toLowerCase()}.`),
  'question.asked': kind(z.object({ question: s }), d => `Open question: ${ending(d.question)}`),
  'question.settled': kind(z.object({ question: s, answer: s }), d => `Question settled: ${ending(d.question)} ${ending(d.answer)}`),
  'passport.switched': kind(z.object({ on: b }), d => (d.on ? 'Public passport switched on.' : 'Public passport switched off.'), closed),
  'result.pinned': kind(z.object({ tool: s, title: s, says: s }), d => `${d.title}: ${ending(d.says)}`),
  'entry.struck': kind(z.object({ entryId: n, reason: s }), d => `Entry ${d.entryId} struck: ${ending(d.reason)}`, closed),

  'practice.set': kind(z.object({ name: s, school: word<keyof typeof schoolNames>(), numbering: s, zone: s }), d => `Practice of ${d.name}: ${schoolNames[d.school].title.toLowerCase()}, numbering ${d.numbering}, zone ${d.zone}.`, closed),
  'model.added': kind(z.object({ maker: s, name: s }), d => `Model added: ${d.name} by ${d.maker}.`, closed),
  'model.changed': kind(z.object({ maker: s, name: s }), d => `Model changed: ${d.name} by ${d.maker}.`, closed),
  'person.added': kind(z.object({ name: s, role: word<Role>() }), d => `${d.name} added as ${roleNames[d.role].toLowerCase()}.`, closed),
  'person.password-set': kind(z.object({ name: s }), d => `${d.name} was given a new password.`, closed),
  'person.skilled': kind(z.object({ name: s, skills: z.array(word<Skill>()) }), d => `${d.name} may: ${d.skills.map(k => skills[k].title.toLowerCase()).join(', ') || 'nothing that takes a skill'}.`, closed),
  'meter.set': kind(z.object({ host: s, port: n.nullable() }), d => (d.host ? `The meter answers at ${d.host}, port ${d.port}.` : 'No meter any more.'), closed),
  'supply.added': kind(z.object({ name: s, says: s }), d => `Supply ${d.name}: ${ending(d.says)}`, closed),
  'supply.changed': kind(z.object({ name: s, says: s, active: b }), d => `Supply ${d.name} ${d.active ? `now reads: ${ending(d.says)}` : 'is gone.'}`, closed),
  'person.changed': kind(z.object({ name: s, role: word<Role>(), active: b }), d => `${d.name} is ${d.active ? roleNames[d.role].toLowerCase() : 'no longer active'}.`, closed),
} as const

export type JournalKind = keyof typeof journalKinds
export type JournalData<K extends JournalKind> = (typeof journalKinds)[K] extends Kind<infer D> ? D : never

/** The sentence of an entry. Data of an older shape reads as its kind, rather than not at all. */
export function sentenceOf(kindName: string, data: unknown): string {
  const known = journalKinds[kindName as JournalKind] as Kind<unknown> | undefined
  const parsed = known?.data.safeParse(data)
  return parsed?.success && known ? known.reads(parsed.data) : `${kindName}.`
}

export const isOpen = (kindName: string) => journalKinds[kindName as JournalKind]?.open ?? false
export const isStrikeable = (kindName: string) => journalKinds[kindName as JournalKind]?.strikeable ?? false
