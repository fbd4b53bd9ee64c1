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

interface Read {
  part: DatedPart
  reading: DateCodeReading
  first: boolean
}

/**
 * Dates a machine from the codes on its parts: it is as young as its youngest original part, plus a few weeks of stock.
 *
 * Reworked parts are left out, and so is a socketed one that stands alone by more than a year. Where a code can be read
 * in several ways, the reading nearest to the other parts is taken. Parts later than a bound allows are left out as
 * contradicting it, and named.
 * @param input parts with their codes; bounds with their reasons; weeks from part to machine (8 when left out)
 * @returns interval, most likely quarter, which parts were used and left out and why, findings
 * @throws InputError for neither code nor bound, a bound that is no day or the wrong way round, a lag outside 0 to 104 weeks
 * Source: weeks by ISO 8601; what counts as an outlier is common practice, no source.
 */
export function dateMachine({ codes, bounds = [], assemblyLagWeeks = defaultLagWeeks }: DatingInput): DatingResult {
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
        `Not before ${notBefore.day}: ${notBefore.why}.`,
        `Not after ${notAfter.day}: ${notAfter.why}.`,
      ]),
    )
    return { interval: null, likelyQuarter: null, used: [], leftOut, findings }
  }

  let kept: Read[] = []
  for (const { part, reading, first } of readTogether(codes, omit)) {
    if (part.reworked) omit(part, 'Signs of rework: a later service.', reading)
    else if (notAfter && reading.firstDay > notAfter.day) {
      omit(part, `Later than ${notAfter.day}, which ${notAfter.why} allows.`, reading)
      findings.push(
        finding('care', 'dating.later-than-bound', `${named(part)} is later than a bound allows.`, [
          `It reads ${reading.says}.`,
          `Not after ${notAfter.day}: ${notAfter.why}.`,
          'Look at it for rework, or doubt the bound.',
        ]),
      )
    } else kept.push({ part, reading, first })
  }
  kept.sort((a, b) => a.reading.firstDay.localeCompare(b.reading.firstDay))

  const gapOf = () => (kept.length > 1 ? differenceInCalendarDays(parseISO(kept.at(-1)!.reading.firstDay), parseISO(kept.at(-2)!.reading.firstDay)) : 0)
  while (kept.at(-1)?.part.socketed && gapOf() > socketedGapDays) {
    const { part, reading } = kept.at(-1)!
    omit(part, 'In a socket, and more than a year younger than every other part: changed later.', reading)
    kept = kept.slice(0, -1)
  }
  if (gapOf() > solderedGapDays) {
    findings.push(
      finding(
        'care',
        'dating.lone-youngest',
        `${named(kept.at(-1)!.part)} stands alone, years after the others, and decides the date.`,
        ['It is soldered in with no sign of rework noted.', `Without it the youngest part reads ${kept.at(-2)!.reading.says}.`],
        commonPractice,
      ),
    )
  }

  const youngest = kept.at(-1)?.reading
  const made = youngest && { notBefore: youngest.firstDay, notAfter: weeksAfter(youngest.lastDay, assemblyLagWeeks * lagsAtMost) }
  const from = latestDay(made?.notBefore, notBefore?.day)
  const to = made ? earliestDay(made.notAfter, notAfter?.day) : notAfter?.day
  const interval = from && to ? { notBefore: from, notAfter: to < from ? from : to } : null
  const likely = youngest && interval ? clamp(weeksAfter(youngest.lastDay, assemblyLagWeeks), interval) : undefined
  findings.unshift(...verdict(interval, likely, kept, assemblyLagWeeks))
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

/** Reads all codes; one that could be several dates takes the one nearest to the middle of those that are clear. */
function readTogether(codes: DatedPart[], omit: (part: DatedPart, why: string) => void): Read[] {
  const all = codes
    .map(part => {
      const { readings, refused } = readDateCode({ code: part.code, earliestYear: defaultEarliestYear, latestYear })
      if (!readings.length) omit(part, refused[0]?.says ?? 'It cannot be read as a date.')
      return { part, readings }
    })
    .filter(({ readings }) => readings.length)
  const clear = all.flatMap(({ part, readings: [best] }) => (best?.format === 'year-week' && !part.reworked ? [best.firstDay] : [])).sort()
  const middle = clear[Math.floor((clear.length - 1) / 2)]
  return all.map(({ part, readings }) => {
    const [best] = readings
    const distance = (r: DateCodeReading) => Math.abs(differenceInCalendarDays(parseISO(r.firstDay), parseISO(middle!)))
    const reading = !middle || best!.format === 'year-week' ? best! : readings.reduce((nearest, r) => (distance(r) < distance(nearest) ? r : nearest))
    return { part, reading, first: reading === best }
  })
}

function verdict(interval: DatingResult['interval'], likely: string | undefined, kept: Read[], lag: number): Finding[] {
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
    ? [`The youngest original part, ${named(youngest.part)}, reads ${youngest.reading.says}.`, `Parts lie in stock for about ${lag} weeks.`]
    : ['Only the bounds tell.']
  const findings = [
    finding(
      youngest ? 'fine' : 'note',
      'dating.made',
      `Made between ${interval.notBefore} and ${interval.notAfter}${likely ? `, most likely in ${quarterOf(likely)}` : ''}.`,
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
