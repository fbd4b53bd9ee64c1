import { z } from 'zod'
import { damageKinds, severities } from '#core/condition/damage'
import { type InterventionKind, interventionKinds, interventionStates } from '#core/condition/interventions'
import { presences } from '#core/condition/grades'
import { type Path, paths } from '#core/condition/triage'
import { readDateCode } from '#core/identify/date-code'
import { lives, stages } from '#core/planning/stages'
import { replacementNames } from '#core/power/battery'
import { loads } from '#core/power/rails'
import { gateVerdicts } from '#core/safety/gate'
import { type Skill, skillNames } from '#core/safety/skills'
import { id, instant, meterReading, oneOf, optionalQuantity, optionalText, quantity, roughDay, text, version } from './fields'
import { BatteryTyped, ConfigurationTyped, InletTyped, ReplacementChosen, StartTyped, SupplyTyped, TemperatureTyped, WarmLog, WarmTyped, configurationHolds } from './power'
import { ConsentShape, CorrosionInputs, ExpectedRail, HazardShape, MarkShape, PowerFactsShape, ScaleShape, SchoolShape, SignificanceShape } from './shapes'
import { acquisitions, checkOutcomes, claimVerdicts, notOurs, partOutcomes, roles } from './vocabulary'

/**
 * Everything that people can do, by name. Each command is one request, one row in the table of who may do what,
 * one transaction and one entry or more in the history.
 */

const identity = {
  name: text('Model or description', 80),
  maker: optionalText('Maker', 80),
  nickname: optionalText('Nickname', 60),
  serial: optionalText('Serial number', 60),
  variant: optionalText('Board issue or variant', 60),
  weightKg: optionalQuantity('kg', 'Weight', { above: 0, upTo: 2000 }),
  place: optionalText('Where it stands', 120),
  acquired: oneOf(acquisitions, 'How it came'),
  fromWhom: text('From whom', 120),
  owner: optionalText('Whose it is', 120),
  lastPowered: roughDay('Last powered'),
  lastPoweredBy: optionalText('By whom', 120),
  lastPoweredWhat: optionalText('What happened', 500),
}

const ownerNamed = <T extends { acquired: string, owner: string }>(machine: T, context: z.RefinementCtx<T>) => {
  if (notOurs.some(a => a === machine.acquired) && !machine.owner) {
    context.addIssue({ code: 'custom', path: ['owner'], message: 'Whose it is: a machine that is not the collection’s own needs its owner’s name.' })
  }
}

/** A marking off a part that can be read as a date. */
const dateCode = text('Date code', 60).superRefine((code, context) => {
  if (!code) return
  const { readings, findings } = readDateCode({ code })
  if (!readings.length) context.addIssue({ code: 'custom', message: `${findings[0]?.says} ${findings[0]?.because[0]} Leave it out if it is no date.` })
})

/** A code as found on a part; reworked and socketed parts may be of a later service. */
const DateCodeRead = z.object({ part: optionalText('Part', 60), code: dateCode, reworked: z.boolean().default(false), socketed: z.boolean().default(false) })

export const BookIn = z.object({
  ...identity,
  modelId: id.nullable().default(null),
  claims: z.array(text('Claim', 500)).max(20, 'Claims: twenty at most.').default([]),
  accessories: z.array(text('What came with it', 120)).max(60, 'What came with it: sixty at most.').default([]),
  dateCodes: z.array(DateCodeRead).max(200, 'Date codes: two hundred at most.').default([]),
}).superRefine(ownerNamed)

