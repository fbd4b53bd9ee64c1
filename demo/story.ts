import type { SwapOutcome } from '#core/diagnosis/swap'
import type { CommandRequest, MachineCommandName } from '#shared/chapters/index'
import type { ContaminationStep } from '#core/cleaning/contamination'
import type { Point } from '#core/condition/marks'
import type { ScenarioName } from '../instruments/meter/simulated-machine'
import type { ModelKey } from './models'
import type { Who } from './people'
import { size } from './photographs/drawing'
import type { PictureName } from './photographs/index'

/** The grammar in which the demo machines' stories are told. Names stand for rows; the filler looks up their keys. */
type ByName = {
  assembly?: string
  fault?: string
  theory?: string
  question?: string
  part?: string
  claim?: string
  photograph?: string
  step?: number | ContaminationStep
  battery?: string
  supply?: string
  /** What is whitened, what is laid out to dry, where something got in, what a step of the plan says. */
  whitening?: string
  drying?: string
  contamination?: string
  cleaningStep?: string
  /** A capacitor by its place. */
  place?: string
  /** A setting by its name. */
  setting?: string
  /** Which shared thing is booked, and from how many hours on. */
  thing?: string
  damage?: string
  inHours?: number
  /** Until which day, from then on. */
  inDays?: number
  inspectedBy?: Who
  picture?: PictureName
}
type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never
type RequestByName<N extends MachineCommandName> = Without<
  CommandRequest<N>,
  | 'version'
  | 'assemblyId'
  | 'faultId'
  | 'questionId'
  | 'partId'
  | 'settingId'
  | 'backBy'
  | 'claimId'
  | 'waitId'
  | 'photographId'
  | 'stepId'
  | 'interventionId'
  | 'batteryId'
  | 'supplyId'
  | 'whiteningId'
  | 'capacitorId'
  | 'dryingId'
  | 'contaminationId'
  | 'thingId'
  | 'damageId'
  | 'boardId'
  | 'theoryId'
  | 'soakId'
  | 'buildUpId'
  | 'sheetId'
  | 'bagId'
  | 'from'
  | 'inspectedById'
  | 'until'
  | 'answerBy'
  | 'hash'
  | 'name'
  | 'areaPct'
  | 'errorPct'
> &
  Partial<Pick<CommandRequest<N>, 'name' & keyof CommandRequest<N>>> &
  ByName & { hours?: number }

export interface Step {
  daysAgo: number
  who: Who
  command: MachineCommandName
  input: Record<string, unknown>
}
export interface Story {
  model?: ModelKey
  /** What it looks like from the front: photographed at the door, and what it is known by. */
  face?: PictureName
  daysAgo: number
  who: Who
  arrives: Partial<CommandRequest<'book-in'>> & { fromWhom: string; acquired: CommandRequest<'book-in'>['acquired'] }
  steps: Step[]
}

/** One thing that was done. `hours` gives a wait its end, counted from its start. */
export const did = <N extends MachineCommandName>(daysAgo: number, who: Who, command: N, input: RequestByName<N>): Step => ({
  daysAgo,
  who,
  command,
  input: input as Record<string, unknown>,
})

/** Grades of several assemblies found in one evening; a dash stands for a missing one. */
export const graded = (daysAgo: number, who: Who, found: Record<string, [grade: number | '-', note?: string]>): Step[] =>
  Object.entries(found).map(([assembly, [grade, note = '']]) =>
    did(daysAgo, who, 'grade-assembly', { assembly, presence: grade === '-' ? 'missing' : 'present', grade: grade === '-' ? null : grade, note }),
  )

/** Facts for power of a machine in good order; stories change what differs. */
export const inOrder = {
  filterCapacitors: 'replaced',
  battery: 'none-fitted',
  liquidOrDirt: 'no',
  burntTrace: 'no',
  shortedRail: 'no',
  mainsLead: 'sound',
  supply: 'known',
  fan: 'none-fitted',
  pictureTube: 'none',
  wiring: 'known',
  smoke: 'no',
}
export const external = { ...inOrder, filterCapacitors: 'none-fitted', mainsLead: 'not-used' }

export const assessed = (daysAgo: number, who: Who, facts: Record<string, string>, inspectedBy?: Who): Step =>
  did(daysAgo, who, 'assess-power', { facts, inspectedBy })

/** A measured colour, as the meter for colours shows it. */
const lab = ([l, a, b]: [number, number, number]) => ({ l, a, b, error: 0.4 })
type Treated = [daysAgo: number, hours: number, colour: [number, number, number]]
/** A yellowed part that is followed: its colour before, then hours of treatment with the colour after each. */
export const whitened = (
  who: Who,
  name: string,
  {
    plastic,
    reference,
    from: [since, first],
    treated,
  }: { plastic: string; reference: [number, number, number]; from: [number, [number, number, number]]; treated: Treated[] },
): Step[] => [
  did(since, who, 'follow-whitening', { name, plastic, goalB: 1, reference: lab(reference), first: lab(first) }),
  ...treated.flatMap(([daysAgo, hours, colour]) => [
    did(daysAgo + 0.05, who, 'expose', { whitening: name, how: 'cream', hours, strengthPct: 12, temperatureC: null, turned: true, note: '' }),
    did(daysAgo, who, 'measure-colour', { whitening: name, ...lab(colour) }),
  ]),
]

