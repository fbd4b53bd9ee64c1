import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm'
import { type SQLiteTableWithColumns, type TableConfig } from 'drizzle-orm/sqlite-core'
import { type OffStateResult, judgeOffState, shortFact } from '#core/power/off-state'
import { type BatteryResult, batteryFact, replacements } from '#core/power/battery'
import { judgeRails } from '#core/power/rails'
import { type Inlet, matchSupply, supplyFact } from '#core/power/supply-match'
import { keyOf } from '#core/safety/configuration'
import { startChecks } from '#core/safety/first-start'
import { type GateResult, type GateVerdict, assessGate, gateInForce } from '#core/safety/gate'
import { type Hazard, hazardKinds, hazardsOf, leakingBatteryKnown } from '#core/safety/hazards'
import { growingHarm } from '#core/safety/growing-harm'
import type { PowerFacts, School } from '#core/safety/power-facts'
import type { MachineState } from '#core/planning/machine-state'
import { nextMoves } from '#core/planning/next-moves'
import { runOf } from '#core/planning/run'
import { judgeSignOff } from '#core/retest/sign-off'
import { reassemble } from '#core/opening/reassembly'
import { accessories, appraisals, assemblies, batteries, checksDone, claims, cleanings, consents, corrosions, damages, dateCodes, faults, hazards, interventions, letters, machines, models, observations, offReadings, openingSteps, partNeeds, photographs, powerAssessments, questions, readings, repairs, signOffs, spendings, supplies, waits } from '../db/schema'
import { checksFor } from './checks'
import type { Tx } from './journal'
import { notOurs } from '#shared/contracts/vocabulary'
import { judgedBattery } from './batteries'
import { practiceOf } from './practice'
import type { MachineRow } from './work'

/** Everything that is kept of one machine, gathered; what the rules of the core are asked about. */
export interface MachineFile {
  machine: MachineRow
  model: typeof models.$inferSelect | undefined
  /** The school that holds for it. */
  school: School
  power: typeof powerAssessments.$inferSelect
  claims: (typeof claims.$inferSelect)[]
  accessories: (typeof accessories.$inferSelect)[]
  dateCodes: (typeof dateCodes.$inferSelect)[]
  assemblies: (typeof assemblies.$inferSelect)[]
  damages: (typeof damages.$inferSelect)[]
  cleanings: (typeof cleanings.$inferSelect)[]
  waits: (typeof waits.$inferSelect)[]
  faults: (typeof faults.$inferSelect & { observations: (typeof observations.$inferSelect)[], repairs: (typeof repairs.$inferSelect)[] })[]
  partNeeds: (typeof partNeeds.$inferSelect)[]
  readings: (typeof readings.$inferSelect)[]
  offReadings: (typeof offReadings.$inferSelect)[]
  hazards: (typeof hazards.$inferSelect)[]
  batteries: (typeof batteries.$inferSelect)[]
  /** What the practice puts in the place of a lost battery. */
  batterySchool: ReturnType<typeof practiceOf>['batterySchool']
  /** The supply of the collection that it runs from. */
  supply: typeof supplies.$inferSelect | undefined
  questions: (typeof questions.$inferSelect)[]
  /** The sign-off that stands. */
  signOff: typeof signOffs.$inferSelect | undefined
  sisters: { id: number, tag: string, nickname: string, batteryLeaked: boolean, signedOff: boolean }[]
  photographs: (typeof photographs.$inferSelect)[]
  corrosions: (typeof corrosions.$inferSelect)[]
  checksDone: (typeof checksDone.$inferSelect)[]
  openingSteps: (typeof openingSteps.$inferSelect)[]
  interventions: (typeof interventions.$inferSelect)[]
  consent: typeof consents.$inferSelect | null
  spendings: (typeof spendings.$inferSelect)[]
  appraisal: typeof appraisals.$inferSelect | null
  letters: (typeof letters.$inferSelect)[]
}

export const loadMachine = (tx: Tx, machine: MachineRow): MachineFile => loadMachines(tx, [machine])[0]!

