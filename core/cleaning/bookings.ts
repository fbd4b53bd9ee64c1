import { decimals, significant } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import type { Material } from './words'

/** Things that several jobs share, with what keeps their jobs apart. */
export const thingKinds = { tank: 'Tank', oven: 'Oven', box: 'Drying box', light: 'Lamp or light box' } as const
export type ThingKind = keyof typeof thingKinds
/** Where something is that lies in one of these. */
export const insideThing: Record<ThingKind, string> = { tank: 'in a tank', oven: 'in an oven', box: 'in a drying box', light: 'under a lamp' }
/** What a part comes out of wet, or is not whole while it lies in it. */
export const wets: readonly ThingKind[] = ['tank']

export interface SharedThing {
  name: string
  kind: ThingKind
  /** Room inside, in litre. */
  roomL: number
  /** What it can be held at; nothing of the two where it is not heated. */
  minC: number | null
  maxC: number | null
}
export interface Booking {
  what: string
  /** Instants in UTC. */
  from: string
  until: string
  roomL: number
  /** Warmer than this is needed to be of use; nothing where any warmth will do. */
  minC: number | null
  /** The part bears no more. */
  maxC: number | null
  /** What is in the tank; nothing elsewhere. */
  bath: string
}
export interface BookingInput {
  thing: SharedThing
  /** What it is booked for already, and has not come out of. */
  others: readonly Booking[]
  wanted: Booking
  /** What is over by now and has not come out still lies in it. Instant in UTC. */
  now: string
}
export interface BookingResult {
  fits: boolean
  /** What it is held at meanwhile, at most: the coolest part decides. */
  heldC: number | null
  /** Those that lie in it at the same time. */
  beside: string[]
  /** The earliest start from which it fits as long as it is wanted, where it does not fit now and ever will. */
  freeFrom: string | null
  findings: Finding[]
}

const coincide = (a: Booking, b: Booking) => a.from < b.until && a.until > b.from
const heated = (thing: SharedThing) => thing.maxC !== null
const litres = (l: number) => `${significant(l)} l`
const degrees = (c: number) => `${significant(c)} °C`

/**
 * Whether a job fits into a shared thing beside what it is booked for: in room at every moment, in warmth over all that lie in it together,
 * of which the coolest decides, and in a tank only in the same bath. Common practice, no source.
 * @throws InputError for times that are none, or a warmth that nobody could hold
 */
export function judgeBooking({ thing, others: booked, wanted, now }: BookingInput): BookingResult {
  if (!(wanted.until > wanted.from)) throw new InputError('hours', wanted.until, 'Hours: it has to end after it begins.')
  if (!(wanted.roomL > 0)) throw new InputError('roomL', wanted.roomL, 'Room in l: more than 0, please.')
  if (wanted.minC !== null && wanted.maxC !== null && wanted.minC > wanted.maxC)
    throw new InputError('minC', wanted.minC, `At least ${degrees(wanted.minC)} is warmer than the ${degrees(wanted.maxC)} that it bears.`)
  if (heated(thing) && wanted.maxC === null)
    throw new InputError('maxC', null, `${thing.name} is heated: say how warm the part may get, in °C, for the coolest part decides.`)
  if (thing.kind === 'tank' && !wanted.bath.trim()) throw new InputError('bath', '', 'Bath: say what is in the tank; two jobs share it only in the same bath.')

  const overdue = booked.filter(o => o.until <= now)
  const justAfter = new Date(Date.parse(now) + 1).toISOString()
  const others = booked.map(o => (overdue.includes(o) ? { ...o, until: justAfter } : o))
  const alone = against(thing, wanted, [])
  const found = against(thing, wanted, others)
  if (found.fits) return found
  // When what is overdue comes out nobody knows, so that its end is no time to offer.
  const ends = others.map(o => o.until).filter(end => end !== justAfter)
  const lies = overdue.filter(o => coincide({ ...o, until: justAfter }, wanted))
  if (lies.length)
    found.findings.push(
      finding('care', 'booking.overdue', `Time is up, and nobody has said it was taken out: ${lies.map(o => o.what).join(', ')}.`, 'Take it out, and say so.'),
    )
  return { ...found, freeFrom: alone.fits ? earliest(thing, others, wanted, ends) : null }
}

