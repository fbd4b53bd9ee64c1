import type { InterventionKind, InterventionState } from '../condition/interventions'
import type { DamageSeen } from '../condition/implied-checks'
import type { Presence } from '../condition/grades'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import type { CautionName } from './cautions'
import { referenceMassKg } from './lift'
import { type PowerFactName, type PowerFacts, factValue, powerFacts } from './power-facts'

/** What is known of a hazard: nobody has found out yet, it is there, it has been dealt with, or it is not there. */
export const hazardStates = ['suspected', 'present', 'dealt-with', 'ruled-out'] as const
export type HazardState = (typeof hazardStates)[number]
export const hazardStateNames: Record<HazardState, string> = { 'suspected': 'Suspected', 'present': 'Present', 'dealt-with': 'Dealt with', 'ruled-out': 'Ruled out' }

export interface HazardKindRow {
  title: string
  /** What it does to the gate while it is present. */
  gate: 'stop' | 'care' | 'note'
  caution: CautionName
  /** What takes it away. */
  deal: string
  who: string
}

const anyone = 'a bench volunteer'
const mains = 'someone experienced with mains supplies'

/** Kinds of hazard, with what each does to the gate while it is there. Common practice, no source. */
export const hazardKinds = {
  'mains-wiring': { title: 'Mains wiring', gate: 'stop', caution: 'mains', deal: 'Make the mains wiring good and check the earth.', who: mains },
  'line-filter': { title: 'Line-filter capacitors', gate: 'care', caution: 'mains', deal: 'Replace the line-filter capacitors with new safety-rated ones.', who: mains },
  'bulging-capacitors': { title: 'Bulging or leaking capacitors', gate: 'stop', caution: 'stored-charge', deal: 'Replace the capacitors that bulge or leak.', who: anyone },
  'stored-charge': { title: 'Stored charge', gate: 'note', caution: 'stored-charge', deal: 'Measure, discharge through a resistor, measure again.', who: 'someone who has been shown how' },
  'picture-tube': { title: 'Picture tube', gate: 'note', caution: 'picture-tube', deal: 'Keep its covers on; leave tube work to people trained in it.', who: 'someone trained in picture tubes' },
  'battery': { title: 'Battery', gate: 'stop', caution: 'battery', deal: 'Take the battery out; neutralise and clean what it touched.', who: anyone },
  'liquid': { title: 'Liquid', gate: 'stop', caution: 'wet', deal: 'Clean, dry it through, and look again.', who: anyone },
  'conductive-dirt': { title: 'Conductive dirt', gate: 'stop', caution: 'dust-mould', deal: 'Clean the inside and look again.', who: anyone },
  'mould': { title: 'Mould', gate: 'note', caution: 'dust-mould', deal: 'Work with a mask at an extractor; let it dry out.', who: anyone },
  'burnt-trace': { title: 'Burnt trace or part', gate: 'stop', caution: 'mains', deal: 'Find what burnt it, repair it, and measure before power.', who: anyone },
  'shorted-rail': { title: 'Shorted rail', gate: 'stop', caution: 'stored-charge', deal: 'Find and clear the short, and measure again.', who: 'a bench volunteer with a meter' },
  'unknown-supply': { title: 'Unknown supply', gate: 'stop', caution: 'mains', deal: 'Identify the supply, or use a bench supply with a current limit.', who: mains },
  'unknown-wiring': { title: 'Unknown wiring', gate: 'stop', caution: 'mains', deal: 'Trace the wiring and write down what it does.', who: anyone },
  'missing-fan': { title: 'Missing fan', gate: 'care', caution: 'mains', deal: 'Free or replace the fan.', who: anyone },
  'heavy': { title: 'Heavy', gate: 'note', caution: 'lifting', deal: 'Lift with enough people, or with gear.', who: 'people who feel able to' },
  'sharp': { title: 'Sharp edges or broken glass', gate: 'note', caution: 'glass', deal: 'Gloves and eye protection; cover or take out what is broken.', who: anyone },
  'smoke': { title: 'Smoke reported', gate: 'stop', caution: 'mains', deal: 'Find what smoked, and replace or clear it.', who: anyone },
  'old-insulation': { title: 'Old insulation', gate: 'stop', caution: 'mains', deal: 'Replace wires whose insulation cracks or sticks.', who: mains },
} as const satisfies Record<string, HazardKindRow>
export type HazardKind = keyof typeof hazardKinds
export const hazardKindNames = Object.keys(hazardKinds) as HazardKind[]

/** What a machine's records say that may point to a hazard. */
export interface HazardSigns {
  facts: PowerFacts
  assemblies: { name: string, presence: Presence }[]
  damages: DamageSeen[]
  claims: string[]
  interventions: { kind: InterventionKind, state: InterventionState, where: string }[]
  knownFaults: string[]
  massKg: number | null
}

/** What somebody found out about one hazard. */
export interface HazardSettled { kind: HazardKind, state: HazardState, evidence: string }

export interface Hazard { kind: HazardKind, state: HazardState, evidence: string[] }