/** Gathers the files of many machines with one query a table. */
export function loadMachines(tx: Tx, rows: MachineRow[]): MachineFile[] {
  const ids = rows.map(m => m.id)
  const { school, batterySchool } = practiceOf(tx)
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- the tables share their machine column, not a type
  const of = <T extends SQLiteTableWithColumns<any>>(table: T): Map<number, T['$inferSelect'][]> => groupBy(
    tx.select().from(table as SQLiteTableWithColumns<TableConfig>).where(and(inArray(table.machineId, ids), table.struckBy ? isNull(table.struckBy) : undefined)).orderBy(asc(table.id ?? sql`1`)).all() as T['$inferSelect'][],
    row => (row as { machineId: number }).machineId,
  )
  const [power, said, came, codes, parts, damage, cleaned, waiting, faulty, needs, read, asked, signed] = [
    of(powerAssessments), of(claims), of(accessories), of(dateCodes), of(assemblies), of(damages), of(cleanings), of(waits), of(faults), of(partNeeds), of(readings), of(questions), of(signOffs),
  ] as const
  const [off, dangers, cells] = [of(offReadings), of(hazards), of(batteries)] as const
  const supplyRows = tx.select().from(supplies).all()
  const look = { photographs: of(photographs), corrosions: of(corrosions), checksDone: of(checksDone), openingSteps: of(openingSteps), interventions: of(interventions), consents: of(consents), spendings: of(spendings), appraisals: of(appraisals), letters: of(letters) }
  const faultIds = [...faulty.values()].flat().map(f => f.id)
  const observed = groupBy(tx.select().from(observations).where(and(inArray(observations.faultId, faultIds), isNull(observations.struckBy))).orderBy(asc(observations.id)).all(), o => o.faultId)
  const repaired = groupBy(tx.select().from(repairs).where(inArray(repairs.faultId, faultIds)).orderBy(asc(repairs.id)).all(), r => r.faultId)
  const modelRows = tx.select().from(models).all()
  const family = groupBy(
    tx.select({ id: machines.id, tag: machines.tag, nickname: machines.nickname, modelId: machines.modelId, batteryLeaked: powerAssessments.batteryHasLeaked, signedOff: sql<number>`EXISTS (SELECT 1 FROM ${signOffs} WHERE ${signOffs.machineId} = ${machines.id} AND ${signOffs.endedAt} IS NULL)` }).from(machines).innerJoin(powerAssessments, eq(powerAssessments.machineId, machines.id)).where(sql`${machines.modelId} IS NOT NULL`).all(),
    m => m.modelId!,
  )

  return rows.map(machine => ({
    machine,
    model: modelRows.find(m => m.id === machine.modelId),
    power: power.get(machine.id)![0]!,
    school: power.get(machine.id)![0]!.school ?? school,
    claims: said.get(machine.id) ?? [],
    accessories: came.get(machine.id) ?? [],
    dateCodes: codes.get(machine.id) ?? [],
    assemblies: parts.get(machine.id) ?? [],
    damages: damage.get(machine.id) ?? [],
    cleanings: cleaned.get(machine.id) ?? [],
    waits: (waiting.get(machine.id) ?? []).filter(w => !w.endedAt),
    faults: (faulty.get(machine.id) ?? []).map(f => ({ ...f, observations: observed.get(f.id) ?? [], repairs: repaired.get(f.id) ?? [] })),
    partNeeds: needs.get(machine.id) ?? [],
    readings: read.get(machine.id) ?? [],
    offReadings: off.get(machine.id) ?? [],
    hazards: dangers.get(machine.id) ?? [],
    batteries: cells.get(machine.id) ?? [],
    batterySchool,
    supply: supplyRows.find(s => s.id === power.get(machine.id)![0]!.supplyId),
    questions: asked.get(machine.id) ?? [],
    signOff: (signed.get(machine.id) ?? []).findLast(s => !s.endedAt),
    sisters: (family.get(machine.modelId ?? -1) ?? []).filter(s => s.id !== machine.id).map(({ id, tag, nickname, batteryLeaked, signedOff }) => ({ id, tag, nickname, batteryLeaked, signedOff: Boolean(signedOff) })),
    photographs: look.photographs.get(machine.id) ?? [],
    corrosions: look.corrosions.get(machine.id) ?? [],
    checksDone: look.checksDone.get(machine.id) ?? [],
    openingSteps: (look.openingSteps.get(machine.id) ?? []).sort((a, b) => a.step - b.step),
    interventions: look.interventions.get(machine.id) ?? [],
    consent: look.consents.get(machine.id)?.[0] ?? null,
    spendings: look.spendings.get(machine.id) ?? [],
    appraisal: look.appraisals.get(machine.id)?.[0] ?? null,
    letters: look.letters.get(machine.id) ?? [],
  }))
}

