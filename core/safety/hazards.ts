import type { InterventionKind, InterventionState } from '../condition/interventions'
import type { DamageSeen } from '../condition/implied-checks'
import type { Presence } from '../condition/grades'
import { type Finding, type Level, commonPractice, finding } from '../kernel/finding'
import type { CautionName } from './cautions'
import { type Configuration, isConnected } from './configuration'
import { referenceMassKg } from './lift'
import { type Skill, skills } from './skills'
import { type PowerFactName, type PowerFacts, factValue, powerFacts } from './power-facts'

/** What is known of a hazard: nobody has found out yet, it is there, it has been dealt with, or it is not there. */
export const hazardStates = ['suspected', 'present', 'dealt-with', 'ruled-out'] as const
export type HazardState = (typeof hazardStates)[number]
export const hazardStateNames: Record<HazardState, string> = {
  'suspected': 'Suspected',
  'present': 'Present',
  'dealt-with': 'Dealt with',
  'ruled-out': 'Ruled out',
}

export interface HazardKindRow {
  title: string
  /** What it does to the gate while it is present. */
  gate: 'stop' | 'care' | 'note'
  caution: CautionName
  /** What takes it away. */
  deal: string
  who: string
  /** What dealing with it takes. */
  skill?: Skill
}

const anyone = { who: 'a bench volunteer' }
const skilled = (skill: Skill) => ({ who: skills[skill].who, skill })

/** Kinds of hazard, with what each does to the gate while it is there. Common practice, no source. */
export const hazardKinds = {
  'mains-wiring': { title: 'Mains wiring', gate: 'stop', caution: 'mains', deal: 'Make the mains wiring good and check the earth.', ...skilled('mains') },
  'line-filter': {
    title: 'Line-filter capacitors',
    gate: 'care',
    caution: 'mains',
    deal: 'Replace the line-filter capacitors with new safety-rated ones.',
    ...skilled('mains'),
  },
  'bulging-capacitors': {
    title: 'Bulging or leaking capacitors',
    gate: 'stop',
    caution: 'stored-charge',
    deal: 'Replace the capacitors that bulge or leak.',
    ...skilled('fine-rework'),
  },
  'stored-charge': {
    title: 'Stored charge',
    gate: 'note',
    caution: 'stored-charge',
    deal: 'Measure, discharge through a resistor, measure again.',
    who: 'someone who has been shown how',
  },
  'picture-tube': {
    title: 'Picture tube',
    gate: 'note',
    caution: 'picture-tube',
    deal: 'Keep its covers on; leave tube work to people trained in it.',
    ...skilled('picture-tube'),
  },
  'battery': { title: 'Battery', gate: 'stop', caution: 'battery', deal: 'Take the battery out; neutralise and clean what it touched.', ...anyone },
  'liquid': { title: 'Liquid', gate: 'stop', caution: 'wet', deal: 'Clean, dry it through, and look again.', ...anyone },
  'conductive-dirt': { title: 'Conductive dirt', gate: 'stop', caution: 'dust-mould', deal: 'Clean the inside and look again.', ...anyone },
  'mould': { title: 'Mould', gate: 'note', caution: 'dust-mould', deal: 'Work with a mask at an extractor; let it dry out.', ...anyone },
  'burnt-trace': {
    title: 'Burnt trace or part',
    gate: 'stop',
    caution: 'mains',
    deal: 'Find what burnt it, repair it, and measure before power.',
    ...skilled('fine-rework'),
  },
  'shorted-rail': {
    title: 'Shorted rail',
    gate: 'stop',
    caution: 'stored-charge',
    deal: 'Find and clear the short, and measure again.',
    who: 'a bench volunteer with a meter',
  },
  'unknown-supply': {
    title: 'Unknown supply',
    gate: 'stop',
    caution: 'mains',
    deal: 'Identify the supply, or use a bench supply with a current limit.',
    ...skilled('mains'),
  },
  'unknown-wiring': { title: 'Unknown wiring', gate: 'stop', caution: 'mains', deal: 'Trace the wiring and write down what it does.', ...anyone },
  'missing-fan': { title: 'Missing fan', gate: 'care', caution: 'mains', deal: 'Free or replace the fan.', ...anyone },
  'heavy': { title: 'Heavy', gate: 'note', caution: 'lifting', deal: 'Lift with enough people, or with gear.', ...skilled('lifting') },
  'sharp': {
    title: 'Sharp edges or broken glass',
    gate: 'note',
    caution: 'glass',
    deal: 'Gloves and eye protection; cover or take out what is broken.',
    ...anyone,
  },
  'smoke': { title: 'Smoke reported', gate: 'stop', caution: 'mains', deal: 'Find what smoked, and replace or clear it.', ...anyone },
  'old-insulation': { title: 'Old insulation', gate: 'stop', caution: 'mains', deal: 'Replace wires whose insulation cracks or sticks.', ...skilled('mains') },
} as const satisfies Record<string, HazardKindRow>
export type HazardKind = keyof typeof hazardKinds
/**
 * What saying this of a hazard takes. Anybody may report one, or see that there is none; dealing with some takes a skill,
 * and so does ruling out what hides inside a mains supply.
 */
