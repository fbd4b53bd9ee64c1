import { partsToSwap } from '#core/diagnosis/parts-to-swap'
import { backToBasics } from '#core/diagnosis/back-to-basics'
import { type EndedFault, likelyCauses, mentions } from '#core/diagnosis/causes'
import { railsOnRecord } from '#core/diagnosis/ladder'
import { basicsAround } from '#core/diagnosis/rules'
import { explained } from '#core/continuity/explained'
import { type FaultsOfModel, Repair, SwapTrial } from '#shared/chapters/faults/index'
import { type PartKind, priorOf } from '#core/diagnosis/part-priors'
import { and, asc, count, desc, eq, inArray, ne, sql } from 'drizzle-orm'
import type { ViewOf } from '#shared/chapters/index'
import type { MachineFile, MachineRow, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { machines } from '../../kernel/trunk'
import { functionsOf } from '../continuity/index'
import { attempts, benchMaps, faults, modelCodes, repairs } from './schema'

/** So many faults of sisters stand beside the one that is written. */
const mostSisters = 8
/** Faults of a model that are looked through; the newest. */
const mostEnded = 400

/** What machines of the same model had, and the repair that closed it; the newest. */
function sisterFaultsOf(tx: Tx, { id, modelId }: MachineRow): ViewOf<'faults'>['sisterFaults'] {
  if (modelId === null) return []
  const did = sql<string>`coalesce((SELECT ${repairs.did} FROM ${repairs} WHERE ${repairs.faultId} = ${faults.id} AND ${repairs.closes} ORDER BY ${repairs.id} DESC LIMIT 1), '')`
  return tx
    .select({
      tag: machines.tag,
      name: sql<string>`iif(${machines.nickname} = '', ${machines.tag}, ${machines.nickname})`,
      symptom: faults.symptom,
      open: faults.open,
      did,
    })
    .from(faults)
    .innerJoin(machines, eq(machines.id, faults.machineId))
    .where(and(eq(machines.modelId, modelId), ne(machines.id, id)))
    .orderBy(desc(faults.id))
    .limit(mostSisters)
    .all()
}

/** Every fault of a model that has ended, with its cause. */
function endedOf(tx: Tx, modelId: number | null): (EndedFault & { machineId: number })[] {
  if (modelId === null) return []
  return tx
    .select({ machineId: machines.id, machine: machines.tag, symptoms: faults.symptoms, cause: faults.cause })
    .from(faults)
    .innerJoin(machines, eq(machines.id, faults.machineId))
    .where(and(eq(machines.modelId, modelId), ne(faults.cause, '')))
    .orderBy(desc(faults.id))
    .limit(mostEnded)
    .all()
}

/** How likely parts of a kind are at fault, by the causes that this collection has found. */
function ownPriors(tx: Tx): Record<string, number> {
  const found = tx.select({ kind: faults.causeKind, times: count() }).from(faults).where(ne(faults.causeKind, '')).groupBy(faults.causeKind).all()
  const looked = found.reduce((sum, f) => sum + f.times, 0)
  return Object.fromEntries(found.map(f => [f.kind, priorOf(f.kind as PartKind, { faulty: f.times, looked })]))
}

/** Codes of a model, each with the causes of faults in whose words it stands. */
function codesOf(tx: Tx, modelId: number | null): FaultsOfModel['codes'] {
  if (modelId === null) return []
  const codes = tx.select().from(modelCodes).where(eq(modelCodes.modelId, modelId)).orderBy(asc(modelCodes.code)).all()
  if (!codes.length) return []
  const ended = tx
    .select({ tag: machines.tag, symptom: faults.symptom, cause: faults.cause })
    .from(faults)
    .innerJoin(machines, eq(machines.id, faults.machineId))
    .where(and(eq(machines.modelId, modelId), ne(faults.cause, '')))
    .orderBy(desc(faults.id))
    .limit(mostEnded)
    .all()
  return codes.map(({ code, says }) => ({ code, says, turnedOut: ended.filter(f => mentions(f.symptom, code)).map(({ cause, tag }) => ({ cause, tag })) }))
}

/** What the instruments of the bench know of a model. */
function benchMapsOf(tx: Tx, modelId: number | null): Pick<FaultsOfModel, 'benchMaps' | 'benchMapVersions'> {
  const maps = modelId === null ? [] : tx.select().from(benchMaps).where(eq(benchMaps.modelId, modelId)).all()
  return { benchMaps: Object.fromEntries(maps.map(m => [m.kind, m.map])), benchMapVersions: Object.fromEntries(maps.map(m => [m.kind, m.version])) }
}

/** Functions of nets that probing of this machine found broken or doubtful. */
function brokenFunctionsOf(tx: Tx, { probeSheets }: MachineFile): ViewOf<'faults'>['brokenFunctions'] {
  return probeSheets.flatMap(s => {
    const nets = [...s.broken, ...s.doubtful]
    return nets.length ? explained(nets, functionsOf(tx, s.boardId)) : []
  })
}

/** Faults with what was observed, tried, thought and repaired. */
export function faultsView({ tx, file, assessment }: ViewInput): ViewOf<'faults'> {
  const around = basicsAround(file)
  const ended = endedOf(tx, file.machine.modelId)
  return {
    knownFaults: file.model?.knownFaults ?? [],
    sisterFaults: sisterFaultsOf(tx, file.machine),
    codes: codesOf(tx, file.machine.modelId),
    modelId: file.machine.modelId,
    railsOnRecord: railsOnRecord(assessment.known.railsResult?.rails ?? []),
    ...benchMapsOf(tx, file.machine.modelId),
    brokenFunctions: brokenFunctionsOf(tx, file),
    partPriors: ownPriors(tx),
    partsToSwap: partsToSwap(file.assemblies),
    faults: file.faults.map(({ id, version, symptom, symptoms, conditions, firstSeen, stopsMachine, open, leftAs, cause, swapParts, ...of }) => ({
      id,
      version,
      symptom,
      symptoms,
      conditions,
      firstSeen,
      stopsMachine,
      open,
      leftAs,
      cause,
      swapParts,
      minutes: of.attempts.reduce((sum, a) => sum + (a.minutes ?? 0), 0),
      observations: of.observations.map(({ id: no, says, photographId, at }) => {
        const photograph = file.photographs.find(f => f.id === photographId)
        return { id: no, says, at, photograph: photograph ? { id: photograph.id, hash: photograph.hash } : null }
      }),
      repairs: of.repairs.map(r => ({ id: r.id, ...Repair.of(r), at: r.at })),
      attempts: of.attempts.map(({ id: no, area, did, minutes, trial, capture, by, at }) => ({
        id: no,
        area,
        did,
        minutes,
        trial: trial && SwapTrial.parse(trial),
        capture,
        by,
        at,
      })),
      theories: of.theories.map(({ id: no, says, why, wouldRefute, damaged, state, stateWhy, by, at }) => ({
        id: no,
        says,
        why,
        wouldRefute,
        damaged,
        state,
        stateWhy,
        by,
        at,
      })),
      findings: backToBasics({ open: open && leftAs !== 'known', attempts: of.attempts, theories: of.theories, ...around }),
      likelyCauses: open
        ? likelyCauses(
            symptoms,
            ended.filter(f => f.machineId !== file.machine.id),
          ).slice(0, 4)
        : [],
    })),
  }
}

/** Faults of a model over the collection, and their causes with how often each was right. */
export function faultsOfModel(tx: Tx, modelId: number): FaultsOfModel {
  const list = tx
    .select({ fault: faults, tag: machines.tag, name: machines.nickname })
    .from(faults)
    .innerJoin(machines, eq(machines.id, faults.machineId))
    .where(eq(machines.modelId, modelId))
    .orderBy(desc(faults.id))
    .limit(mostEnded)
    .all()
  return {
    faults: list.map(({ fault, tag, name }) => ({
      id: fault.id,
      tag,
      name: name || tag,
      symptom: fault.symptom,
      symptoms: fault.symptoms,
      open: fault.open,
      leftAs: fault.leftAs,
      cause: fault.cause,
      did:
        tx
          .select({ did: repairs.did })
          .from(repairs)
          .where(and(eq(repairs.faultId, fault.id), eq(repairs.closes, true)))
          .orderBy(desc(repairs.id))
          .get()?.did ?? '',
      minutes: tx
        .select({ sum: sql<number>`coalesce(sum(${attempts.minutes}), 0)` })
        .from(attempts)
        .where(eq(attempts.faultId, fault.id))
        .get()!.sum,
    })),
    causes: likelyCauses([], endedOf(tx, modelId)),
    codes: codesOf(tx, modelId),
    ...benchMapsOf(tx, modelId),
  }
}

/** Faults of these machines that are open, the oldest first. */
export const openFaultsOf = (tx: Tx, machineIds: readonly number[]): { machineId: number; symptom: string }[] =>
  tx
    .select({ machineId: faults.machineId, symptom: faults.symptom })
    .from(faults)
    .where(and(inArray(faults.machineId, [...machineIds]), eq(faults.open, true)))
    .orderBy(asc(faults.id))
    .all()
