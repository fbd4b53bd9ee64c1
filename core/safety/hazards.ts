import type { InterventionKind, InterventionState } from '../condition/interventions'
import type { DamageSeen } from '../condition/implied-checks'
import { type Presence, isAway } from '../condition/grades'
import { type Attributes, type Level, commonPractice, finding, orderOf } from '../kernel/finding'
import type { CautionName } from './cautions'
import { type Configuration, isConnected } from './configuration'
import { referenceMassKg } from './lift'
import { type Skill, skills } from '../kernel/skills'
import { readForHazards } from './free-text'
import { type Heard, contradiction, heard } from '../kernel/heard'
import { type PowerFactName, type PowerFacts, type School, factValue, powerFacts } from './power-facts'

/** What is known of a hazard: nobody has found out yet, it is there, it has been dealt with, or it is not there. */
export const hazardStates = ['suspected', 'present', 'dealt-with', 'ruled-out'] as const
export type HazardState = (typeof hazardStates)[number]
export const hazardStateNames: Record<HazardState, string> = {
  'suspected': 'Suspected',
  'present': 'Present',
  'dealt-with': 'Dealt with',
  'ruled-out': 'Ruled out',
}

export interface HazardKindRow extends Pick<Attributes, 'concerns' | 'when'> {
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
  'mains-wiring': {
    concerns: 'mains',
    title: 'Mains wiring',
    gate: 'stop',
    caution: 'mains',
    deal: 'Make the mains wiring good and check the earth.',
    ...skilled('mains'),
  },
  'line-filter': {
    concerns: 'line-filter',
    title: 'Line-filter capacitors',
    gate: 'care',
    caution: 'mains',
    deal: 'Replace the line-filter capacitors with new safety-rated ones.',
    ...skilled('mains'),
  },
  'bulging-capacitors': {
    concerns: 'line-filter',
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
  'battery': {
    concerns: 'battery',
    title: 'Battery',
    gate: 'stop',
    caution: 'battery',
    deal: 'Take the battery out; neutralise and clean what it touched.',
    ...anyone,
  },
  'liquid': { concerns: 'wet', when: 'dry', title: 'Liquid', gate: 'stop', caution: 'wet', deal: 'Clean, dry it through, and look again.', ...anyone },
  'conductive-dirt': {
    concerns: 'wet',
    when: 'dry',
    title: 'Conductive dirt',
    gate: 'stop',
    caution: 'dust-mould',
    deal: 'Clean the inside and look again.',
    ...anyone,
  },
  'mould': { title: 'Mould', gate: 'note', caution: 'dust-mould', deal: 'Work with a mask at an extractor; let it dry out.', ...anyone },
  'burnt-trace': {
    concerns: 'burnt',
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
    concerns: 'supply',
    title: 'Unknown supply',
    gate: 'stop',
    caution: 'mains',
    deal: 'Identify the supply, or use a bench supply with a current limit.',
    ...skilled('mains'),
  },
  'unknown-wiring': {
    concerns: 'mains',
    title: 'Unknown wiring',
    gate: 'stop',
    caution: 'mains',
    deal: 'Trace the wiring and write down what it does.',
    ...anyone,
  },
  'missing-fan': { title: 'Missing fan', gate: 'care', caution: 'mains', deal: 'Free or replace the fan.', ...anyone },
  'heavy': { title: 'Heavy', gate: 'note', caution: 'lifting', deal: 'Lift with enough people, or with gear.', ...skilled('lifting') },
  'sharp': {
    title: 'Sharp edges or broken glass',
    gate: 'note',
    caution: 'glass',
    deal: 'Gloves and eye protection; cover or take out what is broken.',
    ...anyone,
  },
  'heat': { title: 'Something runs hot', gate: 'care', caution: 'mains', deal: 'Find out why it runs hot, and take its temperature.', ...anyone },
  'loose-metal': {
    title: 'Something loose inside',
    gate: 'stop',
    caution: 'mains',
    deal: 'Find what is loose, take it out, and look for what it touched.',
    ...anyone,
  },
  'smoke': { concerns: 'smoke', title: 'Smoke reported', gate: 'stop', caution: 'mains', deal: 'Find what smoked, and replace or clear it.', ...anyone },
  'old-insulation': {
    concerns: 'mains',
    title: 'Old insulation',
    gate: 'stop',
    caution: 'mains',
    deal: 'Replace wires whose insulation cracks or sticks.',
    ...skilled('mains'),
  },
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

/** An instant in UTC; left out where it is not known when something was written down, which counts as long ago. */
type When = { at?: string }

/** How something came to be said: claimed by somebody, found true since, noticed by those who stood there, or written down and not asked about yet. */
const saidHow = { claimed: 'Claimed', confirmed: 'Found true', noticed: 'Noticed', written: 'Written' }
/** What was only said, and nobody has found true. */
const onlySaid: readonly (keyof typeof saidHow)[] = ['claimed', 'written']

/** A sentence that somebody wrote, heard as speaking of a hazard. */
export interface Saying extends When {
  kind: HazardKind
  sentence: string
  /** Whether somebody has said what it was: yes, that; no, something else; or nobody yet. */
  state: 'open' | 'yes' | 'no'
}

/** What a machine's records say that may point to a hazard. */
export interface HazardSigns {
  facts: PowerFacts
  /** When each fact was answered, or its record last changed. */
  answeredAt?: Partial<Record<PowerFactName, string>>
  assemblies: { name: string; presence: Presence }[]
  damages: (DamageSeen & When)[]
  /** Claims that nobody has refuted, and what was witnessed. */
  claims: ({ says: string; how?: keyof typeof saidHow } & When)[]
  /** What was heard in anything else that people wrote. */
  sayings?: readonly Saying[]
  /** Words that symptoms of faults were given: they need no guess. */
  symptoms?: readonly ({ word: string; symptom: string; open: boolean } & When)[]
  interventions: ({ kind: InterventionKind; state: InterventionState; where: string } & When)[]
  knownFaults: string[]
  /** Machines of the same model whose battery was found leaking. */
  sistersLeaked?: number
  massKg: number | null
}

/** What somebody found out about one hazard. */
export interface HazardSettled extends When {
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
  /** Whether somebody saw the damage itself. */
  seen?: boolean
}

/** How much a sign weighs: damage that was seen, a thing that was said, or what is known of the kind. */
type Weight = 'seen' | 'said' | 'known'
interface Sign extends When {
  weight: Weight
  says: string
}

const damaged =
  (kinds: DamageSeen['kind'][], near: RegExp = /./) =>
  ({ damages }: HazardSigns): Sign[] =>
    damages
      .filter(d => kinds.includes(d.kind) && near.test(`${d.assembly} ${d.where}`))
      .map(({ kind, assembly, where, at }) => ({
        weight: 'seen',
        says: `Damage: ${kind.replace('-', ' ')}, ${[assembly.toLowerCase(), where].filter(Boolean).join(', ')}.`,
        at,
      }))
const said =
  (kind: HazardKind) =>
  ({ claims, sayings = [] }: HazardSigns): Sign[] => [
    ...claims
      .filter(c => readForHazards(c.says).some(h => h.kind === kind))
      .map(({ says, how = 'claimed', at }): Sign => ({ weight: onlySaid.includes(how) ? 'said' : 'seen', says: `${saidHow[how]}: “${says}”.`, at })),
    ...sayings
      .filter(s => s.kind === kind && s.state !== 'no')
      .map(({ sentence: words, state, at }): Sign => {
        const how = state === 'yes' ? 'confirmed' : 'written'
        return { weight: onlySaid.includes(how) ? 'said' : 'seen', says: `${saidHow[how]}: “${words}”.`, at }
      }),
  ]
/** Symptoms that are dangers by their word alone; one that was mended is still to be said to be gone. */
const symptom =
  (...words: string[]) =>
  ({ symptoms = [] }: HazardSigns): Sign[] =>
    symptoms.filter(s => words.includes(s.word)).map(({ symptom, open, at }) => ({ weight: open ? 'seen' : 'said', says: `Fault: “${symptom}”.`, at }))
/** A part that is looked for by name and was found missing. */
const missing =
  (words: RegExp) =>
  ({ assemblies }: HazardSigns): Sign[] =>
    assemblies.filter(a => a.presence === 'missing' && words.test(a.name)).map(a => ({ weight: 'seen', says: `Missing: ${a.name.toLowerCase()}.` }))
const known =
  (words: RegExp) =>
  ({ knownFaults }: HazardSigns): Sign[] =>
    knownFaults.filter(f => words.test(f)).map(f => ({ weight: 'known', says: `Known of the model: ${f}.` }))
const sisters = ({ sistersLeaked = 0 }: HazardSigns): Sign[] =>
  sistersLeaked ? [{ weight: 'known', says: `${sistersLeaked} of the same model had a leaking battery.` }] : []
const part =
  (words: RegExp) =>
  ({ assemblies }: HazardSigns): Sign[] =>
    assemblies.filter(a => !isAway(a.presence) && words.test(a.name)).map(a => ({ weight: 'known', says: `It has one: ${a.name.toLowerCase()}.` }))

/** Whether a model is known for batteries that leak. */
export const leakingBatteryKnown = (knownFaults: readonly string[]): boolean => knownFaults.some(f => /batter|barrel/i.test(f) && /leak/i.test(f))

const mainsCable = /(mains|power|supply) (lead|cable|cord|flex|plug|wire)|\bplug\b|flex\b|strain relief/i
const filterCapacitor = /filter|mains (inlet|capacitor|switch)|\b[xy]2?\b.*capacitor|paper capacitor/i
/** Where each hazard shows, beside what people wrote of it. Common practice, no source. */
const signs: Partial<Record<HazardKind, ((found: HazardSigns) => Sign[])[]>> = {
  'mains-wiring': [damaged(['crack', 'break', 'burn', 'wear', 'altered'], mainsCable)],
  'line-filter': [damaged(['crack', 'bulge', 'burn'], filterCapacitor), known(/line[- ]filter/i)],
  'bulging-capacitors': [damaged(['bulge']), damaged(['crack', 'burn'], /capacitor|electrolytic/i)],
  'stored-charge': [part(/supply|tube|monitor|display/i)],
  'picture-tube': [part(/picture tube|monitor/i)],
  'battery': [damaged(['crust'], /batter|barrel|cell|clock/i), known(/batter|barrel/i), sisters, part(/batter/i)],
  'liquid': [damaged(['tide-line'])],
  'mould': [damaged(['growth'])],
  'burnt-trace': [damaged(['burn'])],
  'unknown-supply': [missing(/\b(power )?supply\b|\bpsu\b|\bpower (brick|pack|unit)\b|\badapt[eo]r\b/i)],
  'unknown-wiring': [
    ({ interventions }) =>
      interventions
        .filter(i => ['added-wire', 'cut-lead'].includes(i.kind) && i.state === 'not-understood')
        .map(({ kind, where, at }) => ({ weight: 'seen', says: `Earlier change: ${kind.replace('-', ' ')}, ${where}.`, at })),
  ],
  'missing-fan': [missing(/\bfan\b|\bblower\b/i)],
  'heat': [symptom('hot')],
  'heavy': [
    ({ massKg }) =>
      massKg !== null && massKg > referenceMassKg ? [{ weight: 'known', says: `${massKg} kg; more than ${referenceMassKg} kg is not lifted alone.` }] : [],
  ],
  'sharp': [damaged(['break'], /glass|tube|case|edge/i)],
  'smoke': [symptom('smoke', 'smell')],
  'old-insulation': [damaged(['crack', 'wear'], /insulation|(?<!ribbon |data |keyboard |drive |flat )cable|flex\b/i)],
}

/**
 * Facts for power that show a hazard, give reason to suspect one, say that it was dealt with, or deny it.
 * The gate hears of what they show through the facts themselves.
 */
interface FactSigns {
  name: PowerFactName
  present: string[]
  suspected?: string[]
  dealtWith?: string[]
  denied?: string[]
}
const shownBy: Partial<Record<HazardKind, FactSigns>> = {
  'mains-wiring': { name: 'mainsLead', present: ['cut'], denied: ['sound', 'not-used'] },
  'line-filter': { name: 'filterCapacitors', present: ['cracked'], suspected: ['sound'], dealtWith: ['replaced'], denied: ['none-fitted'] },
  'picture-tube': { name: 'pictureTube', present: ['open', 'enclosed'], denied: ['none'] },
  'battery': {
    name: 'battery',
    present: ['in', 'leaking', 'residue', 'mischarged'],
    suspected: ['unlooked'],
    dealtWith: ['out', 'replaced'],
    denied: ['none-fitted'],
  },
  'liquid': { name: 'liquidOrDirt', present: ['yes'], dealtWith: ['dried'], denied: ['no'] },
  'burnt-trace': { name: 'burntTrace', present: ['yes'], denied: ['no'] },
  'shorted-rail': { name: 'shortedRail', present: ['yes'], denied: ['no'] },
  'unknown-supply': { name: 'supply', present: ['doubtful'], denied: ['known'] },
  'unknown-wiring': { name: 'wiring', present: ['doubtful'], denied: ['known'] },
  'missing-fan': { name: 'fan', present: ['missing'], denied: ['present', 'none-fitted'] },
  'smoke': { name: 'smoke', present: ['yes'], dealtWith: ['traced'], denied: ['no'] },
}

interface Shown {
  fact: PowerFactName
  says: HazardState | 'denied'
  level: Level
  words: string
}
/** What a fact for power is about: the hazard that it shows, or itself. A danger that moves from one to the other has not gone. */
export const aboutFact = (name: PowerFactName): { about: string; leave?: Skill } => {
  const kind = hazardKindNames.find(k => shownBy[k]?.name === name)
  return kind ? aboutHazard(kind) : { about: `fact:${name}` }
}
/** What a hazard is known by, and what saying that it is gone takes. */
export function aboutHazard(kind: HazardKind): { about: string; leave?: Skill } {
  const leave = skillToSettle(kind, 'ruled-out')
  return { about: `hazard:${kind}`, ...(leave ? { leave } : {}) }
}

/** What the facts say of a hazard; nothing where no fact speaks of it, or nobody has looked. */
function shown(kind: HazardKind, facts: PowerFacts): Shown | undefined {
  const by = shownBy[kind]
  const value = by && facts[by.name]
  const row = by && factValue(by.name, value)
  if (!by || value === undefined || !row) return undefined
  const found: [Shown['says'], string[] | undefined][] = [
    ['present', by.present],
    ['suspected', by.suspected],
    ['dealt-with', by.dealtWith],
    ['denied', by.denied],
  ]
  const says = found.find(([, values]) => values?.includes(value))?.[0]
  return says && { fact: by.name, says, level: row.level, words: `Facts for power: ${powerFacts[by.name].title.toLowerCase()}, ${row.label.toLowerCase()}.` }
}

const isNewer = (one: string | undefined, other: string | undefined) => (one ?? '') > (other ?? '')

/** What the signs and the facts come to, while nobody has settled it. */
function unsettledState(seen: Shown | undefined, pointers: readonly Sign[], answeredAt: string | undefined): HazardState | undefined {
  if (seen?.says === 'present') return 'present'
  const observed = pointers.filter(p => p.weight === 'seen')
  // Work that was done after the damage was seen deals with it; an answer that only denies it does not.
  if (observed.length) return seen?.says === 'dealt-with' && observed.every(p => isNewer(answeredAt, p.at)) ? 'dealt-with' : 'present'
  // What was said since the answer is not answered by it.
  if (seen?.says === 'dealt-with' && pointers.some(p => p.weight === 'said' && p.at !== undefined && isNewer(p.at, answeredAt))) return 'suspected'
  if (seen?.says === 'dealt-with') return pointers.length ? 'dealt-with' : undefined
  if (seen?.says === 'denied') return pointers.some(p => p.weight === 'said') ? 'suspected' : pointers.length ? 'ruled-out' : undefined
  return seen?.says ?? (pointers.length ? 'suspected' : undefined)
}

/** What was settled stands until something newer speaks against it; nothing but a finding of somebody takes back *present*. */
function settledState(one: HazardSettled, pointers: readonly Sign[]): HazardState {
  const since = pointers.filter(p => p.at !== undefined && isNewer(p.at, one.at ?? '\uffff'))
  if (one.state === 'present' || since.some(p => p.weight === 'seen')) return 'present'
  return one.state === 'suspected' || since.some(p => p.weight === 'said') ? 'suspected' : one.state
}

/**
 * The hazards of a machine: present where the facts for power show one or the damage itself was seen, suspected where its records point to one,
 * else as somebody settled it. What was settled stands until something newer speaks against it; the records stay beside it as evidence.
 * @returns each hazard once, those present first, then the suspected, then what was dealt with or ruled out
 */
export function hazardsOf(found: HazardSigns, settled: readonly HazardSettled[]): Hazard[] {
  const rank: Record<HazardState, number> = { 'present': 0, 'suspected': 1, 'dealt-with': 2, 'ruled-out': 3 }
  return hazardKindNames
    .flatMap((kind): Hazard[] => {
      const fact = shown(kind, found.facts)
      const pointers = [...(signs[kind] ?? []), said(kind)].flatMap(sign => sign(found))
      const seen = pointers.some(p => p.weight === 'seen') ? { seen: true } : {}
      const evidence = [...(fact ? [fact.words] : []), ...pointers.map(p => p.says)]
      const one = settled.find(s => s.kind === kind)
      if (one) return [{ kind, state: settledState(one, pointers), evidence: [sentence(one.evidence), ...evidence], settled: true, ...seen }]
      const state = unsettledState(fact, pointers, fact && found.answeredAt?.[fact.fact])
      return state ? [{ kind, state, evidence, settled: false, ...seen }] : []
    })
    .sort((a, b) => rank[a.state] - rank[b.state])
}

const sentence = (text: string) => (/[.?…]$/.test(text) ? text : `${text}.`)

/** Whether a fact says less than a hazard that somebody found would. */
const isWeaker = (fact: Level, hazard: Level) => ({ stop: 2, care: 1, note: 0, fine: 0 })[fact] < { stop: 2, care: 1, note: 0, fine: 0 }[hazard]

const lowered = (title: string) => `${title.charAt(0).toLowerCase()}${title.slice(1)}`

/**
 * What the hazards of a machine say to the gate, beyond what the facts for power say themselves; it can only close it.
 * One that is present stops or guards; one that is suspected guards until it is settled, and where an answer denies what was said of it,
 * the machine is unassessed. What was dealt with or ruled out says nothing here.
 * Old line-filter capacitors stop under *caps first*; one that was seen cracked stops under every school.
 */
export function hazardReasons(
  hazards: readonly Hazard[],
  { facts, configuration, school }: { facts: PowerFacts; configuration: Configuration; school: School },
): Heard[] {
  return hazards
    .filter(h => isConnected('hazards', h.kind, configuration))
    .flatMap((hazard): Heard[] => {
      const { kind, state, evidence, settled, seen } = hazard
      const row: HazardKindRow = hazardKinds[kind]
      const { title, gate: usual, deal, who, skill } = row
      const gate = kind === 'line-filter' && (school === 'caps-first' || seen) ? 'stop' : usual
      const fact = shown(kind, facts)
      const about = aboutHazard(kind)
      const means = { who, ...(skill ? { skill } : {}), ...about }
      if (state === 'present') {
        if (fact && !((settled || seen) && isWeaker(fact.level, gate)) && fact.says === 'present') return []
        const found = finding(gate, `gate.hazard.${kind}`, `Hazard present: ${lowered(title)}.`, evidence, commonPractice, orderOf(row))
        return [gate === 'note' ? { finding: found } : heard(found, `${deal} Then say under Hazards what was found.`, means)]
      }
      // A caution for whoever handles it is none for the switch.
      if (state !== 'suspected' || gate === 'note' || (fact && fact.says === 'suspected')) return []
      return fact?.says === 'denied' && !settled
        ? [
            contradiction(
              `gate.suspected.${kind}`,
              `${title}: the answer and what was said do not agree.`,
              evidence,
              `Find out which is right: judge the claim, or say under Hazards what was found of ${lowered(title)}.`,
              { ...about, ...(about.leave ? { who, skill: about.leave } : {}) },
            ),
          ]
        : [
            heard(
              finding('care', `gate.suspected.${kind}`, `Suspected: ${lowered(title)}.`, evidence, commonPractice),
              `Confirm it or rule it out under Hazards. If it is there: ${lowered(deal)}`,
              { ...about, ...(about.leave ? { who, skill: about.leave } : {}) },
            ),
          ]
    })
}
