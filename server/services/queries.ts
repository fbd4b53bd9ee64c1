import { and, asc, count, desc, eq, isNull } from 'drizzle-orm'
import { readDateCode } from '#core/identify/date-code'
import { dateMachine } from '#core/identify/dating'
import { compareKit } from '#core/identify/kit'
import type { HistoryLine, MachineSheet, MachineSummary, ModelView, Passport, WaitView, WantedPart } from '#shared/contracts/views'
import { isOpen, isStrikeable, sentenceOf } from '#shared/journal/kinds'
import { claims, journal, machines, models, partNeeds } from '../db/schema'
import type { Tx } from './journal'
import { type MachineFile, assess, expectedRailsOf, loadMachine, loadMachines } from './machine-file'
import { lookOf } from './sheet-look'
import { powerOf } from './sheet-power'
import { practiceOf } from './practice'
import { NotFound } from './refusals'
import { findMachines } from './search'

const waitsOf = (file: MachineFile, now: Date): WaitView[] => file.waits.map(({ id, what, startedAt, until }) => ({ id, what, startedAt, until, over: until <= now.toISOString() }))

/** Every machine, or those that match what was typed, best match first. */
export function listMachines(tx: Tx, now: Date, typed = ''): MachineSummary[] {
  const rows = tx.select().from(machines).orderBy(desc(machines.tag)).all()
  const found = typed.trim() ? findMachines(tx, typed).flatMap(id => rows.filter(m => m.id === id)) : rows
  return loadMachines(tx, found).map((file) => {
    const { machine } = file
    const { inForce, moves, run, harm, state } = assess(file, now)
    const { tag, name, maker, nickname, place, stage, life, acquired, onBench } = machine
    return {
      tag, name, maker, nickname, place, stage, life, acquired, onBench, daysHere: state.daysHere,
      gate: inForce, overruled: file.power.overruleVerdict !== null,
      waits: waitsOf(file, now), moves, run, harm,
      openFaults: file.faults.filter(f => f.open).map(f => f.symptom),
    }
  })
}

function machineByTag(tx: Tx, tag: string) {
  const machine = tx.select().from(machines).where(eq(machines.tag, tag)).get()
  if (!machine) throw new NotFound(`There is no machine with the tag ${tag}.`)
  return machine
}

/** How claims made with machines from one source have fared. */
function sourceFared(tx: Tx, fromWhom: string) {
  const rows = tx.select({ verdict: claims.verdict, n: count() }).from(claims).innerJoin(machines, eq(machines.id, claims.machineId))
    .where(and(eq(machines.fromWhom, fromWhom), isNull(claims.struckBy))).groupBy(claims.verdict).all()
  return { confirmed: 0, refuted: 0, undecided: 0, open: 0, ...Object.fromEntries(rows.map(r => [r.verdict, r.n])) }
}

/** When it was made, as far as its parts tell. */
const datingOf = (file: MachineFile) => (file.dateCodes.length ? dateMachine({ codes: file.dateCodes.map(({ code, part, reworked, socketed }) => ({ code, place: part, reworked, socketed })) }) : null)

/** Everything about one machine. @throws NotFound */
export function machineSheet(tx: Tx, now: Date, tag: string): MachineSheet {
  const machine = machineByTag(tx, tag)
  const file = loadMachine(tx, machine)
  const assessment = assess(file, now)
  const { hazards, rails, run, moves, harm, signOff, state } = assessment
  const { version, name, maker, nickname, serial, variant, weightKg, place, acquired, fromWhom, owner, lastPowered, lastPoweredBy, lastPoweredWhat } = machine
  return {
    tag, uid: machine.uid, stage: machine.stage, onBench: machine.onBench, life: machine.life, bookedInAt: machine.bookedInAt, daysHere: state.daysHere,
    identity: { version, name, maker, nickname, serial, variant, weightKg, place, acquired, fromWhom, owner, lastPowered, lastPoweredBy, lastPoweredWhat },
    about: file.model?.about ?? '',
    sisters: file.sisters.map(({ tag, nickname, batteryLeaked, signedOff }) => ({ tag, nickname, batteryLeaked, signedOff })),
    claims: file.claims.map(({ id, version, says, byWhom, verdict, because }) => ({ id, version, says, byWhom, verdict, because })),
    sourceFared: sourceFared(tx, machine.fromWhom),
    kit: compareKit(file.model?.usualKit ?? [], file.accessories.map(a => a.name)).map(item => ({ ...item, wanted: file.partNeeds.some(p => p.outcome === 'wanted' && p.name === item.name) })),
    accessories: file.accessories.map(({ id, name }) => ({ id, name })),
    dateCodes: file.dateCodes.map(({ id, part, code, reworked, socketed }) => ({ id, part, code, reworked, socketed, says: readDateCode({ code }).readings[0]?.says ?? 'no date' })),
    dating: datingOf(file),
    assemblies: file.assemblies.map(({ id, version, name, presence, grade, note }) => ({ id, version, name, presence, grade, note })),
    hazards: hazards.map((hazard) => {
      const settled = file.hazards.find(h => h.kind === hazard.kind)
      return { ...hazard, version: settled?.version ?? 0, by: settled?.byWhom ?? '', at: settled?.at ?? '' }
    }),
    ...lookOf(tx, file),
    ...powerOf(tx, file, now, assessment),
    cleanings: file.cleanings.map(({ id, what, withWhat, byWhom, at }) => ({ id, what, withWhat, byWhom, at })),
    waits: waitsOf(file, now),
    faults: file.faults.map(({ id, version, symptom, firstSeen, stopsMachine, open, observations, repairs }) => ({
      id, version, symptom, firstSeen, stopsMachine, open,
      observations: observations.map(({ id, says, at }) => ({ id, says, at })),
      repairs: repairs.map(({ id, did, closes, at }) => ({ id, did, closes, at })),
    })),
    parts: file.partNeeds.map(({ id, version, name, quantity, stopsStart, outcome }) => ({ id, version, name, quantity, stopsStart, outcome })),
    expectedRails: expectedRailsOf(file),
    rails,
    signOff: { ...signOff, standing: file.signOff ? { statement: file.signOff.statement, by: file.signOff.byWhom, at: file.signOff.at } : null },
    questions: file.questions.map(({ id, question, answer, settledAt }) => ({ id, question, answer, settled: settledAt !== null })),
    passport: { on: machine.passportOn, path: machine.passportToken && `/passport/${machine.passportToken}` },
    run, moves, harm,
    history: historyOf(tx, machine.id),
  }
}