const photographId = id.nullable().default(null)
const amount = (what: string) => quantity('', what, { above: -0.001, upTo: 1_000_000 })
const DamageAsSeen = {
  assemblyId: id.nullable().default(null),
  kind: oneOf(Object.keys(damageKinds) as [keyof typeof damageKinds, ...(keyof typeof damageKinds)[]], 'Kind'),
  where: text('Where', 160),
  extent: optionalText('Extent', 120),
  severity: oneOf(severities, 'Severity'),
}
const OpeningStep = {
  what: text('What was undone', 200),
  fixings: z.array(z.object({
    count: quantity('', 'How many', { above: 0, upTo: 200 }).pipe(z.number().int('How many: a whole number, please.')),
    head: optionalText('Head', 40), lengthMm: optionalQuantity('', 'Length in mm', { above: 0, upTo: 500 }), tray: optionalText('Tray cell', 20),
  })).max(12, 'Fixings: twelve kinds in one step at most.').default([]),
  connectors: z.array(text('Connector', 120)).max(30, 'Connectors: thirty at most.').default([]),
  hides: optionalText('What hides here', 200),
  hazard: optionalText('What may tear or break', 200),
  photographId,
}
const Model = {
  maker: text('Maker', 80), name: text('Model', 80), about: optionalText('About it', 1000),
  variants: z.array(text('Board issue or variant', 160)).max(30, 'Thirty at most.'),
  usualKit: z.array(text('Usual kit', 80)).max(40, 'Forty at most.'),
  assemblies: z.array(text('Assembly', 60)).max(60, 'Sixty at most.'),
  knownFaults: z.array(text('Known fault', 300)).max(60, 'Sixty at most.'),
  rails: z.array(ExpectedRail).max(20, 'Rails: twenty at most.'),
  inlet: InletTyped.nullable().default(null),
  weightKg: optionalQuantity('kg', 'Weight', { above: 0, upTo: 2000 }),
  madeFrom: optionalQuantity('', 'Made from', { above: 1900, upTo: 2100 }), madeTo: optionalQuantity('', 'Made to', { above: 1900, upTo: 2100 }),
}
const madeInOrder = <T extends { madeFrom: number | null, madeTo: number | null }>({ madeFrom, madeTo }: T, context: z.RefinementCtx<T>) => {
  if (madeFrom !== null && madeTo !== null && madeTo < madeFrom) context.addIssue({ code: 'custom', path: ['madeTo'], message: 'Made to: this year lies before the first one.' })
}
const inOrder = (low: string, high: string) => <T extends object>(given: T, context: z.RefinementCtx<T>) => {
  const values = given as Record<string, number>
  if (values[high]! < values[low]!) context.addIssue({ code: 'custom', path: [high], message: 'The higher figure comes here; this one is below the other.' })
}

