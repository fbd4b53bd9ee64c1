import { type DamageKind, damageKinds } from '../condition/damage'
import { type Finding, finding } from '../kernel/finding'
import type { CautionName } from '../safety/cautions'
import { methodTable } from './method-table'
import { immersive, lookUp, rankMethods } from './methods'
import {
  type CleaningSchools,
  type Material,
  type Method,
  type Soil,
  type Working,
  isNeutralising,
  materialNames,
  materials,
  methods,
  soilNames,
  soils,
} from './words'

/** A part of a machine as it is cleaned. */
export interface PlanPart {
  name: string
  materials: readonly Material[]
  soils: readonly Soil[]
  works: Working
  /** Chips in sockets come out before a bath. */
  socketed?: boolean
}
export interface PlanInput {
  parts: readonly PlanPart[]
  schools: CleaningSchools
}
/** What is done to a part: a method of the table, or what has to come before and after one. */
export const stepKinds = ['photograph', 'take-off', 'test', 'method', 'seal', 'look-again', 'find-out'] as const
export type StepKind = (typeof stepKinds)[number]
export interface PlannedStep {
  part: string
  kind: StepKind
  method: Method | null
  says: string
  why: string
  minutes: number
  cautions: CautionName[]
  wait: { what: string; hours: number } | null
}
export interface CleaningPlan {
  steps: PlannedStep[]
  minutes: number
  findings: Finding[]
}

/** Where a soil is found at all; else a plan would look for rust on plastic. Common practice, no source. */
const sitsOn: Record<Soil, readonly Material[]> = {
  'dust': materialNames,
  'smoke-film': materialNames.filter(m => !['foam', 'tube-coating'].includes(m)),
  'soot': materialNames.filter(m => !['foam', 'tube-coating'].includes(m)),
  'grease': [
    'abs',
    'painted-metal',
    'bare-steel',
    'plated-steel',
    'aluminium',
    'gold-contacts',
    'tin-contacts',
    'masked-board',
    'legends',
    'rubber',
    'glass',
    'membrane',
  ],
  'alkali': ['bare-board', 'masked-board', 'gold-contacts', 'tin-contacts', 'bare-steel', 'plated-steel', 'aluminium', 'painted-metal'],
  'acid': ['bare-board', 'masked-board', 'gold-contacts', 'tin-contacts', 'bare-steel', 'plated-steel', 'aluminium', 'painted-metal'],
  'electrolyte': ['bare-board', 'masked-board', 'tin-contacts'],
  'rust': ['bare-steel', 'plated-steel', 'painted-metal', 'tin-contacts'],
  'mould': materialNames.filter(m => m !== 'tube-coating'),
  'adhesive': ['abs', 'painted-metal', 'glass', 'legends'],
  'tar': ['rubber', 'bare-steel', 'aluminium', 'abs'],
  'ink': ['abs', 'painted-metal'],
  'yellowing': ['abs'],
}
/** Soils that harm people or go on eating come first, then what is loose, then films, then what is only seen. Common practice, no source. */
const soilPhase: Record<Soil, number> = {
  'mould': 0,
  'alkali': 0,
  'acid': 0,
  'dust': 2,
  'soot': 3,
  'electrolyte': 3,
  'tar': 3,
  'smoke-film': 4,
  'grease': 4,
  'rust': 5,
  'adhesive': 5,
  'ink': 6,
  'yellowing': 7,
}
/** Minutes of one part, by method. Our own guesses, from common practice, no source. */
const minutesOf: Record<Method, number> = {
  'leave': 0,
  'brush': 15,
  'air': 10,
  'conditioner': 15,
  'solvent-wipe': 25,
  'soapy-water': 60,
  'contact-cleaner': 20,
  'acid-neutralise': 40,
  'alkali-neutralise': 40,
  'fibre-pen': 30,
  'abrasive': 40,
  'wet-wash': 60,
  'ultrasonic': 45,
  'rust-remover': 40,
  'whitening': 60,
}
/** What dries afterwards, and for how long at least. Common practice, no source: some hours at 40 °C after a wash. */
const dryHours: Partial<Record<Method, number>> = {
  'soapy-water': 12,
  'acid-neutralise': 6,
  'alkali-neutralise': 6,
  'wet-wash': 12,
  'ultrasonic': 12,
  'rust-remover': 3,
}
/** What dries after a method, and for how long at least; nothing after a dry one. */
export function waitAfter(method: Method, part: string): PlannedStep['wait'] {
  const hours = dryHours[method]
  return hours ? { what: `${part} drying after: ${methods[method].toLowerCase()}`, hours } : null
}
/** From so many minutes of cosmetic work on, a short test comes first. */
const worthTestingMinutes = 45
const cosmetic: readonly Soil[] = ['smoke-film', 'grease', 'adhesive', 'ink', 'yellowing', 'rust']

interface Job {
  method: Method
  phase: number
  soils: Soil[]
  materials: Material[]
  careful: string[]
}