function groupBy<T, K>(rows: T[], keyOf: (row: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const row of rows) groups.set(keyOf(row), [...groups.get(keyOf(row)) ?? [], row])
  return groups
}

/** The rails to expect: those said for this machine, else those of its model. */
export const expectedRailsOf = ({ machine, model }: MachineFile) => machine.ownRails ?? model?.rails ?? []

/** What its inlet wants; nothing where nobody has said. */
export const inletOf = ({ machine, model }: MachineFile): Inlet | null => machine.ownInlet ?? model?.inlet ?? null

/** What was read in the configuration that it stands in now. */
const hereOnly = <R extends { configuration: string }>({ power }: MachineFile, rows: R[]) => rows.filter(r => r.configuration === keyOf(power.configuration))

/** The newest off-state measurement of every expected rail in this configuration, judged. */
export function offStateOf(file: MachineFile): { rail: string, nominalV: number, last: (OffStateResult & (typeof offReadings.$inferSelect)) | null }[] {
  return expectedRailsOf(file).map(({ name, nominalV }) => {
    const last = hereOnly(file, file.offReadings).findLast(r => r.rail === name)
    return { rail: name, nominalV, last: last ? { ...last, ...judgeOffState(last.reading) } : null }
  })
}

/** The register of hazards: what its records point to, and what somebody found out. */
function registerOf(file: MachineFile, facts: PowerFacts): Hazard[] {
  const nameOf = (id: number | null) => file.assemblies.find(a => a.id === id)?.name ?? ''
  return hazardsOf({
    facts, assemblies: file.assemblies, damages: file.damages.map(d => ({ ...d, assembly: nameOf(d.assemblyId) })),
    claims: [...file.claims.filter(c => c.verdict !== 'refuted').map(c => c.says), file.machine.lastPoweredWhat].filter(Boolean),
    interventions: file.interventions, knownFaults: file.model?.knownFaults ?? [], massKg: file.machine.weightKg ?? file.model?.weightKg ?? null,
  }, file.hazards)
}

/** Its batteries, judged by the practice and the year of the moment. */
export const batteriesOf = (file: MachineFile, now: Date): ((typeof batteries.$inferSelect) & BatteryResult)[] => file.batteries.map(battery => ({ ...battery, ...judgedBattery(battery, file.batterySchool, now) }))

/** Facts for power that were measured or recorded; each counts before what was entered. */
function measuredFacts(file: MachineFile, now: Date, rails: ReturnType<typeof judgeRails> | null): PowerFacts {
  const inlet = inletOf(file)
  const measured: PowerFacts = {
    shortedRail: shortFact(undefined, offStateOf(file).map(r => r.last?.verdict ?? null)),
    battery: batteryFact(undefined, batteriesOf(file, now).map(b => b.fact)),
    supply: supplyFact(undefined, file.supply && inlet ? matchSupply({ needs: inlet, supply: file.supply.label }).suits : null),
    rails: rails?.verdict ?? 'unread',
  }
  return Object.fromEntries(Object.entries(measured).filter(([, value]) => value !== undefined))
}

/** What is seen to before a start of it. */
export function startChecksOf(file: MachineFile, facts: PowerFacts): ReturnType<typeof startChecks> {
  const inlet = inletOf(file)
  return startChecks({
    school: file.school, configuration: file.power.configuration, facts, offState: offStateOf(file).map(({ rail, last }) => ({ rail, verdict: last?.verdict ?? null })),
    firstLimitA: inlet ? matchSupply({ needs: inlet, supply: { voltageV: inlet.voltageV } }).bench?.firstLimitA ?? null : null,
  })
}

