import { type Finding, commonPractice, finding } from '../kernel/finding'
import type { CautionName } from '../safety/cautions'
import { type Fit, methodTable } from './method-table'
import {
  type CleaningSchools,
  type Material,
  type Method,
  type Soil,
  type Working,
  materials,
  methodNames,
  methods,
  soils,
  usualSchools,
  workings,
} from './words'

export interface MethodsInput {
  material: Material
  soil: Soil
  works: Working
  schools?: CleaningSchools
}
export type Suits = Fit | 'no-use' | 'not-known'
export interface RankedMethod {
  method: Method
  suits: Suits
  /** Why, of the material and of the soil, as far as the table knows. */
  findings: Finding[]
  cautions: readonly CautionName[]
  /** Favoured by the school of the collection. */
  school: boolean
}
export interface MethodsResult {
  /** Best first: suited, careful, not known; then what serves nothing, and what must not be. */
  ranked: RankedMethod[]
  findings: Finding[]
}

/** Methods in which the whole part gets wet. */
export const immersive: readonly Method[] = ['soapy-water', 'wet-wash', 'ultrasonic', 'rust-remover']
const boardLike: readonly Material[] = ['bare-board', 'masked-board', 'gold-contacts', 'tin-contacts']
const boardMethod = { spot: 'solvent-wipe', wash: 'wet-wash', ultrasonic: 'ultrasonic' } as const satisfies Record<CleaningSchools['boards'], Method>

/** Methods that touch only the place they are meant for; whatever else the part is made of is not harmed by them. */
const local: readonly Method[] = ['brush', 'air', 'solvent-wipe']

/** Why a method must not be used on a part made of these; nothing where it may. Without a known material there is nothing to go by. */
export function refusalOf(method: Method, made: readonly Material[], soil: Soil): string {
  if (!made.length) return 'Say first what it is made of; the wrong bath spoils it.'
  const forbidden = made.flatMap(material => {
    const { suits, why } = lookUp(method, material, soil)
    return suits === 'never' ? [`${materials[material]}: ${why.find(w => w.fit === 'never')!.says}`] : []
  })
  const refused = local.includes(method) ? forbidden.length === made.length : forbidden.length > 0
  return refused ? `${methods[method]}: never here. ${forbidden.join(' ')}` : ''
}

/** What the schools for boards differ about; loose dirt is brushed off in all of them. */
const fouling: readonly Soil[] = ['grease', 'smoke-film', 'electrolyte']

const worst: Record<Suits, number> = { 'suited': 0, 'careful': 1, 'not-known': 2, 'no-use': 3, 'never': 4 }

/** What the table says of one method on one material against one soil; never better than the worse of the two. */
export function lookUp(method: Method, material: Material, soil: Soil): { suits: Suits; why: { fit: Fit; says: string }[] } {
  const { on, against } = methodTable[method]
  const ofMaterial = on.find(([, names]) => names.includes(material))
  const ofSoil = against.find(([, names]) => names.includes(soil))
  const why = [ofMaterial, ofSoil].flatMap(row => (row ? [{ fit: row[0], says: row[2] }] : []))
  if (why.some(w => w.fit === 'never')) return { suits: 'never', why }
  if (!ofSoil) return { suits: 'no-use', why }
  if (!ofMaterial) return { suits: 'not-known', why }
  return { suits: why.some(w => w.fit === 'careful') ? 'careful' : 'suited', why }
}

/**
 * Ways to clean a soil off a material, ranked.
 *
 * A part that works is not risked in a bath like a dead one: what is at stake makes a wet method careful at best. Among equals the school of the
 * collection decides, then the gentler way. What the table does not know is said so, and never guessed.
 */
export function rankMethods({ material, soil, works, schools = usualSchools }: MethodsInput): MethodsResult {
  const key = [material, soil, works, schools.boards, schools.plastic].join()
  if (!ranked.has(key)) ranked.set(key, rankAnew({ material, soil, works, schools }))
  return ranked.get(key)!
}
/** There are some four thousand different questions, and each has one answer. */
const ranked = new Map<string, MethodsResult>()

function rankAnew({ material, soil, works, schools }: Required<MethodsInput>): MethodsResult {
  const all = methodNames.map(method => rankOne(method, { material, soil, works, schools }))
  // Left alone, a soil is not cleaned: it stands behind whatever does something, unless it is the practice here.
  const behind = (r: RankedMethod) => (r.method === 'leave' && !r.school && r.suits !== 'never' ? 150 : 0)
  const order = (r: RankedMethod) => worst[r.suits] * 100 - (r.school ? 50 : 0) + behind(r) + methodNames.indexOf(r.method)
  all.sort((a, b) => order(a) - order(b))
  const usable = all.filter(r => r.suits === 'suited' || r.suits === 'careful')
  return {
    ranked: all,
    findings: [
      ...(usable.length
        ? []
        : [
            finding(
              'care',
              'methods.none',
              `Nothing is known that takes ${soils[soil].toLowerCase()} off: ${materials[material].toLowerCase()}.`,
              'Not known: try where it cannot be seen, with the gentlest first; or leave it alone.',
              commonPractice,
            ),
          ]),
      ...(works === 'not-known'
        ? [
            finding(
              'note',
              'methods.test-first',
              'Nobody has seen it work: a short test comes before hours of cleaning.',
              'What is scrubbed for a day may turn out dead, and nobody knows afterwards whether the cleaning did it.',
              commonPractice,
            ),
          ]
        : []),
    ],
  }
}

function rankOne(method: Method, { material, soil, works, schools }: Required<MethodsInput>): RankedMethod {
  const { suits: byTable, why } = lookUp(method, material, soil)
  const atStake = byTable !== 'never' && byTable !== 'no-use' && immersive.includes(method) && boardLike.includes(material) && works !== 'dead'
  const suits: Suits = atStake && byTable === 'suited' ? 'careful' : byTable
  const favoured =
    soil === 'yellowing'
      ? schools.plastic === 'whiten'
        ? method === 'whitening'
        : method === 'leave'
      : fouling.includes(soil) && boardLike.includes(material) && method === boardMethod[schools.boards]
  const fits = { suited: 'fine', careful: 'care', never: 'stop' } as const
  return {
    method,
    suits,
    school: favoured && (suits === 'suited' || suits === 'careful'),
    cautions: suits === 'suited' || suits === 'careful' || suits === 'not-known' ? (methodTable[method].caution ?? []) : [],
    findings: [
      ...why.map(({ fit, says }) => finding(fits[fit], `methods.${method}.${fit}`, says, [], commonPractice)),
      ...(suits === 'no-use'
        ? [
            finding(
              'note',
              `methods.${method}.no-use`,
              `${methods[method]} is not known to do anything about ${soils[soil].toLowerCase()}.`,
              [],
              commonPractice,
            ),
          ]
        : []),
      ...(suits === 'not-known'
        ? [
            finding(
              'care',
              `methods.${method}.not-known`,
              `Not known for ${materials[material].toLowerCase()}: try where it cannot be seen.`,
              [],
              commonPractice,
            ),
          ]
        : []),
      ...(atStake
        ? [
            finding(
              'care',
              `methods.${method}.at-stake`,
              works === 'works' ? 'It works: a bath may end that.' : 'Nobody knows whether it works, and a bath may end that.',
              [`${workings[works]}. A just-washed thing may fail until it is really dry.`],
              commonPractice,
            ),
          ]
        : []),
    ],
  }
}
