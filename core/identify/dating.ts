import { writtenDay } from '../kernel/days'
import { UTCDate } from '@date-fns/utc'
import { addWeeks, differenceInCalendarDays, formatISO, getQuarter, parseISO } from 'date-fns'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type DateCodeReading, defaultEarliestYear, readDateCode } from './date-code'

export interface DatedPart {
  code: string
  place?: string
  /** Flux, fresh solder, a bent leg: somebody was here after it was made. */
  reworked?: boolean
  socketed?: boolean
}

/** Something else that bounds the year: a date stamped in the shielding, a board issue, a maker's change of name. Days are ISO dates. */
export interface DatingBound {
  notBefore?: string
  notAfter?: string
  why: string
}

export interface DatingInput {
  codes: DatedPart[]
  bounds?: DatingBound[]
  assemblyLagWeeks?: number
  /** Years in which the model was made, as far as they are known. */
  madeFrom?: number
  madeTo?: number
}

export interface UsedPart {
  code: string
  place: string
  socketed: boolean
  says: string
  firstDay: string
  lastDay: string
}
export interface LeftOutPart {
  code: string
  place: string
  why: string
  firstDay?: string
  lastDay?: string
}

export interface DatingResult {
  /** When it was made; nothing where no part or bound tells. */
  interval: { notBefore: string; notAfter: string } | null
  /** As `1983-Q4`. */
  likelyQuarter: string | null
  used: UsedPart[]
  leftOut: LeftOutPart[]
  findings: Finding[]
}

/** Parts lie in stock for some weeks before they are fitted. */
const defaultLagWeeks = 8
/** A machine is hardly made later than this many lags after its youngest part. */
const lagsAtMost = 3
/** Chips with dates from this year on were fitted by a later service. */
const latestYear = 2029
/** A socketed part that stands alone by more than this was changed later. */
const socketedGapDays = 365
/** A soldered part that stands alone by more than this is doubtful, but counts. */
const solderedGapDays = 2 * 365
const fewParts = 3
/** One service changes so many parts; more that stand apart together are a date of their own. */
const lonelyAtMost = 2

interface Read {
  part: DatedPart
  reading: DateCodeReading
  first: boolean
}

/**
 * Dates a machine from the codes on its parts: it is as young as its youngest original part, plus a few weeks of stock.
 *
 * Reworked parts are left out, and so are up to two in sockets that stand apart by more than a year: one service changes more than one part.
 * Where a code can be read in several ways, the reading nearest to the other parts is taken; where nothing tells the decade, it is left open.
 * Parts later than a bound allows are left out as contradicting it, and named. A date that rests on few, doubtful or contradicting parts is *care*.
 * @param input parts with their codes; bounds with their reasons; weeks from part to machine (8 when left out)
 * @returns interval, most likely quarter, which parts were used and left out and why, findings
 * @throws InputError for neither code nor bound, a bound that is no day or the wrong way round, a lag outside 0 to 104 weeks
 * Source: weeks by ISO 8601; what counts as an outlier is common practice, no source.
 */