export function skillToSettle(kind: HazardKind, state: HazardState): Skill | undefined {
  const { skill }: HazardKindRow = hazardKinds[kind]
  return state === 'dealt-with' || (state === 'ruled-out' && skill === 'mains') ? skill : undefined
}
export const hazardKindNames = Object.keys(hazardKinds) as HazardKind[]

/** What a machine's records say that may point to a hazard. */
export interface HazardSigns {
  facts: PowerFacts
  assemblies: { name: string; presence: Presence }[]
  damages: DamageSeen[]
  claims: string[]
  interventions: { kind: InterventionKind; state: InterventionState; where: string }[]
  knownFaults: string[]
  massKg: number | null
}

/** What somebody found out about one hazard. */
export interface HazardSettled {
  kind: HazardKind
  state: HazardState
  evidence: string
}

export interface Hazard {
  kind: HazardKind
  state: HazardState
  evidence: string[]
  /** Whether somebody found it out; else it follows from the records. */
  settled: boolean
}

const damaged =
  (kinds: DamageSeen['kind'][], near: RegExp = /./) =>
  ({ damages }: HazardSigns) =>
    damages
      .filter(d => kinds.includes(d.kind) && near.test(`${d.assembly} ${d.where}`))
      .map(d => `Damage: ${d.kind.replace('-', ' ')}, ${[d.assembly.toLowerCase(), d.where].filter(Boolean).join(', ')}.`)
const said =
  (words: RegExp) =>
  ({ claims }: HazardSigns) =>
    claims.filter(c => words.test(c)).map(c => `Claimed: “${c}”.`)
const known =
  (words: RegExp) =>
  ({ knownFaults }: HazardSigns) =>
    knownFaults.filter(f => words.test(f)).map(f => `Known of the model: ${f}.`)
const part =
  (words: RegExp) =>
  ({ assemblies }: HazardSigns) =>
    assemblies.filter(a => a.presence !== 'missing' && words.test(a.name)).map(a => `It has one: ${a.name.toLowerCase()}.`)

/** Whether a model is known for batteries that leak. */
export const leakingBatteryKnown = (knownFaults: readonly string[]): boolean => knownFaults.some(f => /batter|barrel/i.test(f) && /leak/i.test(f))

/** Where each hazard shows. Common practice, no source. */
const signs: Partial<Record<HazardKind, ((found: HazardSigns) => string[])[]>> = {
  'mains-wiring': [said(/shock|tingl|live case|trips/i)],
  'line-filter': [damaged(['crack'], /filter|mains|inlet/i), known(/line[- ]filter/i)],
  'bulging-capacitors': [damaged(['bulge'])],
  'stored-charge': [part(/supply|tube|monitor|display/i)],
  'picture-tube': [part(/picture tube|monitor/i)],
  'battery': [damaged(['crust'], /batter|barrel|cell|clock/i), known(/batter|barrel/i), part(/batter/i)],
  'liquid': [damaged(['tide-line']), said(/\b(water|flood|sea\b|coffee|tea\b|beer|rain(ed|water)?\b|rinsed|wet\b|damp)/i)],
  'conductive-dirt': [said(/soot|chimney|workshop|metal dust/i)],
  'mould': [damaged(['growth'])],
  'burnt-trace': [damaged(['burn'])],
  'unknown-wiring': [
    ({ interventions }) =>
      interventions
        .filter(i => ['added-wire', 'cut-lead'].includes(i.kind) && i.state === 'not-understood')
        .map(i => `Somebody was here before: ${i.kind.replace('-', ' ')}, ${i.where}.`),
  ],
  'heavy': [({ massKg }) => (massKg !== null && massKg > referenceMassKg ? [`${massKg} kg; more than ${referenceMassKg} kg is not lifted alone.`] : [])],
  'sharp': [damaged(['break'], /glass|tube|case|edge/i)],
  'smoke': [said(/smok|burn|bang|smell/i)],
  'old-insulation': [damaged(['crack', 'wear'], /insulation|cable|flex/i)],
}

