import type { CustodyRecord } from '../stewardship/custody/rules'
import { daysBetween } from '../kernel/days'
import { millisecondsInDay } from 'date-fns/constants'
import type { ConditionRecord } from '../condition/rules'
import { damagesNamed } from '../condition/rules'
import type { DiagnosisRecord } from '../diagnosis/rules'
import { type Finding, orderOf } from '../kernel/finding'
import { type OpeningFacts, opening } from '../opening/rules'
import { discipline } from '../kernel/discipline'
import { move, someOf } from '../kernel/move'
import { step } from '../kernel/step'
import { type PowerFactsKnown, power } from '../power/rules'
import { type Battery, hasLeaked } from '../power/battery'
import { type Configuration, isConnected } from './configuration'
import { takesMains } from './first-start'
import { type GateResult, assessGate } from './gate'
import { type GateVerdict, gateWords, mayBeStarted } from './gate-words'
import { type Heard, type Opening, contradiction, leavesUnassessed, toldApart } from '../kernel/heard'
import { type GrowingHarm, daysPerPoint, growingHarm } from './growing-harm'
import { type Hazard, type HazardSettled, type Saying, aboutFact, aboutHazard, hazardKinds, hazardsOf, leakingBatteryKnown } from './hazards'
import { type Overrule, stillStands } from './overrule'
import { type FactKind, type PowerFacts, type School, enteredFactNames, factValue, powerFacts } from './power-facts'

/** What was found, claimed and decided of a machine's dangers. */
export interface SafetyRecord extends ConditionRecord {
  school: School
  /** The facts for power that people entered. */
  entered: PowerFacts
  /** When each was answered last, in UTC. */
  answeredAt: Partial<Record<keyof PowerFacts, string>>
  inspectedBy: string
  overrule: Overrule | null
  configuration: Configuration
  claims: readonly { says: string; verdict: string; at?: string }[]
  /** Whether its battery was ever found leaking, by whatever record; with those on record now. */
  batteryHasLeaked: boolean
  batteries: readonly (Battery & { at?: string })[]
  /** What was heard in what people wrote, wherever they wrote it. */
  sayings: readonly Saying[]
  /** What people noticed in its starts, and while it was proved or shown. */
  witnessedAtStarts: readonly { says: string; at: string }[]
  noticedWhileProving: readonly { says: string; at: string }[]
  /** What happened when it was last powered. */
  lastPoweredWhat: string
  hazardsSettled: readonly HazardSettled[]
  knownFaults: readonly string[]
  massKg: number | null
  bookedInAt: string
  sisters: { leaked: number }
}

/** The words of its faults, which may be dangers; another discipline keeps them. */
type FaultWords = Pick<DiagnosisRecord, 'faults'>

export interface SafetyFacts {
  /** The facts for power that count. */
  facts: PowerFacts
  gate: GateResult
  /** What was found elsewhere and the gate hears. */
  heard: Heard[]
  /** The verdict that holds: the overrule while it stands, else the computed one. */
  gateInForce: GateVerdict
  overruled: boolean
  hazards: Hazard[]
  harm: GrowingHarm
  /** Machines of the same model whose battery was found leaking. */
  sistersWithLeakedBattery: number
  /** Whether the model is known for leaking batteries. */
  modelBatteryLeaks: boolean
  /** Whether mains comes to it as it is connected now. */
  mains: boolean
  /** Whether everything of it is connected, and nothing of it still undone by its opening record. */
  whole: boolean
}

/** The register of hazards: what its records point to, and what somebody found out. */
const registerOf = (record: SafetyRecord & FaultWords, facts: PowerFacts, answeredAt: SafetyRecord['answeredAt']): Hazard[] =>
  hazardsOf(
    {
      facts,
      answeredAt,
      assemblies: [...record.assemblies],
      damages: damagesNamed(record),
      claims: [
        ...record.claims
          .filter(c => c.verdict !== 'refuted')
          .map(({ says, verdict, at }) => ({ says, how: verdict === 'confirmed' ? ('confirmed' as const) : ('claimed' as const), at })),
        ...[...record.witnessedAtStarts, ...record.noticedWhileProving].map(w => ({ ...w, how: 'noticed' as const })),
        ...(record.lastPoweredWhat ? [{ says: record.lastPoweredWhat }] : []),
      ],
      sayings: record.sayings,
      symptoms: record.faults.flatMap(f => f.symptoms.map(word => ({ word, symptom: f.symptom, open: f.open, at: f.reportedAt }))),
      interventions: [...record.interventions],
      knownFaults: [...record.knownFaults],
      sistersLeaked: record.sisters.leaked,
      massKg: record.massKg,
    },
    record.hazardsSettled,
  )