export function dateMachine({ codes, bounds = [], assemblyLagWeeks = defaultLagWeeks, madeFrom, madeTo }: DatingInput): DatingResult {
  check(codes, bounds, assemblyLagWeeks)
  const leftOut: LeftOutPart[] = []
  const findings: Finding[] = []
  const omit = (part: DatedPart, why: string, reading?: DateCodeReading) =>
    leftOut.push({ code: part.code, place: part.place ?? '', why, ...(reading && { firstDay: reading.firstDay, lastDay: reading.lastDay }) })

  const notBefore = latest(bounds.flatMap(b => (b.notBefore ? [{ day: b.notBefore, why: b.why }] : [])))
  const notAfter = earliest(bounds.flatMap(b => (b.notAfter ? [{ day: b.notAfter, why: b.why }] : [])))
  if (notBefore && notAfter && notBefore.day > notAfter.day) {
    findings.push(
      finding('stop', 'dating.bounds-contradict', 'The bounds contradict each other.', [
        `Not before ${writtenDay(notBefore.day)}: ${notBefore.why}.`,
        `Not after ${writtenDay(notAfter.day)}: ${notAfter.why}.`,
      ]),
    )
    return { interval: null, likelyQuarter: null, used: [], leftOut, findings }
  }

  let kept: Read[] = []
  const within = { earliest: yearOf(notBefore?.day) ?? madeFrom, latest: yearOf(notAfter?.day) ?? madeTo }
  for (const { part, reading, first } of readTogether(codes, within, omit)) {
    if (part.reworked) omit(part, 'Signs of rework: a later service.', reading)
    else if (notAfter && reading.firstDay > notAfter.day) {
      omit(part, `Later than ${writtenDay(notAfter.day)}, which ${notAfter.why} allows.`, reading)
      findings.push(
        finding('care', 'dating.later-than-bound', `${named(part)} is later than a bound allows.`, [
          `It reads ${reading.says}.`,
          `Not after ${writtenDay(notAfter.day)}: ${notAfter.why}.`,
          'Look at it for rework, or doubt the bound.',
        ]),
      )
    } else kept.push({ part, reading, first })
  }
  kept.sort((a, b) => a.reading.firstDay.localeCompare(b.reading.firstDay))

  const apart = youngestApart(kept)
  if (apart && changedLater(apart)) {
    for (const { part, reading } of apart.parts)
      omit(part, `In a socket, and more than a year younger than every other part${apart.parts.length > 1 ? ' but one' : ''}: changed later.`, reading)
    kept = kept.slice(0, -apart.parts.length)
  } else if (apart) findings.push(...standsApart(apart, kept.length, assemblyLagWeeks))

  const youngest = kept.at(-1)?.reading
  const { interval, contradiction } = betweenBounds(youngest, assemblyLagWeeks, notBefore, notAfter)
  if (contradiction) findings.push(contradiction)
  const likely = youngest && interval ? clamp(weeksAfter(youngest.lastDay, assemblyLagWeeks), interval) : undefined
  findings.push(...ofTheModel(interval, madeFrom, madeTo))
  findings.unshift(
    ...verdict(
      interval,
      likely,
      kept,
      assemblyLagWeeks,
      findings.some(f => f.level === 'stop' || f.level === 'care'),
    ),
  )
  return {
    interval,
    likelyQuarter: likely ? quarterOf(likely) : null,
    used: kept.map(({ part, reading, first }) => ({
      code: part.code,
      place: part.place ?? '',
      socketed: part.socketed ?? false,
      firstDay: reading.firstDay,
      lastDay: reading.lastDay,
      says: first ? reading.says : `${reading.says}, the reading nearest to the other parts`,
    })),
    leftOut,
    findings,
  }
}

type Apart = NonNullable<ReturnType<typeof youngestApart>>

/** One or two in sockets, apart from all others: a service changed them. */
const changedLater = ({ parts }: Apart) => parts.length <= lonelyAtMost && parts.every(k => k.part.socketed)

/** What is said of the youngest parts, where they stand apart and still decide. */
function standsApart({ parts, before, gapDays }: Apart, inAll: number, lagWeeks: number): Finding[] {
  if (parts.length > lonelyAtMost)
    return [
      finding(
        'care',
        'dating.two-dates',
        `The parts tell two dates: ${inAll - parts.length} up to ${before.reading.says}, and ${parts.length} from ${parts[0]!.reading.says} on.`,
        [
          'A board of two issues, an upgrade, or a service that changed many: look at the younger ones for rework, sockets and another hand.',
          `If they came later, it was first made about ${quarterWords(weeksAfter(before.reading.lastDay, lagWeeks))}.`,
        ],
        commonPractice,
      ),
    ]
  if (gapDays <= solderedGapDays) return []
  return [
    finding(
      'care',
      'dating.lone-youngest',
      `${parts.map(k => named(k.part)).join(' and ')} ${parts.length > 1 ? 'stand' : 'stands'} apart, years after the others, and ${parts.length > 1 ? 'decide' : 'decides'} the date.`,
      ['Soldered in with no sign of rework noted; a service may have changed more than one.', `Without it the youngest part reads ${before.reading.says}.`],
      commonPractice,
    ),
  ]
}

type BoundDay = { day: string; why: string } | undefined

