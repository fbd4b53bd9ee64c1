import { touchesSupply } from '#core/power/mended'
import type { PowerRecord } from '#core/power/rules'
import type { Inlet } from '#core/power/supply-match'
import { type School, stillAnswered } from '#core/safety/power-facts'
import type { SafetyRecord } from '#core/safety/rules'
import type { ExpectedRail } from '#shared/kernel/shapes'
import type { MachineFile } from '../../kernel/file'

/** The rails to expect: those said for this machine, else those of its model. */
export const expectedRailsOf = ({ machine, model }: MachineFile): ExpectedRail[] => machine.ownRails ?? model?.rails ?? []
/** What its inlet needs; nothing where nobody has said. */
export const inletOf = ({ machine, model }: MachineFile): Inlet | null => machine.ownInlet ?? model?.inlet ?? null
/** The school that holds for it. */
export const schoolOf = ({ power, practice }: MachineFile): School => power.school ?? practice.school

/** When a board came, went, or came back from elsewhere last. */
const boardsChangedAt = ({ exchanges, custodies }: MachineFile): string | null =>
  [...exchanges.map(one => one.at), ...custodies.flatMap(one => (one.endedAt === null ? [] : [one.endedAt]))].sort().at(-1) ?? null

/** When somebody worked on what feeds the rails last, as they said, else by the words of the repair; or a board was changed. */
const suppliesMendedAt = (file: MachineFile): string | null =>
  [boardsChangedAt(file) ?? '', ...file.faults.flatMap(f => f.repairs.filter(r => r.feedsRails ?? touchesSupply(r.did, r.part, f.causeKind)).map(r => r.at))]
    .sort()
    .at(-1) || null

/** What calls the runs of its starts off is told by another chapter. */
type Power = Omit<PowerRecord, 'startAlarms'>

/** What the core is told of its power. */
const powerOf = (file: MachineFile): Power => ({
  expectedRails: expectedRailsOf(file),
  modelRails: file.model?.rails ?? [],
  inlet: inletOf(file),
  supply: file.supply?.label ?? null,
  configuration: file.power.configuration,
  suppliesMendedAt: suppliesMendedAt(file),
  boardsChangedAt: boardsChangedAt(file),
  readings: file.readings,
  offReadings: file.offReadings,
  batteries: file.batteries,
  batterySchool: file.practice.batterySchool,
  contaminations: file.contaminations,
  temperatures: file.temperatures,
  explanations: file.explanations.map(({ alarm, says, at }) => ({ key: alarm, says, at })),
  bench: file.power.bench,
})

/** Damage and interventions, and what was noticed, are told by other chapters. */
type Dangers = Omit<
  SafetyRecord,
  'witnessedAtStarts' | 'noticedWhileProving' | 'assemblies' | 'damages' | 'checksDone' | 'interventions' | 'corrosions' | 'batteries'
>

/** What the core is told of its dangers, beyond its condition. */
const dangersOf = (file: MachineFile): Dangers => {
  const { machine, model, power } = file
  return {
    school: schoolOf(file),
    entered: stillAnswered(power.facts, power.answeredAt, boardsChangedAt(file)),
    answeredAt: power.answeredAt,
    // A name that belongs to nobody of the collection is no inspection.
    inspectedBy: power.inspectedById === null ? '' : power.inspectedBy,
    overrule: power.overruleVerdict ? { verdict: power.overruleVerdict, basis: power.overruleBasis } : null,
    configuration: power.configuration,
    claims: file.claims,
    sayings: file.sayings.map(({ kind, sentence, state, at }) => ({ kind, sentence, state, at })),
    batteryHasLeaked: power.batteryHasLeaked,
    lastPoweredWhat: machine.lastPoweredWhat,
    hazardsSettled: file.hazards,
    knownFaults: model?.knownFaults ?? [],
    massKg: machine.weightKg ?? model?.weightKg ?? null,
    bookedInAt: machine.bookedInAt,
    sisters: file.sisters,
  }
}

export const facts = (file: MachineFile): Power & Dangers => ({ ...powerOf(file), ...dangersOf(file) })
