import { significant } from '../kernel/figure'
import { millisecondsInHour } from 'date-fns/constants'
import { commonPractice, finding } from '../kernel/finding'
import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'
import { type Heard, contradiction, heard, meaning, slug } from '../kernel/heard'
import { type Contamination, contaminationKinds, contaminationStateNames, nextCleaningStep } from './contamination'
import { type ThingKind, insideThing, thingKinds, wets } from './bookings'
import { type DryingResult, judgeDrying } from './drying'
import { type WaitKind, keepsOff, waitKindOf, waitKinds } from './wait-kinds'

/** A part that is laid out to dry, and weighed as it does. */
export interface Drying {
  what: string
  /** Instants in UTC. */
  startedAt: string
  endedAt: string | null
  /** Why it was ended before it was dry by its mass; empty where it was not. */
  endedWet: string
  errorG: number
  leftG: number
  weighings: readonly { at: string; massG: number }[]
}
/** Something of a machine in a tank, an oven, a box or under a lamp, from one instant to another. */
export interface BookedPlace {
  what: string
  kind: ThingKind
  from: string
  until: string
}
export interface CleaningRecord {
  cleanings: readonly unknown[]
  /** Waits that nobody has ended, with what somebody said they are; nothing where nobody has. */
  waits: readonly { what: string; until: string; kind: WaitKind | null }[]
  /** Places in shared things that nobody has said it came out of. */
  bookings: readonly BookedPlace[]
  contaminations: readonly Contamination[]
  dryings: readonly Drying[]
  bareCoppers: readonly { where: string; sealedAt: string | null }[]
  countedParts: readonly { what: string; out: number; back: number | null }[]
  /** Steps of the plan, in their order. */
  cleaningSteps: readonly { state: 'open' | 'done' | 'left'; says: string; why: string; kind: string; minutes: number }[]
  /** Parts that are being whitened: hours since the last colour, and how many colours there are. */
  whitenings: readonly { name: string; endedAt: string | null; relookOn: string | null; hoursSinceColour: number; colours: number }[]
}
export interface CleaningFacts {
  cleanings: number
  waits: { what: string; until: string; over: boolean; kind: WaitKind }[]
  /** The next step of each thing that got in; `waits` where something is drying still. */
  contaminated: { says: string; why: string; waits: boolean }[]
  dryings: { what: string; weighAt: string; says: string }[]
  bookings: { what: string; where: string; from: string; until: string; over: boolean }[]
  unsealed: string[]
  countedOut: { what: string; out: number }[]
  cleaningSteps: { open: number; done: number; next: { says: string; why: string } | null }
  whitenings: { name: string; why: string }[]
  relooks: { name: string; on: string; over: boolean }[]
}

/** What is said where the record cannot be read. */
const cleaningUnknown: CleaningFacts = {
  cleanings: 0,
  waits: [],
  contaminated: [],
  dryings: [],
  bookings: [],
  unsealed: [],
  countedOut: [],
  cleaningSteps: { open: 0, done: 0, next: null },
  whitenings: [],
  relooks: [],
}

const longestHours = 20_000
/** A series as the instrument takes it: hours since it was laid out. */
export const judgeSeries = ({ startedAt, weighings, errorG, leftG }: Drying, now: string): DryingResult =>
  judgeDrying({
    weighings: weighings.map(w => ({ atHours: Math.max(0, (Date.parse(w.at) - Date.parse(startedAt)) / millisecondsInHour), massG: w.massG })),
    errorG,
    leftG,
    // What was forgotten for years is judged as of the longest that can be judged, never refused.
    nowHours: Math.min(longestHours, Math.max(0, (Date.parse([now, ...weighings.map(w => w.at)].sort().at(-1)!) - Date.parse(startedAt)) / millisecondsInHour)),
  })