/** From the youngest part and its lag, within the bounds; no interval where they contradict each other. */
function betweenBounds(
  youngest: DateCodeReading | undefined,
  lagWeeks: number,
  notBefore: BoundDay,
  notAfter: BoundDay,
): { interval: { notBefore: string; notAfter: string } | null; contradiction?: Finding } {
  const made = youngest && { notBefore: youngest.firstDay, notAfter: weeksAfter(youngest.lastDay, lagWeeks * lagsAtMost) }
  const from = latestDay(made?.notBefore, notBefore?.day)
  const to = made ? earliestDay(made.notAfter, notAfter?.day) : notAfter?.day
  if (!from || !to) return { interval: null }
  if (to >= from) return { interval: { notBefore: from, notAfter: to } }
  if (!made || !youngest || !notBefore) return { interval: null }
  return {
    interval: null,
    contradiction: finding('stop', 'dating.bound-contradicts', 'A bound and the parts contradict each other.', [
      `The youngest part reads ${youngest.says}, so it was made before ${made.notAfter}.`,
      `Not before ${writtenDay(notBefore.day)}: ${notBefore.why}.`,
      'Doubt the bound, or look for parts that were not read.',
    ]),
  }
}

/**
 * The youngest parts, where a gap of more than a year lies before them: one or two where as many or more are on its other side, or any larger group
 * that stands apart from at least two.
 */
function youngestApart(kept: readonly Read[]): { parts: Read[]; before: Read; gapDays: number } | null {
  for (let count = 1; count < kept.length; count++) {
    const [before, first] = [kept.at(-count - 1)!, kept.at(-count)!]
    if (kept.length - count < Math.min(count, lonelyAtMost)) continue
    const gapDays = differenceInCalendarDays(parseISO(first.reading.firstDay), parseISO(before.reading.firstDay))
    if (gapDays > socketedGapDays) return { parts: kept.slice(-count), before, gapDays }
  }
  return null
}

const yearOf = (day: string | undefined) => (day ? Number(day.slice(0, 4)) : undefined)

/** Whether the date lies within the years in which the model was made. */
function ofTheModel(interval: DatingResult['interval'], madeFrom: number | undefined, madeTo: number | undefined): Finding[] {
  if (!interval || (madeFrom === undefined && madeTo === undefined)) return []
  const years = `The model was made ${[madeFrom && `from ${madeFrom}`, madeTo && `to ${madeTo}`].filter(Boolean).join(' ')}.`
  const [first, last] = [yearOf(interval.notBefore)!, yearOf(interval.notAfter)!]
  return (madeFrom !== undefined && last < madeFrom) || (madeTo !== undefined && first > madeTo)
    ? [
        finding('care', 'dating.model-years', 'That is outside the years in which the model was made.', [
          years,
          'Parts of a later service, old stock, or another model than it seems.',
        ]),
      ]
    : [finding('note', 'dating.model-years', 'That agrees with the years in which the model was made.', years)]
}

const dayPattern = /^\d{4}-\d\d-\d\d$/

function check(codes: DatedPart[], bounds: DatingBound[], lag: number) {
  if (!codes.length && !bounds.length) throw new InputError('codes', codes, 'Nothing to date by. Give at least one code or one bound.')
  if (!(lag >= 0 && lag <= 104)) throw new InputError('assemblyLagWeeks', lag, 'The weeks from part to machine must lie between 0 and 104.')
  bounds.forEach((bound, i) => {
    for (const end of ['notBefore', 'notAfter'] as const) {
      const day = bound[end]
      if (day !== undefined && (!dayPattern.test(day) || Number.isNaN(parseISO(day).getTime())))
        throw new InputError(`bounds.${i}.${end}`, day, 'Write a day, such as 1982-08-30.')
    }
    if (!bound.notBefore && !bound.notAfter) throw new InputError(`bounds.${i}`, bound, 'A bound needs a day that it is not before, or not after.')
    if (bound.notBefore && bound.notAfter && bound.notBefore > bound.notAfter)
      throw new InputError(`bounds.${i}.notAfter`, bound.notAfter, 'This bound ends before it begins.')
  })
}

/**
 * Reads all codes; one that could be several dates takes the one nearest to the middle of those that are clear. Where none is clear, a code whose
 * decade only the bounds could tell is left out, unless they leave one. The type number of a generic part counts only where it agrees with clear codes.
 */