/**
 * The gate and the hazards of one machine.
 * @param found what other disciplines found of it and the gate hears
 */
function safetyFacts(
  record: SafetyRecord & FaultWords & CustodyRecord,
  { measured, measuredAt, stepsUndone }: PowerFactsKnown & OpeningFacts,
  found: readonly Heard[],
  now: string,
): SafetyFacts {
  const facts = { ...record.entered, ...measured }
  const hazards = registerOf(record, facts, { ...record.answeredAt, ...measuredAt })
  const { school, inspectedBy, configuration, overrule } = record
  const all = toldApart([...found, ...outvoted(record, measured, measuredAt), ...leakForgotten(record, facts)])
  const gate = assessGate({ school, facts, inspectedBy, hazards, configuration, heard: all })
  const overruled = stillStands(overrule, gate, configuration)
  const modelBatteryLeaks = leakingBatteryKnown(record.knownFaults)
  const sistersWithLeakedBattery = record.sisters.leaked
  const mouldPresent = hazards.some(h => h.kind === 'mould' && h.state === 'present')
  return {
    facts,
    gate,
    heard: all,
    gateInForce: overruled ? overrule!.verdict : gate.verdict,
    overruled,
    hazards,
    harm: growingHarm({ facts, sistersWithLeakedBattery, modelBatteryLeaks, mouldPresent, daysHere: daysBetween(record.bookedInAt, now) }),
    sistersWithLeakedBattery,
    modelBatteryLeaks,
    mains: takesMains(facts, configuration),
    whole: configuration.kind === 'whole' && stepsUndone === 0 && !record.away.length,
  }
}

/** It has leaked once, and no battery on record shows that it went its way home: an answer alone does not bring it there. */
function leakForgotten({ batteryHasLeaked, batteries, hazardsSettled, configuration }: SafetyRecord, facts: PowerFacts): Heard[] {
  const settled = hazardsSettled.some(h => h.kind === 'battery' && (h.state === 'dealt-with' || h.state === 'ruled-out'))
  const onRecord = batteries.some(b => hasLeaked(b.state))
  const said = factValue('battery', facts.battery)
  if (!batteryHasLeaked || onRecord || settled || said?.level === 'stop' || !isConnected('facts', 'battery', configuration)) return []
  return [
    contradiction(
      'battery.leak-forgotten',
      'Its battery was found leaking once, and nothing on record says what became of what it left.',
      [said ? `Answered now: ${said.label.toLowerCase()}.` : 'Nobody has answered since.', 'Residue goes on corroding under the mask.'],
      'Record the battery and bring it home step by step; or say under Hazards that it was misread.',
      { ...aboutHazard('battery'), concerns: 'battery' },
    ),
  ]
}

/** Answers that speak of danger where what was measured does not: until the measuring is the newer of the two, nobody has assessed it. */
function outvoted({ entered, answeredAt }: SafetyRecord, measured: PowerFacts, measuredAt: PowerFactsKnown['measuredAt']): Heard[] {
  return enteredFactNames.flatMap(name => {
    const [said, shown] = [factValue(name, entered[name]), factValue(name, measured[name])]
    if (said?.level !== 'stop' || !shown || shown.level === 'stop' || (measuredAt[name] ?? '') > (answeredAt[name] ?? '')) return []
    return [
      contradiction(
        `gate.${name}`,
        `${powerFacts[name].title}: answered “${said.label.toLowerCase()}”, while the record says “${shown.label.toLowerCase()}”.`,
        said.because,
        'Look again, and put right whichever is wrong.',
        { ...aboutFact(name), ...orderOf(powerFacts[name] as FactKind) },
      ),
    ]
  })
}

/** What is said where the record cannot be read at all: closed, with the reasons. */
export function safetyUnknown({ school, sisters }: Pick<SafetyRecord, 'school' | 'sisters'>, found: readonly Heard[]): SafetyFacts {
  const all = toldApart(found)
  const gate: GateResult = { verdict: 'keep-off', school, findings: all.map(h => h.finding), toOpen: all.flatMap(h => (h.open ? [h.open] : [])) }
  const harm: GrowingHarm = { rank: 0, findings: [] }
  return {
    facts: {},
    gate,
    heard: all,
    gateInForce: 'keep-off',
    overruled: false,
    hazards: [],
    harm,
    sistersWithLeakedBattery: sisters.leaked,
    modelBatteryLeaks: false,
    mains: true,
    whole: false,
  }
}