/** @param now instant in UTC with milliseconds, as the waits have it */
const cleaningFacts = (record: CleaningRecord, now: string): CleaningFacts => {
  const { cleanings, waits, bookings, contaminations, dryings, bareCoppers, countedParts, cleaningSteps, whitenings } = record
  const wet = wetNow({ waits, dryings, bookings }, now).length > 0
  const done = cleaningSteps.filter(s => s.state === 'done').length
  const open = cleaningSteps.filter(s => s.state === 'open')
  return {
    cleanings: cleanings.length + done,
    waits: waits.map(w => ({ what: w.what, until: w.until, over: w.until <= now, kind: waitKindOf(w) })),
    bookings: bookings.map(({ what, kind, from, until }) => ({ what, where: thingKinds[kind].toLowerCase(), from, until, over: until <= now })),
    contaminated: contaminations.flatMap(c => {
      const next = nextCleaningStep(c)
      return next
        ? [
            {
              says: next.do,
              why: `${contaminationKinds[c.kind].title}, ${c.where}: ${contaminationStateNames[c.state].toLowerCase()}.`,
              waits: wet && (next.step === 'dried' || next.step === 'gone'),
            },
          ]
        : []
    }),
    dryings: dryings
      .filter(d => !d.endedAt)
      .map(d => {
        // Judged as of the last weighing, so that the instant does not run on with the clock.
        const at = d.weighings.at(-1)?.at ?? d.startedAt
        const { weighAgainAtHours, findings } = judgeSeries(d, at)
        return {
          what: d.what,
          weighAt: new Date(Date.parse(d.startedAt) + weighAgainAtHours * millisecondsInHour).toISOString(),
          says: findings[0]?.says ?? '',
        }
      }),
    unsealed: bareCoppers.filter(c => !c.sealedAt).map(c => c.where),
    countedOut: countedParts.filter(c => c.back === null).map(({ what, out: many }) => ({ what, out: many })),
    cleaningSteps: { open: open.length, done, next: open[0] ? { says: open[0].says, why: open[0].why } : null },
    whitenings: whitenings
      .filter(w => !w.endedAt && w.hoursSinceColour > 0)
      .map(w => ({ name: w.name, why: `${significant(w.hoursSinceColour, 2)} h of treatment since its last colour.` })),
    relooks: whitenings.flatMap(w =>
      w.endedAt && w.relookOn ? [{ name: w.name, on: `${w.relookOn}T00:00:00.000Z`, over: `${w.relookOn}T00:00:00.000Z` <= now }] : [],
    ),
  }
}

/** What of it is wet just now, in words: waits in which something dries, and series that are not dry yet. */
export const wetNow = ({ waits, dryings, bookings }: Pick<CleaningRecord, 'waits' | 'dryings' | 'bookings'>, now: string): string[] => [
  ...waits.filter(w => keepsOff(waitKindOf(w)) && w.until > now).map(w => w.what),
  ...dryings.filter(d => !d.endedAt && judgeSeries(d, now).state !== 'dry').map(d => `${d.what} is not dry by its mass`),
  ...bookings.filter(b => wets.includes(b.kind) && b.from <= now).map(b => `${b.what} lies ${insideThing[b.kind]}`),
]

/** Whether a part is known to dry already, by a wait or a series that names it; that something else dries says nothing of it. */
export function driesAlready(
  what: string,
  { waits, dryings }: Pick<CleaningRecord, 'waits'> & { dryings: readonly Pick<Drying, 'what' | 'endedAt'>[] },
  now: string,
): boolean {
  const named = (text: string) => text.toLowerCase().includes(what.toLowerCase())
  return waits.some(w => w.until > now && named(w.what) && waitKindOf(w) === 'wet') || dryings.some(d => !d.endedAt && named(d.what))
}

/**
 * What the gate hears of a wait: what dries or soaks stops it, and once the time is over somebody has to say that it is dry.
 * What is away, or nobody has said of, guards it. Common practice, no source.
 */
function waitsHeard({ waits }: CleaningRecord, now: string): Heard[] {
  return waits.flatMap((wait): Heard[] => {
    const { what, until } = wait
    switch (waitKinds[waitKindOf(wait)].gate) {
      case 'stop':
        return until > now
          ? [
              heard(
                finding(
                  'stop',
                  'wait.wet',
                  `Not yet: ${what}.`,
                  'What is wet conducts, and a just-washed thing may fail until it is really dry.',
                  commonPractice,
                  { when: 'by-itself' },
                ),
                'Let the wait run out, look whether it is dry, and end it.',
              ),
            ]
          : [contradiction('wait.over', `Time is up, and nobody has said it is done: ${what}.`, 'Time alone dries nothing.', 'Look at it, and end the wait.')]
      case 'care':
        return [
          heard(
            finding('care', 'wait.running', `Something of it is being waited for: ${what}.`, 'What is away or being worked on is not whole.'),
            'Say what kind of wait it is; end it once it is over.',
          ),
        ]
      case null:
        return []
    }
  })
}

/** What is laid out to dry stops it until somebody ends it; what was taken up before it was dry is remembered. */
function dryingHeard({ dryings }: CleaningRecord): Heard[] {
  // Taken up wet, it is heard of until the same thing was laid out again; what lies there now always is.
  const counted = dryings.filter((d, i) => !d.endedAt || dryings.findLastIndex(other => other.what === d.what) === i)
  return counted.flatMap(({ what, endedAt, endedWet }): Heard[] => {
    if (!endedAt)
      return [
        heard(
          finding(
            'stop',
            `wait.drying.${slug(what)}`,
            `Still drying: ${what}.`,
            'What is wet conducts, and a just-washed thing may fail until it is really dry.',
            commonPractice,
            { when: 'by-itself' },
          ),
          'Weigh it until it is dry, then finish drying.',
        ),
      ]
    return endedWet
      ? [
          contradiction(
            `wait.taken-up.${slug(what)}`,
            `Drying was finished before it was dry by its mass: ${what}.`,
            [endedWet, 'What is wet conducts. It counts as wet until somebody has looked.'],
            'Start drying it again and weigh it until it is dry.',
          ),
        ]
      : []
  })
}