export interface Assessment {
  /** The facts that count; and of them those that were measured or recorded. */
  facts: PowerFacts
  measured: PowerFacts
  gate: GateResult
  hazards: Hazard[]
  inForce: GateVerdict
  rails: ReturnType<typeof judgeRails> | null
  state: MachineState
  run: ReturnType<typeof runOf>
  moves: ReturnType<typeof nextMoves>
  harm: ReturnType<typeof growingHarm>
  signOff: ReturnType<typeof judgeSignOff>
}

const day = 24 * 60 * 60 * 1000

/** Asks every rule of the core about one machine: rails, then the gate that rests on them, then the run and what to do next. */
export function assess(file: MachineFile, now: Date): Assessment {
  const { machine, power } = file
  const expected = expectedRailsOf(file)
  const rails = expected.length ? judgeRails({ rails: expected.map(rail => ({ ...rail, readings: hereOnly(file, file.readings).filter(r => r.rail === rail.name) })) }) : null
  const measured = measuredFacts(file, now, rails)
  const facts = { ...power.facts, ...measured }
  const register = registerOf(file, facts)
  const gate = assessGate({ school: file.school, facts, inspectedBy: power.inspectedBy, hazards: register, configuration: power.configuration })
  const inForce = gateInForce(gate, power.overruleVerdict ? { verdict: power.overruleVerdict, reason: power.overruleReason } : null)
  const sistersWithLeakedBattery = file.sisters.filter(s => s.batteryLeaked).length
  const modelBatteryLeaks = leakingBatteryKnown(file.model?.knownFaults ?? [])
  const daysHere = Math.floor((now.getTime() - Date.parse(machine.bookedInAt)) / day)
  const waiting = file.waits.map(w => ({ what: w.what, over: w.until <= now.toISOString() }))
  const state: MachineState = {
    stage: machine.stage,
    identified: file.model !== undefined || machine.maker !== '',
    provenanceKnown: machine.fromWhom !== '',
    lastPoweredKnown: machine.lastPowered !== '' || machine.lastPoweredWhat !== '',
    accessoriesNoted: file.accessories.length > 0,
    assemblies: file.assemblies,
    checks: checksFor(file.damages, file.assemblies).map(({ code, says, why }) => ({ says, why, done: file.checksDone.some(c => c.code === code) })),
    fixingsMissing: reassemble(file.openingSteps).findings.filter(f => f.code === 'opening.missing').map(f => ({ says: f.says, where: f.because[0] ?? '' })),
    interventionsOpen: file.interventions.filter(i => i.state === 'not-understood').length,
    consentWanted: notOurs.some(a => a === machine.acquired) && !file.consent,
    pathChosen: (file.appraisal?.path ?? null) !== null,
    facts, gate, gateInForce: inForce,
    hazardsSuspected: register.filter(h => h.state === 'suspected').map(h => ({ title: hazardKinds[h.kind].title, evidence: h.evidence[0] ?? '' })),
    cleanings: file.cleanings.length,
    waits: waiting,
    faults: file.faults.map(f => ({ symptom: f.symptom, stopsMachine: f.stopsMachine, open: f.open, observations: f.observations.length, repairs: f.repairs.length })),
    wantedParts: file.partNeeds.filter(p => p.outcome === 'wanted'),
    rails: rails?.rails ?? [],
    railsVerdict: rails?.verdict ?? 'unread',
    signedOff: file.signOff !== undefined,
    whole: power.configuration.kind === 'whole',
    batteriesToReplace: file.batteries.filter(b => !b.fitted && b.state === 'sound' && !b.replacement).map(b => ({ where: b.where, by: replacements[file.batterySchool].title.toLowerCase() })),
    modelBatteryLeaks,
    life: machine.life,
    daysHere,
    sistersWithLeakedBattery,
  }
  return {
    facts, measured, gate, hazards: register, inForce, rails, state,
    run: runOf(state),
    moves: nextMoves(state),
    harm: growingHarm({ facts, sistersWithLeakedBattery, modelBatteryLeaks, mouldPresent: register.some(h => h.kind === 'mould' && h.state === 'present'), daysHere }),
    signOff: judgeSignOff({
      gate: inForce, rails: state.railsVerdict,
      openFaults: state.faults.filter(f => f.open), runningWaits: waiting.filter(w => !w.over).map(w => w.what), whole: state.whole,
    }),
  }
}