const whyOf = (gate: GateResult, code: string) => gate.findings.find(f => f.code === code)?.says ?? ''
const openingsAt = (gate: GateResult, level: Finding['level']) => gate.toOpen.filter(o => gate.findings.some(f => f.code === o.code && f.level === level))

declare module '../kernel/machine' {
  interface MachineRecord extends SafetyRecord {}
  interface MachineKnown extends SafetyFacts {}
}

/** So many answers that are missing are named; more are counted. */
const mostNamed = 3

/** Making safe is done fact by fact; what keeps the gate closed comes before what would open it further. */
export const safety = discipline({
  name: 'safety',
  about: 'its dangers',
  after: [power, opening],
  hears: true,
  facts: (record, { known, heard, now }) => safetyFacts(record, known, heard, now),
  unknown: (record, { heard }) => safetyUnknown(record, heard),
  steps: {
    'make-safe': m => [
      ...enteredFactNames.map(name => {
        const value = factValue(name, m.facts[name])
        return step(powerFacts[name].title, value !== undefined && value.level !== 'stop')
      }),
      step('Assessed, and nothing keeps it off', mayBeStarted(m.gate.verdict)),
    ],
  },
  moves: m => {
    const unknown = m.gate.findings.filter(leavesUnassessed)
    // What would close the gate comes before what is a caution for whoever handles it.
    const weight = (h: Hazard) => ['stop', 'care', 'note'].indexOf(hazardKinds[h.kind].gate)
    const suspected = m.hazards.filter(h => h.state === 'suspected').sort((a, b) => weight(a) - weight(b))
    const stops = openingsAt(m.gate, 'stop').filter(o => !o.moved)
    const found = (o: Opening) => m.gate.findings.find(f => f.code === o.code)
    return [
      // A battery still in a machine whose sisters' leaked is the move that saves a board.
      ...(m.facts.battery === undefined && (m.sistersWithLeakedBattery > 0 || m.modelBatteryLeaks)
        ? [
            move('harm', 'battery-sister', 'make-safe', {
              says: 'Open it and take the battery out',
              why: m.sistersWithLeakedBattery
                ? `${m.sistersWithLeakedBattery} of the same model had a leaking battery.`
                : 'The batteries of this model are known to leak.',
            }),
          ]
        : []),
      ...(m.gateInForce === 'keep-off'
        ? stops.map(o =>
            move(found(o)?.concerns === 'smoke' ? 'alarm' : 'keeps-off', o.code, 'make-safe', {
              says: o.do,
              why: whyOf(m.gate, o.code),
              who: o.who,
              ...(o.skill ? { skill: o.skill } : {}),
            }),
          )
        : []),
      ...(unknown.length
        ? [
            move('assess', 'assess', 'make-safe', {
              says: 'Assess the gate',
              why: unknown.length > mostNamed ? `${unknown.length} answers are missing before anybody may start it.` : unknown.map(f => f.says).join(' '),
            }),
          ]
        : []),
      ...(suspected.length && m.gateInForce !== 'clear-to-run'
        ? [
            move('suspicion', 'hazards', 'make-safe', {
              says: `Confirm or rule out: ${someOf(suspected.map(h => hazardKinds[h.kind].title.toLowerCase()))}`,
              why: suspected[0]!.evidence[0] ?? '',
            }),
          ]
        : []),
      ...(m.gateInForce === 'guarded-start'
        ? openingsAt(m.gate, 'care').map(o =>
            move('guarded', o.code, found(o)?.fact === 'rails' && !o.pair ? 'prove' : 'make-safe', {
              says: o.do,
              why: `${gateWords['guarded-start'].title}: ${whyOf(m.gate, o.code)}`,
              who: o.who,
              ...(o.skill ? { skill: o.skill } : {}),
              // One at the switch, one at the probe.
              ...(o.pair ? { pair: true as const, ...(m.mains ? { skill: 'mains' as const } : {}) } : {}),
            }),
          )
        : []),
    ]
  },
  // The rank of harm that grows rises with every so many days of waiting.
  due: m => {
    if (!m.harm.rank) return []
    const steps = Math.floor(daysBetween(m.bookedInAt, m.now) / daysPerPoint) + 1
    return [new Date(Date.parse(m.bookedInAt) + steps * daysPerPoint * millisecondsInDay).toISOString()]
  },
})