export const machineCommands = {
  'correct-identity': z.object({ version, ...identity }).superRefine(ownerNamed),
  'add-claim': z.object({ says: text('Claim', 500), byWhom: optionalText('By whom', 120) }),
  'judge-claim': z.object({ claimId: id, version, verdict: oneOf(claimVerdicts, 'Verdict'), because: text('Because of', 500) }),
  'note-accessory': z.object({ name: text('What came with it', 120) }),
  'read-date-code': DateCodeRead,
  'move-to-stage': z.object({ stage: oneOf(stages, 'Stage') }),
  'put-on-bench': z.object({ onBench: z.boolean() }),

  'add-assembly': z.object({ name: text('Assembly', 60) }),
  'grade-assembly': z.object({
    assemblyId: id, version,
    presence: oneOf(presences, 'Presence'),
    grade: z.number().int().min(0).max(3).nullable(),
    note: optionalText('Note', 500),
  }).superRefine((a, context) => {
    if (a.presence !== 'present' && a.grade !== null) context.addIssue({ code: 'custom', path: ['grade'], message: 'Grade: only what is present can be graded.' })
  }),
  'record-damage': z.object({ ...DamageAsSeen, photographId, mark: MarkShape.nullable().default(null) }),
  'change-damage': z.object({ damageId: id, version, ...DamageAsSeen }),
  'settle-check': z.object({ code: text('Check', 120), outcome: oneOf(checkOutcomes, 'Outcome'), note: optionalText('What was found', 300) })
    .superRefine((c, context) => { if (c.outcome === 'found' && !c.note) context.addIssue({ code: 'custom', path: ['note'], message: 'What was found: say it in a few words.' }) }),

  'add-photograph': z.object({ hash: z.string().regex(/^[0-9a-f]{64}$/, 'Photograph: its file is not known here. Send it again.'), name: text('Name of the file', 200), assemblyId: id.nullable().default(null), caption: optionalText('Caption', 200) }),
  'describe-photograph': z.object({ photographId: id, version, assemblyId: id.nullable(), caption: optionalText('Caption', 200) }),
  'set-scale': z.object({ photographId: id, version, scale: ScaleShape.nullable() }),
  'keep-corrosion': z.object({ photographId: id, what: text('What was measured', 120), inputs: CorrosionInputs, steel: z.boolean(), areaPct: z.number().min(0).max(100), errorPct: z.number().min(0).max(100) }),

  'record-opening-step': z.object(OpeningStep),
  'change-opening-step': z.object({ stepId: id, version, ...OpeningStep }),
  'reuse-opening': z.object({ fromTag: text('From which machine', 40) }),
  'count-back': z.object({ stepId: id, version, back: z.array(quantity('', 'Counted back', { above: -1, upTo: 400 }).pipe(z.number().int('Counted back: a whole number, please.'))).max(12) }),
  'log-intervention': z.object({ kind: oneOf(Object.keys(interventionKinds) as [InterventionKind, ...InterventionKind[]], 'Kind'), assemblyId: id.nullable().default(null), where: text('Where', 160), note: optionalText('Note', 500), understood: z.boolean().default(false), photographId }),
  'settle-intervention': z.object({ interventionId: id, version, state: oneOf(interventionStates, 'State'), note: text('Why', 500) }),

  'record-consent': z.object({ version, allowed: ConsentShape.shape.allowed, upTo: amount('Up to what cost'), mustAsk: optionalText('What must be asked', 500), agreedWith: text('Agreed with', 120), agreedOn: roughDay('Agreed on') }),
  'record-spending': z.object({ what: text('What for', 160), amount: quantity('', 'Amount', { above: 0, upTo: 1_000_000 }) }),
  'appraise': z.object({
    version, significance: SignificanceShape,
    hoursLow: amount('Hours, at least'), hoursHigh: amount('Hours, at most'), costLow: amount('Cost, at least'), costHigh: amount('Cost, at most'),
    irreplaceable: z.array(text('Assembly', 60)).max(100).default([]),
  }).superRefine(inOrder('hoursLow', 'hoursHigh')).superRefine(inOrder('costLow', 'costHigh')),
  'choose-path': z.object({ path: oneOf(Object.keys(paths) as [Path, ...Path[]], 'Path'), reason: text('Reason', 500) }),
  'write-to-owner': z.object({ questions: z.array(text('Question', 300)).min(1, 'Questions: ask at least one; it is what the letter is for.').max(20, 'Questions: twenty at most.'), photographIds: z.array(id).max(8, 'Photographs: eight at most.').default([]), to: z.union([z.literal(''), z.email('E-mail address: write it as somebody@example.org, or leave it empty to post the letter.')]).default(''), answerBy: instant('Answer by') }),

  'assess-power': z.object({ version, facts: PowerFactsShape.omit({ rails: true }), inspectedBy: optionalText('Inspected by', 80) }),
  'choose-school': z.object({ school: SchoolShape.nullable() }),
  'settle-hazard': z.object({ kind: HazardShape.shape.kind, version, state: HazardShape.shape.state, evidence: text('Evidence', 500) }),
  'set-configuration': z.object({ version, ...ConfigurationTyped }).superRefine(configurationHolds),
  'record-battery': z.object(BatteryTyped),
  'change-battery': z.object({ batteryId: id, version, ...BatteryTyped, replacement: ReplacementChosen }),
  'expect-inlet': z.object({ inlet: InletTyped.nullable() }),
  'assign-supply': z.object({ supplyId: id.nullable() }),
  'take-temperature': z.object(TemperatureTyped),
  'import-temperatures': z.object({ ...WarmTyped, samples: WarmLog }),
  'begin-start': z.object(StartTyped),
  'end-start': z.object({}),
  'overrule-gate': z.object({ verdict: oneOf(gateVerdicts, 'Verdict'), reason: text('Reason', 500).min(10, 'Reason: say in a sentence why.') }),
  'withdraw-overrule': z.object({}),

  'record-cleaning': z.object({ what: text('What was cleaned', 200), withWhat: text('With what', 200), byWhom: optionalText('By whom', 80) }),
  'start-wait': z.object({ what: text('What it waits for', 160), until: instant('Until') }),
  'end-wait': z.object({ waitId: id }),

  'report-fault': z.object({ symptom: text('Symptom', 200), firstSeen: roughDay('First seen'), stopsMachine: z.boolean().default(true) }),
  'change-fault': z.object({ faultId: id, version, symptom: text('Symptom', 200), stopsMachine: z.boolean() }),
  'observe-fault': z.object({ faultId: id, says: text('Observation', 1000) }),
  'repair-fault': z.object({ faultId: id, did: text('What was done', 1000), closes: z.boolean() }),
  'want-part': z.object({ name: text('Part', 120), quantity: quantity('', 'How many', { above: 0, upTo: 9999 }).pipe(z.number().int('How many: a whole number, please.')), stopsStart: z.boolean() }),
  'settle-part': z.object({ partId: id, version, outcome: oneOf(partOutcomes, 'Outcome') }),

  'expect-rails': z.object({ rails: z.array(ExpectedRail).min(1, 'Rails: name at least one.').max(20, 'Rails: twenty at most.') }),
  'take-reading': z.object({ rail: text('Rail', 30), valueV: quantity('V', 'Reading', { above: -1000, upTo: 1000 }), load: oneOf(loads, 'Load') }),
  'measure-off-state': z.object({
    rail: text('Rail', 30), ohm: meterReading('Ω', 'Red on the rail', { above: -0.001, upTo: 1e9 }),
    reversedOhm: z.preprocess(given => (typeof given === 'string' && !given.trim() ? undefined : given), meterReading('Ω', 'Black on the rail', { above: -0.001, upTo: 1e9 }).optional()),
    leadsOhm: optionalQuantity('Ω', 'The leads', { above: -0.001, upTo: 100 }), loadAttached: z.boolean(), rising: z.boolean(),
  }),
  'sign-off': z.object({ statement: text('What was tested', 1000) }),

  'choose-life': z.object({ life: oneOf(lives, 'Life') }),
  'ask-question': z.object({ question: text('Question', 500) }),
  'settle-question': z.object({ questionId: id, answer: text('Answer', 1000) }),
  'switch-passport': z.object({ on: z.boolean() }),
  'pin-result': z.object({ tool: text('Instrument', 60), input: z.record(z.string(), z.unknown()) }),
  'strike-entry': z.object({ entryId: id, reason: text('Reason', 300) }),
} as const