function against(thing: SharedThing, wanted: Booking, others: readonly Booking[]): BookingResult {
  const beside = others.filter(o => coincide(o, wanted))
  const findings: Finding[] = []
  const stop = (code: string, says: string, because: string | string[]) => findings.push(finding('stop', `booking.${code}`, says, because, commonPractice))
  const named = (list: readonly Booking[]) => list.map(o => o.what).join(', ')

  if (wanted.roomL > thing.roomL) stop('too-large', `It is larger than ${thing.name}.`, `It takes ${litres(wanted.roomL)} of ${litres(thing.roomL)}.`)
  else {
    // Room runs out, if at all, where something begins.
    const moments = [wanted.from, ...beside.map(o => o.from).filter(at => at > wanted.from)]
    const fullest = moments.map(at => beside.filter(o => o.from <= at && o.until > at)).sort((a, b) => room(b) - room(a))[0] ?? []
    const left = thing.roomL - room(fullest)
    // Sums of typed figures; a hundredth of a millilitre is nobody's room.
    if (wanted.roomL > left + 1e-5)
      stop(
        'no-room',
        `No room: ${litres(Math.max(0, left))} of ${litres(thing.roomL)} is left, and it takes ${litres(wanted.roomL)}.`,
        `Booked then: ${named(fullest)}.`,
      )
  }
  const baths = beside.filter(o => thing.kind === 'tank' && sameBath(o.bath) !== sameBath(wanted.bath))
  if (baths.length) stop('other-bath', `Another bath is in it then: ${baths[0]!.bath}.`, `Booked for: ${named(baths)}.`)

  const coolest = [wanted, ...beside].flatMap(o => (o.maxC === null ? [] : [o.maxC]))
  const heldC = heated(thing) ? Math.min(thing.maxC!, ...coolest) : null
  if (heldC !== null) {
    const decides = [...beside, wanted].find(o => o.maxC === heldC)
    if (thing.minC !== null && heldC < thing.minC)
      stop(
        'too-warm',
        `${thing.name} cannot be held below ${degrees(thing.minC)}, and ${decides?.what ?? 'a part'} bears ${degrees(heldC)}.`,
        'The coolest part decides.',
      )
    const cold = [wanted, ...beside].filter(o => o.minC !== null && o.minC > heldC)
    if (cold.length)
      stop(
        'too-cool',
        `${cold[0]!.what} needs ${degrees(cold[0]!.minC!)}, and it is held at ${degrees(heldC)} at most.`,
        decides ? `The coolest part decides: ${decides.what}.` : `${thing.name} goes no higher.`,
      )
    const cooled = beside.filter(o => o.maxC !== null && o.maxC > heldC && wanted.maxC === heldC)
    if (cooled.length && !findings.length)
      findings.push(
        finding(
          'care',
          'booking.cooler',
          `${thing.name} goes down to ${degrees(heldC)} for it: ${named(cooled)} dries more slowly.`,
          'The coolest part decides.',
          commonPractice,
        ),
      )
  } else if (wanted.minC !== null) {
    stop('not-heated', `${thing.name} is not heated, and it needs ${degrees(wanted.minC)}.`, 'Nobody said that it can be held warm.')
  }
  const fits = !findings.some(f => f.level === 'stop')
  if (fits)
    findings.push(
      finding(
        'fine',
        'booking.fits',
        `It fits${beside.length ? ` beside ${named(beside)}` : ''}${heldC === null ? '' : `, held at ${degrees(heldC)} at most`}.`,
        `${litres(wanted.roomL)} of ${litres(thing.roomL)}.`,
      ),
    )
  return { fits, heldC, beside: beside.map(o => o.what), freeFrom: null, findings }
}

const room = (list: readonly Booking[]) => list.reduce((sum, o) => sum + o.roomL, 0)
const sameBath = (bath: string) => bath.trim().toLowerCase()

/** The first end of another job from which it fits, as long as it is wanted. */
function earliest(thing: SharedThing, others: readonly Booking[], wanted: Booking, offered: readonly string[]): string | null {
  const lastsMs = Date.parse(wanted.until) - Date.parse(wanted.from)
  const ends = [...new Set(offered)].filter(end => end > wanted.from).sort()
  return ends.find(from => against(thing, { ...wanted, from, until: new Date(Date.parse(from) + lastsMs).toISOString() }, others).fits) ?? null
}

/**
 * What a material bears for hours, in °C, dry heat. Boards some hours at about 40 °C after a wash: common practice, no source;
 * the others are set below where each softens, shrinks or lets go, with room to spare, from memory.
 */
const bearsC: Record<Material, number> = {
  'abs': 50,
  'painted-metal': 60,
  'bare-steel': 80,
  'plated-steel': 80,
  'aluminium': 80,
  'gold-contacts': 60,
  'tin-contacts': 60,
  'bare-board': 50,
  'masked-board': 50,
  'legends': 45,
  'rubber': 45,
  'foam': 40,
  'membrane': 40,
  'conductive-ink': 40,
  'wood': 35,
  'paper': 40,
  'transformer': 50,
  'speaker': 40,
  'glass': 60,
  'tube-coating': 40,
}
/** How warm a part may get for hours: what bears least decides; of what nobody knows, 40 °C. */
export const bornC = (made: readonly Material[]): number => Math.min(...(made.length ? made.map(m => bearsC[m]) : [40]))

/**
 * The room that something takes, from its three lengths in centimetres: `30 × 20 × 10`, with or without their unit.
 * @returns litres, or nothing where it is no three lengths
 */
export function litresOf(lengths: string): number | undefined {
  const parts = /^(\d+(?:[.,]\d+)?)\s*(?:cm)?\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*(?:cm)?\s*[x×*]\s*(\d+(?:[.,]\d+)?)\s*(?:cm)?$/i.exec(lengths.trim())
  if (!parts) return undefined
  return decimals(parts.slice(1).reduce((product, length) => product * Number(length.replace(',', '.')), 1) / 1000, 3)
}