const fact = (name: PowerFactName, values: string[]) => ({ facts }: HazardSigns) => (values.includes(facts[name] ?? '') ? [`Facts for power: ${powerFacts[name].title.toLowerCase()}, ${factValue(name, facts[name])!.label.toLowerCase()}.`] : [])
const damaged = (kinds: DamageSeen['kind'][], near: RegExp = /./) => ({ damages }: HazardSigns) => damages.filter(d => kinds.includes(d.kind) && near.test(`${d.assembly} ${d.where}`)).map(d => `Damage: ${d.kind.replace('-', ' ')}, ${[d.assembly.toLowerCase(), d.where].filter(Boolean).join(', ')}.`)
const said = (words: RegExp) => ({ claims }: HazardSigns) => claims.filter(c => words.test(c)).map(c => `Claimed: “${c}”.`)
const known = (words: RegExp) => ({ knownFaults }: HazardSigns) => knownFaults.filter(f => words.test(f)).map(f => `Known of the model: ${f}.`)
const part = (words: RegExp) => ({ assemblies }: HazardSigns) => assemblies.filter(a => a.presence !== 'missing' && words.test(a.name)).map(a => `It has one: ${a.name.toLowerCase()}.`)

/** Where each hazard shows. Common practice, no source. */
const signs: Partial<Record<HazardKind, ((found: HazardSigns) => string[])[]>> = {
  'mains-wiring': [fact('mainsLead', ['cut']), said(/shock|tingl|live case|trips/i)],
  'line-filter': [fact('filterCapacitors', ['cracked', 'sound']), damaged(['crack'], /filter|mains|inlet/i), known(/line[- ]filter/i)],
  'bulging-capacitors': [damaged(['bulge'])],
  'stored-charge': [part(/supply|tube|monitor|display/i)],
  'picture-tube': [fact('pictureTube', ['open', 'enclosed']), part(/picture tube|monitor/i)],
  'battery': [fact('battery', ['in', 'leaking', 'residue']), damaged(['crust'], /batter|barrel|cell|clock/i), known(/batter|barrel/i), part(/batter/i)],
  'liquid': [fact('liquidOrDirt', ['yes']), damaged(['tide-line']), said(/water|flood|sea\b|coffee|tea\b|beer|rain|rinsed|wet/i)],
  'conductive-dirt': [said(/soot|chimney|workshop|metal dust/i)],
  'mould': [damaged(['growth'])],
  'burnt-trace': [fact('burntTrace', ['yes']), damaged(['burn'])],
  'shorted-rail': [fact('shortedRail', ['yes'])],
  'unknown-supply': [fact('supply', ['doubtful', 'missing'])],
  'unknown-wiring': [fact('wiring', ['doubtful']), ({ interventions }) => interventions.filter(i => ['added-wire', 'cut-lead'].includes(i.kind) && i.state === 'not-understood').map(i => `Somebody was here before: ${i.kind.replace('-', ' ')}, ${i.where}.`)],
  'missing-fan': [fact('fan', ['missing'])],
  'heavy': [({ massKg }) => (massKg !== null && massKg > referenceMassKg ? [`${massKg} kg; more than ${referenceMassKg} kg is not lifted alone.`] : [])],
  'sharp': [damaged(['break'], /glass|tube|case|edge/i)],
  'smoke': [fact('smoke', ['yes']), said(/smok|burn|bang|smell/i)],
  'old-insulation': [damaged(['crack', 'wear'], /insulation|cable|flex/i)],
}

/** Hazards that the gate hears of through the facts for power, so that one reason is not given twice. */
const heardByFact: Partial<Record<HazardKind, PowerFactName>> = {
  'mains-wiring': 'mainsLead', 'line-filter': 'filterCapacitors', 'battery': 'battery', 'liquid': 'liquidOrDirt', 'burnt-trace': 'burntTrace', 'shorted-rail': 'shortedRail',
  'unknown-supply': 'supply', 'unknown-wiring': 'wiring', 'missing-fan': 'fan', 'picture-tube': 'pictureTube', 'smoke': 'smoke',
}

/**
 * The hazards of a machine: suspected where its records point to one, else as somebody settled it.
 * What was settled stands, whatever the records say; they stay beside it as evidence.
 * @returns each hazard once, those present first, then the suspected, then what was dealt with or ruled out
 */
export function hazardsOf(found: HazardSigns, settled: readonly HazardSettled[]): Hazard[] {
  const rank: Record<HazardState, number> = { 'present': 0, 'suspected': 1, 'dealt-with': 2, 'ruled-out': 3 }
  return hazardKindNames.flatMap((kind): Hazard[] => {
    const evidence = (signs[kind] ?? []).flatMap(sign => sign(found))
    const one = settled.find(s => s.kind === kind)
    if (one) return [{ kind, state: one.state, evidence: [one.evidence, ...evidence] }]
    return evidence.length ? [{ kind, state: 'suspected', evidence }] : []
  }).sort((a, b) => rank[a.state] - rank[b.state])
}

/**
 * What hazards that are present say to the gate, beyond what the facts for power say themselves.
 * A hazard can only close the gate; one that is suspected, dealt with or ruled out says nothing here.
 */
export function hazardReasons(hazards: readonly Hazard[], facts: PowerFacts): { finding: Finding, open?: { code: string, do: string, who: string } }[] {
  return hazards.filter(h => h.state === 'present' && !factSays(h.kind, facts)).map(({ kind, evidence }) => {
    const { title, gate, deal, who } = hazardKinds[kind]
    const code = `gate.hazard.${kind}`
    return { finding: finding(gate, code, `Hazard present: ${title.charAt(0).toLowerCase()}${title.slice(1)}.`, evidence, commonPractice), ...(gate === 'note' ? {} : { open: { code, do: deal, who } }) }
  })
}

/** Whether the facts already give the same reason. */
function factSays(kind: HazardKind, facts: PowerFacts): boolean {
  const name = heardByFact[kind]
  return name !== undefined && signs[kind]!.some(sign => sign({ facts: { [name]: facts[name] }, assemblies: [], damages: [], claims: [], interventions: [], knownFaults: [], massKg: null }).length > 0)
}