const SupplyRow = { name: text('Name on its tag', 60), place: optionalText('Where it lies', 120), label: SupplyTyped }
const password = z.string({ error: 'Password: type one.' }).min(10, 'Password: at least ten characters.').max(200, 'Password: at most 200 characters.')
const signInName = text('Sign-in name', 40).regex(/^[a-z0-9._-]+$/, 'Sign-in name: small letters, digits, dot, hyphen.')

export const collectionCommands = {
  'book-in': BookIn,
  'book-in-lot': z.object({ machines: z.array(BookIn).min(1, 'No machine to book in.').max(200, 'Two hundred machines at a time.') }),
  'add-model': z.object(Model).superRefine(madeInOrder),
  'change-model': z.object({ modelId: id, version, ...Model }).superRefine(madeInOrder),
  'set-practice': z.object({ version, name: text('Name of the collection', 120), school: SchoolShape, numbering: text('Numbering', 40), zone: text('Time zone', 60), currency: z.string().trim().toUpperCase().regex(/^[A-Z]{3}$/, 'Currency: three letters, such as EUR.').default('EUR'), batterySchool: oneOf(replacementNames as ['none', ...typeof replacementNames], 'Lost battery').default('remote-holder') }),
  'set-meter': z.object({ version, host: optionalText('Host', 200).refine(host => /^[A-Za-z0-9.:_-]*$/.test(host), 'Host: a name or an address, such as 192.0.2.20, or nothing for no meter.'), port: optionalQuantity('', 'Port', { above: 0, upTo: 65535 }) }),
  'add-supply': z.object(SupplyRow),
  'change-supply': z.object({ supplyId: id, version, ...SupplyRow, active: z.boolean() }),
  'add-person': z.object({ name: text('Name', 80), signInName, password, role: oneOf(roles, 'Role') }),
  'grant-skills': z.object({ personId: id, version, skills: z.array(oneOf(skillNames as [Skill, ...Skill[]], 'Skill')).max(20) }),
  'set-password': z.object({ personId: id, password }),
  'change-person': z.object({ personId: id, version, name: text('Name', 80), role: oneOf(roles, 'Role'), active: z.boolean() }),
} as const

export type MachineCommandName = keyof typeof machineCommands
export type CollectionCommandName = keyof typeof collectionCommands
export type CommandName = MachineCommandName | CollectionCommandName
export const commands = { ...machineCommands, ...collectionCommands }
export type CommandInput<N extends CommandName> = z.output<(typeof commands)[N]>
export type CommandRequest<N extends CommandName> = z.input<(typeof commands)[N]>

export const SignIn = z.object({ signInName: text('Sign-in name', 40), password: z.string().min(1, 'Password: type it here.').max(200) })
export const FirstStart = z.object({ collection: text('Name of the collection', 120), name: text('Your name', 80), signInName, password })