/**
 * A plan of cleaning, from what a machine's parts are made of and soiled with.
 *
 * Hazards come first, loose before wet; what must not go into a bath comes off before it; a part that nobody has seen working is tested before hours of
 * cosmetic work. Each step is the best that the table allows for the materials it touches; where it allows nothing, the plan says so and sets nobody to it.
 */
export function planCleaning({ parts, schools }: PlanInput): CleaningPlan {
  const findings: Finding[] = []
  const planned = parts.flatMap((part, order) => stepsOf(part, schools, findings).map(step => ({ ...step, order })))
  // Over the whole machine: every hazard before anything else; then part by part, in the order of the phases.
  planned.sort((a, b) => Number(a.phase >= 1) - Number(b.phase >= 1) || a.order - b.order || a.phase - b.phase)
  const steps = planned.map(({ order: _, phase: __, ...step }) => step)
  return { steps, minutes: steps.reduce((sum, s) => sum + s.minutes, 0), findings }
}

type Placed = PlannedStep & { phase: number }

/** What is to be done to a part, by method; what nothing is known for is told by itself. */
function jobsOf(part: PlanPart, schools: CleaningSchools): { jobs: Job[]; unknown: string[]; findings: Finding[] } {
  const jobs: Job[] = []
  const unknown: string[] = []
  const findings: Finding[] = []
  for (const soil of soilNames.filter(s => part.soils.includes(s))) {
    const on = part.materials.filter(m => sitsOn[soil].includes(m))
    if (!on.length) unknown.push(`${soils[soil].toLowerCase()}, as nothing that it is made of is known to hold it`)
    for (const material of on) {
      const { ranked } = rankMethods({ material, soil, works: part.works, schools })
      const best = ranked.find(r => r.suits === 'suited' || r.suits === 'careful')
      const there = `${soils[soil].toLowerCase()} on ${materials[material].toLowerCase()}`
      if (!best) unknown.push(there)
      else if (best.method !== 'leave') addJob(jobs, soil, material, best)
      else if (soil === 'yellowing')
        findings.push(finding('note', 'plan.patina', `${part.name}: the yellowing is left as patina.`, 'The practice here; a machine may differ.'))
      else unknown.push(`${there}: left alone, nothing better is known`)
    }
  }
  if (!part.materials.length && part.soils.length)
    findings.push(
      finding('care', 'plan.material-unknown', `${part.name}: nobody has said what it is made of.`, 'Nothing is planned for it: the wrong bath spoils it.'),
    )
  return { jobs, unknown, findings }
}

/** One method on one part is one job, hazards apart from the rest. */
function addJob(jobs: Job[], soil: Soil, material: Material, { method, findings }: { method: Method; findings: readonly Finding[] }): void {
  const phase = soilPhase[soil]
  const careful = findings.filter(f => f.level === 'care').map(f => f.says)
  const job = jobs.find(j => j.method === method && (j.phase === phase || (j.phase > 0 && phase > 0)))
  if (!job) return void jobs.push({ method, phase, soils: [soil], materials: [material], careful })
  job.phase = Math.min(job.phase, phase)
  job.soils = [...new Set([...job.soils, soil])]
  job.materials = [...new Set([...job.materials, material])]
  job.careful = [...new Set([...job.careful, ...careful])]
}