/** The history of a machine, newest first, with what was struck and why. */
export function historyOf(tx: Tx, machineId: number): HistoryLine[] {
  const entries = tx.select().from(journal).where(eq(journal.machineId, machineId)).orderBy(desc(journal.seq)).all()
  const strikes = new Map(entries.filter(e => e.strikes !== null).map(e => [e.strikes, e]))
  return entries.map(({ id, seq, at, by, kind, data, hash }) => {
    const strike = strikes.get(id)
    return {
      id, seq, at, by, kind, hash, says: sentenceOf(kind, JSON.parse(data)),
      strikeable: isStrikeable(kind) && !strike,
      struck: strike ? { by: strike.by, at: strike.at, reason: (JSON.parse(strike.data) as { reason: string }).reason } : null,
    }
  })
}

export function listModels(tx: Tx, now: Date): ModelView[] {
  const files = loadMachines(tx, tx.select().from(machines).orderBy(asc(machines.tag)).all())
  return tx.select().from(models).orderBy(asc(models.maker), asc(models.name)).all().map(({ uid: _, ...model }) => ({
    ...model,
    machines: files.filter(f => f.machine.modelId === model.id).map(f => ({
      tag: f.machine.tag, nickname: f.machine.nickname, variant: f.machine.variant, gate: assess(f, now).inForce, batteryLeaked: f.power.batteryHasLeaked,
      faults: f.faults.map(({ symptom, open }) => ({ symptom, open })), openingSteps: f.openingSteps.length,
    })),
  }))
}

/** Parts that are still wanted; those that stop a start come first, then the longest wanted. */
export function wantedParts(tx: Tx): WantedPart[] {
  return tx.select({ id: partNeeds.id, version: partNeeds.version, tag: machines.tag, nickname: machines.nickname, model: machines.name, name: partNeeds.name, quantity: partNeeds.quantity, stopsStart: partNeeds.stopsStart, wantedAt: partNeeds.wantedAt })
    .from(partNeeds).innerJoin(machines, eq(machines.id, partNeeds.machineId)).where(eq(partNeeds.outcome, 'wanted'))
    .orderBy(desc(partNeeds.stopsStart), asc(partNeeds.wantedAt)).all()
    .map(({ nickname, model, ...part }) => ({ ...part, machine: nickname || model }))
}

/** What the passport shows. Names of people, donor, owner, prices and places stay behind. @throws NotFound also while it is switched off */
export function passportOf(tx: Tx, now: Date, token: string): Passport {
  const machine = tx.select().from(machines).where(eq(machines.passportToken, token)).get()
  if (!machine?.passportOn) throw new NotFound('There is no passport under this link, or it has been switched off.')
  const file = loadMachine(tx, machine)
  const history = historyOf(tx, machine.id)
  const { tag, name, maker, serial, stage, life, bookedInAt } = machine
  return {
    collection: practiceOf(tx).name, tag, name, maker, serial, about: file.model?.about ?? '', stage, life, bookedInAt,
    gate: assess(file, now).inForce,
    assemblies: file.assemblies.map(({ name, presence, grade }) => ({ name, presence, grade })),
    faults: file.faults.map(({ symptom, open }) => ({ symptom, open })),
    partsSought: file.partNeeds.filter(p => p.outcome === 'wanted').map(({ name, quantity }) => ({ name, quantity })),
    questions: file.questions.filter(q => !q.settledAt).map(q => q.question),
    dateCodes: file.dateCodes.map(({ part, code }) => `${code}${part && ` on ${part}`}: ${readDateCode({ code }).readings[0]?.says ?? 'no date'}`),
    made: datingOf(file)?.findings[0]?.says ?? '',
    history: history.filter(line => isOpen(line.kind) && !line.struck).map(({ at, says }) => ({ at, says })),
    proof: { entries: history.length, hash: history[0]?.hash ?? '' },
  }
}