/** Swaps of one evening: what was on the bench, and how each test came out. */
export const swapped = (
  daysAgo: number,
  who: Who,
  fault: string,
  parts: RequestByName<'set-swap-parts'>['parts'],
  trials: [parts: string[], outcome: SwapOutcome, minutes: number, more?: { runs?: number; failures?: number; trusted?: boolean }][],
): Step[] => [
  did(daysAgo + 0.05, who, 'set-swap-parts', { fault, parts }),
  ...trials.map(([names, outcome, minutes, more = {}], i) =>
    did(daysAgo - i * 0.01, who, 'try-on-fault', {
      fault,
      area: 'swap',
      did: 'Swap',
      minutes,
      trial: { parts: names, outcome, runs: 1, trusted: true, ...more },
    }),
  ),
]

/** Readings of one evening, all with the same load. */
export const read = (daysAgo: number, who: Who, load: 'loaded' | 'unloaded', rails: Record<string, number>): Step[] =>
  Object.entries(rails).map(([rail, valueV]) => did(daysAgo, who, 'take-reading', { rail, valueV, load }))

/** A photograph taken at the bench; from then on it goes by its caption. */
export const shot = (daysAgo: number, who: Who, picture: PictureName, caption: string, assembly?: string): Step =>
  did(daysAgo, who, 'add-photograph', { picture, caption, assembly })

/** What happened to a machine: photographed at the door first, where it has a face. */
export const stepsOf = ({ face, daysAgo, who, steps }: Story): Step[] =>
  face ? [shot(daysAgo, who, face, 'As it came in'), did(daysAgo, who, 'choose-portrait', { photograph: 'As it came in', chosen: true }), ...steps] : steps

/** Places on a photograph, from the pixels of the drawing. */
export const places = (...px: [x: number, y: number][]): Point[] =>
  px.map(([x, y]) => [Number((x / size.width).toFixed(4)), Number((y / size.height).toFixed(4))])

/** Damage outlined on a photograph. */
export const marked = (
  daysAgo: number,
  who: Who,
  photograph: string,
  damage: Omit<CommandRequest<'record-damage'>, 'assemblyId' | 'photographId' | 'mark'> & { assembly: string },
  points: Point[],
  form: 'polygon' | 'line' | 'point' = 'polygon',
): Step => did(daysAgo, who, 'record-damage', { ...damage, photograph, mark: { form, points } })

/** A step of opening, with its fixings as count, head, length in mm and tray. */
export const undid = (
  daysAgo: number,
  who: Who,
  what: string,
  fixings: [count: number, head: string, lengthMm: number | null, tray: string][] = [],
  more: { connectors?: string[]; hides?: string; hazard?: string; photograph?: string } = {},
): Step =>
  did(daysAgo, who, 'record-opening-step', { what, fixings: fixings.map(([count, head, lengthMm, tray]) => ({ count, head, lengthMm, tray })), ...more })

/** Rails measured to ground with the power off, no load: ohms one way and the other. */
export const measuredOff = (daysAgo: number, who: Who, rails: Record<string, [ohm: number | string, reversedOhm: number | string]>): Step[] =>
  Object.entries(rails).map(([rail, [ohm, reversedOhm]]) =>
    did(daysAgo, who, 'measure-off-state', { rail, ohm, reversedOhm, leadsOhm: 0.2, loadAttached: false, rising: false }),
  )

/** A start that was attended, with what the simulated machine of the scenario did. */
export const attended = (
  daysAgo: number,
  who: Who,
  start: { atProbe: Who; atSwitch: Who; scenario: ScenarioName; load?: 'loaded' | 'unloaded'; secondsEach?: number },
): Step => ({ daysAgo, who, command: 'begin-start', input: { load: 'loaded', secondsEach: 14, ...start } })

/** A probe sheet that was begun and answered as the made-up board reads it, with these nets parted at a place; a wire bridges the first of them at the end. */
export const probed = (
  daysAgo: number,
  who: Who,
  sheet: { title: string; outline?: [number, number][]; parts?: string[]; answers: number; parted: Record<string, number>; bridge?: boolean },
): Step => ({ daysAgo, who, command: 'begin-probe-sheet', input: { leadsOhm: 0.2, oneHop: false, otherIssueRead: true, ...sheet } })

/** Moves through the stages in order, some days between each. */
export const moved = (daysAgo: number, who: Who, stage: CommandRequest<'move-to-stage'>['stage']): Step => did(daysAgo, who, 'move-to-stage', { stage })