function stepsOf(part: PlanPart, schools: CleaningSchools, all: Finding[]): Placed[] {
  const { jobs, unknown, findings } = jobsOf(part, schools)
  all.push(...findings)
  const steps: Placed[] = []
  const put = (phase: number, kind: StepKind, more: Partial<PlannedStep> & Pick<PlannedStep, 'says' | 'why'>) =>
    steps.push({ phase, part: part.name, kind, method: null, minutes: 10, cautions: [], wait: null, ...more })

  const wet = jobs.filter(j => immersive.includes(j.method))
  // Not only what the bath is for: whatever the part is made of goes in with it.
  const stayOut = [...new Set(wet.flatMap(j => part.materials.filter(m => soakedBy(j, m))))]
  if (wet.length) {
    put(1, 'photograph', {
      says: `Photograph ${lower(part.name)}: positions, wiring, orientation`,
      why: 'The photograph is the map of where everything goes back.',
      minutes: 5,
    })
    put(1, 'take-off', {
      says: `Take off or keep dry, ${lower(part.name)}: ${[...stayOut.map(m => materials[m].toLowerCase()), ...(part.socketed ? ['chips in sockets'] : []), 'any battery'].join(', ')}`,
      why: 'It must not get wet, and a battery in a bath corrodes what it touches. Count out what you take off, and count it back in.',
      minutes: 20,
    })
  }
  const cosmeticMinutes = jobs.filter(j => j.soils.some(s => cosmetic.includes(s))).reduce((sum, j) => sum + minutesOf[j.method], 0)
  if (part.works === 'not-known' && cosmeticMinutes >= worthTestingMinutes)
    put(2.5, 'test', {
      says: `Test ${lower(part.name)} briefly, if the gate allows it`,
      why: `Nobody has seen it work, and ${cosmeticMinutes} minutes of cosmetic work are planned. What is scrubbed for a day may turn out dead.`,
      minutes: 20,
      cautions: ['mains'],
    })
  for (const job of jobs) {
    const what = `${job.soils.map(s => soils[s].toLowerCase()).join(', ')} on ${job.materials.map(m => materials[m].toLowerCase()).join(', ')}`
    put(job.phase, 'method', {
      method: job.method,
      says: `${methods[job.method]}: ${lower(part.name)}`,
      why: `${upper(what)}.${job.careful.length ? ` With care: ${job.careful.join(' ')}` : ''}`,
      minutes: minutesOf[job.method],
      cautions: [...(methodTable[job.method].caution ?? [])],
      wait: waitAfter(job.method, part.name),
    })
  }
  const chemical = jobs.filter(j => isNeutralising(j.method))
  if (chemical.length || jobs.some(j => j.method === 'fibre-pen' && j.materials.some(m => m.endsWith('board'))))
    put(chemical.length ? 0.5 : 5.5, 'look-again', {
      says: `Look again at ${lower(part.name)}: under sockets and the battery, on the other side, at a slant`,
      why: 'What creeps under the mask goes on eating; only looking again says that it is gone.',
      minutes: 15,
    })
  if (part.materials.includes('bare-board') || chemical.some(j => j.materials.some(m => m.endsWith('board'))))
    put(8, 'seal', {
      says: `Seal bare copper on ${lower(part.name)}, pads kept free`,
      why: 'Bare copper corrodes again. Mask cured by ultraviolet, or plain lacquer.',
      minutes: 20,
      cautions: ['ultraviolet', 'solvents'],
      wait: { what: `${part.name}: mask or lacquer hardening`, hours: 2 },
    })
  if (unknown.length)
    put(9, 'find-out', {
      says: `Find out how to clean ${lower(part.name)}: ${unknown.join('; ')}`,
      why: 'Not known: try where it cannot be seen, the gentlest first; or leave it alone.',
      minutes: 15,
    })
  return steps
}

/** Whether a material must not go into the bath of a job. */
const soakedBy = ({ method, soils: against }: Job, material: Material) => against.every(soil => lookUp(method, material, soil).suits === 'never')

const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1)
const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** What a part is probably made of, by its name; somebody says so before anything is wetted. Common practice, no source. */
const byName: readonly (readonly [words: RegExp, made: readonly Material[]])[] = [
  [/membrane|sealed key/i, ['membrane', 'conductive-ink', 'abs']],
  [/keyboard|keycap|keys?\b/i, ['abs', 'legends', 'tin-contacts']],
  [/speaker/i, ['speaker', 'paper']],
  [/tube|monitor|display|crt/i, ['glass', 'tube-coating', 'abs']],
  [/supply|transformer/i, ['transformer', 'painted-metal', 'masked-board']],
  [/drive|disk|disc|tape/i, ['bare-steel', 'aluminium', 'rubber']],
  [/board|card|backplane|logic|memory|video|controller|processor/i, ['masked-board', 'tin-contacts']],
  [/case|bezel|cover|housing|shell|lid/i, ['abs', 'legends']],
  [/chassis|frame|cage|bracket|desk|rack/i, ['painted-metal', 'bare-steel']],
  [/roller|belt|feet|foot|gasket/i, ['rubber']],
  [/lead|cable|connector|port/i, ['tin-contacts', 'rubber']],
]
export const guessMaterials = (name: string): Material[] => [...(byName.find(([words]) => words.test(name))?.[1] ?? [])]

/** What damage that was marked says of the soil; what a stain is, nobody can tell from its mark. Common practice, no source. */
const soilOfDamage: Partial<Record<DamageKind, Soil>> = { 'rust': 'rust', 'growth': 'mould', 'tide-line': 'dust' }
/** @param leaked whether a battery of the machine has leaked: only then is a crust taken for its residue */
export function guessSoils(damages: readonly { kind: DamageKind; where: string; patina?: string }[], leaked: 'alkali' | 'acid' | null): Soil[] {
  const found = damages.flatMap(({ kind, where, patina }): Soil[] => {
    // What is left as patina is no soil to be cleaned off.
    if (patina) return []
    if (kind === 'crust') return leaked ? [leaked] : ['electrolyte']
    if (kind === 'stain' && /yellow/i.test(where)) return ['yellowing']
    return soilOfDamage[kind] ? [soilOfDamage[kind]] : []
  })
  return soilNames.filter(s => s === 'dust' || found.includes(s))
}

/** What somebody has left as patina, so that nobody tries again. */
export const patinaLeft = (damages: readonly { kind: DamageKind; where: string; patina: string }[]): Finding[] =>
  damages
    .filter(d => d.patina)
    .map(d => finding('note', 'plan.patina-left', `${damageKinds[d.kind]}, ${d.where}: it stays as patina; leave it alone.`, d.patina))