/**
 * What lies in a tank, an oven or a box is wet or hot, and away; it stays so until somebody says that it is out. Under a lamp lies
 * a part of the case. Common practice, no source.
 */
const bookingsHeard = ({ bookings }: CleaningRecord, now: string): Heard[] =>
  bookings
    .filter(b => b.from <= now)
    .map(({ what, kind }) =>
      heard(
        finding(
          kind === 'light' ? 'care' : 'stop',
          `wait.in.${slug(what)}`,
          `It lies ${insideThing[kind]}, and nobody has said it was taken out: ${what}.`,
          wets.includes(kind) ? 'What is wet conducts.' : 'What is away is not in the machine, and what dries is not dry yet.',
          commonPractice,
          { when: 'by-itself' },
        ),
        'Take it out, look at it, and say that it is out.',
      ),
    )

/** Electrolyte left on a board conducts and eats; liquid and dirt are heard through the facts for power. */
const electrolyteHeard = ({ contaminations }: CleaningRecord): Heard[] =>
  contaminations.flatMap(c => {
    const next = c.kind === 'electrolyte' ? nextCleaningStep(c) : null
    return next
      ? [
          heard(
            finding(
              'stop',
              `contamination.${slug(c.where)}`,
              `${contaminationKinds[c.kind].title}, ${c.where}: ${contaminationStateNames[c.state].toLowerCase()}.`,
              'It conducts, and eats traces; current makes it worse.',
              commonPractice,
            ),
            next.do,
          ),
        ]
      : []
  })

declare module '../kernel/machine' {
  interface MachineRecord extends CleaningRecord {}
  interface MachineKnown extends CleaningFacts {}
}

/** Cleaning goes on when a wait has run out: drying, soaking, an answer by post. */
export const cleaning = discipline({
  name: 'cleaning',
  about: 'its cleaning',
  facts: (record, { now }) => cleaningFacts(record, now),
  unknown: cleaningUnknown,
  heard: (record, now) => [
    ...meaning({ concerns: 'waiting' }, [...waitsHeard(record, now), ...bookingsHeard(record, now), ...dryingHeard(record)]),
    ...electrolyteHeard(record),
  ],
  steps: {
    clean: m => [
      step('A cleaning recorded', m.cleanings > 0),
      ...(m.cleaningSteps.open + m.cleaningSteps.done ? [step('Every step of the plan', m.cleaningSteps.open === 0)] : []),
      ...(m.contaminated.length ? [step('What got in is gone', false)] : []),
      ...(m.unsealed.length ? [step('Bare copper sealed', false)] : []),
      ...(m.countedOut.length ? [step('What was counted out is back', false)] : []),
      step('Every wait over', m.cleanings > 0 && m.waits.length === 0 && m.dryings.length === 0),
    ],
  },
  moves: m => [
    // What dries is waited for, and said of the wait; an evening deals nothing of it out.
    ...m.contaminated.map(({ waits, ...c }) => move('harm', waits ? 'wait.contamination' : 'contamination', 'clean', c)),
    ...m.waits.filter(w => w.over).map(w => move('wait-over', 'wait-over', 'clean', { says: `Go on: ${w.what}`, why: 'The wait is over.' })),
    ...m.bookings
      .filter(b => b.over)
      .map(b => move('wait-over', 'booking-over', 'clean', { says: `Take it out: ${b.what}`, why: `Its time in the ${b.where} is over.` })),
    ...m.dryings.filter(d => d.weighAt <= m.now).map(d => move('wait-over', 'weigh', 'clean', { says: `Weigh again: ${d.what}`, why: d.says })),
    ...m.whitenings.map(w => move('wait-over', 'measure-colour', 'clean', { says: `Measure the colour of ${w.name} before it goes on`, why: w.why })),
    ...(m.cleaningSteps.next ? [move('clean', 'cleaning-step', 'clean', m.cleaningSteps.next)] : []),
    ...m.unsealed.map(where =>
      move('clean', 'seal-copper', 'clean', { says: `Seal bare copper: ${where}`, why: 'Bare copper corrodes again; the pads are kept free.' }),
    ),
    ...m.countedOut.map(c =>
      move('clean', 'count-parts-back', 'clean', {
        says: `Put back and count: ${c.out} × ${c.what}`,
        why: 'They were counted out; the photograph is the map.',
      }),
    ),
    ...m.relooks
      .filter(r => r.over)
      .map(r =>
        move('retest', 'relook', 'clean', { says: `Look again whether the yellow came back: ${r.name}`, why: 'The day that was set for it has come.' }),
      ),
  ],
  due: m => [...m.waits.map(w => w.until), ...m.bookings.flatMap(b => [b.from, b.until]), ...m.dryings.map(d => d.weighAt), ...m.relooks.map(r => r.on)],
})