/** Facts for power that show a hazard, give reason to suspect one, or say that it is gone. The gate hears of these through the facts themselves. */
const shownBy: Partial<Record<HazardKind, { name: PowerFactName; present: string[]; suspected?: string[]; dealtWith?: string[]; ruledOut?: string[] }>> = {
  'mains-wiring': { name: 'mainsLead', present: ['cut'] },
  'line-filter': { name: 'filterCapacitors', present: ['cracked'], suspected: ['sound'], dealtWith: ['replaced'], ruledOut: ['none-fitted'] },
  'picture-tube': { name: 'pictureTube', present: ['open', 'enclosed'] },
  'battery': { name: 'battery', present: ['in', 'leaking', 'residue', 'mischarged'], dealtWith: ['out', 'replaced'], ruledOut: ['none-fitted'] },
  'liquid': { name: 'liquidOrDirt', present: ['yes'] },
  'burnt-trace': { name: 'burntTrace', present: ['yes'] },
  'shorted-rail': { name: 'shortedRail', present: ['yes'] },
  'unknown-supply': { name: 'supply', present: ['doubtful'] },
  'unknown-wiring': { name: 'wiring', present: ['doubtful'] },
  'missing-fan': { name: 'fan', present: ['missing'] },
  'smoke': { name: 'smoke', present: ['yes'], dealtWith: ['traced'] },
}

function shown(kind: HazardKind, facts: PowerFacts): { state: HazardState; level: Level; says: string } | undefined {
  const by = shownBy[kind]
  const value = by && facts[by.name]
  const state =
    value === undefined
      ? undefined
      : by!.present.includes(value)
        ? 'present'
        : by!.suspected?.includes(value)
          ? 'suspected'
          : by!.dealtWith?.includes(value)
            ? 'dealt-with'
            : by!.ruledOut?.includes(value)
              ? 'ruled-out'
              : undefined
  return (
    state && {
      state,
      level: factValue(by!.name, value)!.level,
      says: `Facts for power: ${powerFacts[by!.name].title.toLowerCase()}, ${factValue(by!.name, value)!.label.toLowerCase()}.`,
    }
  )
}

/**
 * The hazards of a machine: present where the facts for power show one, suspected where its records point to one, else as somebody settled it.
 * What was settled stands, whatever the records say; they stay beside it as evidence.
 * @returns each hazard once, those present first, then the suspected, then what was dealt with or ruled out
 */
export function hazardsOf(found: HazardSigns, settled: readonly HazardSettled[]): Hazard[] {
  const rank: Record<HazardState, number> = { 'present': 0, 'suspected': 1, 'dealt-with': 2, 'ruled-out': 3 }
  return hazardKindNames
    .flatMap((kind): Hazard[] => {
      const seen = shown(kind, found.facts)
      const pointers = (signs[kind] ?? []).flatMap(sign => sign(found))
      // What the facts say is gone is worth a line only where the records pointed to it.
      const gone = seen?.state === 'dealt-with' || seen?.state === 'ruled-out'
      const evidence = gone && !pointers.length ? [] : [...(seen ? [seen.says] : []), ...pointers]
      const one = settled.find(s => s.kind === kind)
      if (one) return [{ kind, state: one.state, evidence: [sentence(one.evidence), ...evidence], settled: true }]
      return evidence.length ? [{ kind, state: seen?.state ?? 'suspected', evidence, settled: false }] : []
    })
    .sort((a, b) => rank[a.state] - rank[b.state])
}

const sentence = (text: string) => (/[.?…]$/.test(text) ? text : `${text}.`)

/** Whether a fact says less than a hazard that somebody found would. */
const isWeaker = (fact: Level, hazard: Level) => ({ stop: 2, care: 1, note: 0, fine: 0 })[fact] < { stop: 2, care: 1, note: 0, fine: 0 }[hazard]

/**
 * What hazards that are present say to the gate, beyond what the facts for power say themselves.
 * A hazard can only close the gate; one that is suspected, dealt with or ruled out says nothing here.
 */
export function hazardReasons(
  hazards: readonly Hazard[],
  facts: PowerFacts,
  configuration: Configuration,
): { finding: Finding; open?: { code: string; do: string; who: string; skill?: Skill } }[] {
  return hazards
    .filter(
      h =>
        h.state === 'present' &&
        isConnected('hazards', h.kind, configuration) &&
        (!shown(h.kind, facts) || (h.settled && isWeaker(shown(h.kind, facts)!.level, hazardKinds[h.kind].gate))),
    )
    .map(({ kind, evidence }) => {
      const { title, gate, deal, who, skill }: HazardKindRow = hazardKinds[kind]
      const code = `gate.hazard.${kind}`
      return {
        finding: finding(gate, code, `Hazard present: ${title.charAt(0).toLowerCase()}${title.slice(1)}.`, evidence, commonPractice),
        ...(gate === 'note' ? {} : { open: { code, do: deal, who, ...(skill ? { skill } : {}) } }),
      }
    })
}