function readTogether(
  codes: DatedPart[],
  { earliest: from, latest: to }: { earliest?: number; latest?: number },
  omit: (part: DatedPart, why: string) => void,
): Read[] {
  const all = codes
    .map(part => {
      const { readings, refused } = readDateCode({ code: part.code, earliestYear: defaultEarliestYear, latestYear })
      if (!readings.length) omit(part, refused[0]?.says ?? 'It cannot be read as a date.')
      return { part, readings }
    })
    .filter(({ readings }) => readings.length)
  const clear = all.flatMap(({ part, readings: [best] }) => (best?.format === 'year-week' && !best.typeNumber && !part.reworked ? [best.firstDay] : [])).sort()
  const middle = clear[Math.floor((clear.length - 1) / 2)]
  const distance = (r: DateCodeReading) => Math.abs(differenceInCalendarDays(parseISO(r.firstDay), parseISO(middle!)))
  return all.flatMap(({ part, readings }): Read[] => {
    const [best] = readings as [DateCodeReading]
    if (best.typeNumber && (!middle || distance(best) > solderedGapDays)) {
      omit(part, `${best.read} is the type number of a generic part as well.`)
      return []
    }
    if (middle) {
      const reading = best.format === 'year-week' ? best : readings.reduce((nearest, r) => (distance(r) < distance(nearest) ? r : nearest))
      return [{ part, reading, first: reading === best }]
    }
    const years = readings.filter(r => r.format === best.format)
    const possible = years.filter(r => (from === undefined || yearOf(r.lastDay)! >= from) && (to === undefined || yearOf(r.firstDay)! <= to))
    if (years.length === 1 || possible.length === 1) return [{ part, reading: possible[0] ?? best, first: true }]
    omit(part, `It could be ${years.map(r => r.says).join(', or ')}; nothing else tells which.`)
    return []
  })
}

function verdict(interval: DatingResult['interval'], likely: string | undefined, kept: Read[], lag: number, doubtful: boolean): Finding[] {
  if (!interval)
    return [
      finding(
        'note',
        'dating.open',
        kept.length ? 'The date stays open.' : 'No original part tells when it was made.',
        'More codes, or a bound on the other side, would close it.',
      ),
    ]
  const youngest = kept.at(-1)
  const because = youngest
    ? [`The youngest original part, ${named(youngest.part)}, reads ${youngest.reading.says}.`, `Parts wait in stock for about ${lag} weeks.`]
    : ['Only the bounds tell.']
  const findings = [
    finding(
      youngest ? (doubtful || kept.length < fewParts ? 'care' : 'fine') : 'note',
      'dating.made',
      `Made between ${writtenDay(interval.notBefore)} and ${writtenDay(interval.notAfter)}${likely ? `, most likely in ${quarterWords(likely)}` : ''}.`,
      because,
      commonPractice,
    ),
  ]
  if (youngest && kept.length < fewParts)
    findings.push(
      finding(
        'care',
        'dating.few',
        kept.length === 1 ? 'It rests on a single part.' : `It rests on ${kept.length} parts.`,
        'Read more chips; a changed one may be among so few.',
        commonPractice,
      ),
    )
  return findings
}

const named = (part: DatedPart) => (part.place ? `${part.code} on ${part.place}` : part.code)
const asDay = (date: Date) => formatISO(date, { representation: 'date' })
const weeksAfter = (day: string, weeks: number) => asDay(addWeeks(new UTCDate(`${day}T00:00:00Z`), weeks))
const quarters = ['January to March', 'April to June', 'July to September', 'October to December']
const quarterWords = (day: string) => `${quarters[getQuarter(parseISO(day)) - 1]} ${day.slice(0, 4)}`
const quarterOf = (day: string) => `${day.slice(0, 4)}-Q${getQuarter(parseISO(day))}`
const latestDay = (...days: (string | undefined)[]) =>
  days
    .filter(d => d !== undefined)
    .sort()
    .at(-1)
const earliestDay = (...days: (string | undefined)[]) => days.filter(d => d !== undefined).sort()[0]
const latest = <T extends { day: string }>(bounds: T[]) => [...bounds].sort((a, b) => a.day.localeCompare(b.day)).at(-1)
const earliest = <T extends { day: string }>(bounds: T[]) => [...bounds].sort((a, b) => a.day.localeCompare(b.day))[0]
const clamp = (day: string, { notBefore, notAfter }: { notBefore: string; notAfter: string }) => (day < notBefore ? notBefore : day > notAfter ? notAfter : day)
