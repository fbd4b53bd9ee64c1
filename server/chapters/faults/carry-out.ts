import { gunzipSync } from 'node:zlib'
import { readBanks, readKeyboardMap } from '#core/diagnosis/bench-maps'
import { judgeMatrix } from '#core/diagnosis/keyboard-matrix'
import { judgeMemory } from '#core/diagnosis/memory-fault'
import { InputError } from '#core/kernel/input-error'
import { faultInstruments } from '#shared/chapters/faults/index'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, ne } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork, Work } from '../../kernel/work'
import type { Tx } from '../../kernel/history/journal'
import { machines } from '../../kernel/trunk'
import { photographOf } from '../look/index'
import { models } from '../models/index'
import { prepareJudgement } from '../record/index'
import { attempts, benchMaps, captures, faults, modelCodes, observations, repairs, theories } from './schema'

/** As many swaps as the reasoning takes. */
const mostTrials = 30

const faultOf = (work: MachineWork, id: number) => rowOf(work, faults, id, 'fault')

type Reported = CommandInput<'report-fault'>
/** Other chapters report in plain words alone. */
export function reportFault(work: MachineWork, input: Pick<Reported, 'symptom' | 'firstSeen' | 'stopsMachine'> & Partial<Reported>): void {
  work.tx
    .insert(faults)
    .values({ machineId: work.machine.id, reportedAt: work.at, ...input })
    .run()
  const { symptom, firstSeen, stopsMachine } = input
  work.write('fault.reported', { symptom, firstSeen, stopsMachine })
}

export function changeFault(work: MachineWork, { faultId, version, ...said }: CommandInput<'change-fault'>): void {
  const fault = faultOf(work, faultId)
  expectVersion(work, fault, version, fault.version, Object.keys(said))
  const { symptom, stopsMachine } = said
  work.tx
    .update(faults)
    .set({ ...said, version: fault.version + 1 })
    .where(eq(faults.id, faultId))
    .run()
  if (fault.symptom !== symptom || fault.stopsMachine !== stopsMachine) work.write('fault.changed', { from: fault.symptom, to: symptom, stopsMachine })
}

export function observeFault(work: MachineWork, { faultId, says, photographId }: CommandInput<'observe-fault'>): void {
  const fault = faultOf(work, faultId)
  if (photographId !== null) photographOf(work, photographId)
  const { id } = work.tx.insert(observations).values({ faultId, says, photographId, at: work.at }).returning().get()
  work.write('fault.observed', { symptom: fault.symptom, says }, { subject: { table: 'observations', id } })
}

export function repairFault(work: MachineWork, { faultId, cause, causeKind, ...repair }: CommandInput<'repair-fault'>): void {
  const fault = faultOf(work, faultId)
  if (!fault.open) throw new NotNow('This fault has been closed already. Report it again if it came back.')
  work.tx
    .insert(repairs)
    .values({ faultId, ...repair, byId: work.person.id, at: work.at })
    .run()
  work.tx
    .update(faults)
    .set({ open: !repair.closes, ...(repair.closes ? { leftAs: '' as const } : {}), ...(cause ? { cause, causeKind } : {}), version: fault.version + 1 })
    .where(eq(faults.id, faultId))
    .run()
  work.write('fault.repaired', { symptom: fault.symptom, cause, ...repair })
}

/** Something that was tried; a swap says what took part, which have to be parts of the board. */
export function tryOnFault(work: MachineWork, { faultId, area, did, minutes, trial }: CommandInput<'try-on-fault'>): void {
  const fault = faultOf(work, faultId)
  const stranger = trial?.parts.find(name => !fault.swapParts.some(p => p.name === name))
  if (stranger !== undefined) throw new InputError('trial.parts', stranger, `“${stranger}” is none of the parts on this board. Add it first.`)
  if (trial?.failures !== undefined && trial.failures > trial.runs)
    throw new InputError('trial.failures', trial.failures, `Of them failed: no more than the ${trial.runs} runs.`)
  const { tx, at, person } = work
  if (
    trial &&
    tx
      .select()
      .from(attempts)
      .where(eq(attempts.faultId, faultId))
      .all()
      .filter(a => a.trial).length >= mostTrials
  )
    throw new NotNow(`A board takes up to ${mostTrials} swaps. Report what is left as a fault of its own.`)
  tx.insert(attempts)
    .values({ faultId, area, did, minutes: minutes === null ? null : Math.round(minutes), trial, by: person.name, at })
    .run()
  work.write('fault.tried', { symptom: fault.symptom, did, minutes, parts: trial?.parts ?? [], outcome: trial?.outcome ?? '', trusted: trial?.trusted ?? true })
}

/** More captures of one fault nobody looks through. */
const mostCaptures = 20

/** Runs an instrument of the bench once more and keeps what it says as an attempt; a capture stays with it. */
export function keepJudgement(work: MachineWork, asked: CommandInput<'keep-judgement'>): void {
  const { faultId, name, minutes } = asked
  const fault = faultOf(work, faultId)
  if (!fault.open) throw new NotNow('This fault has been closed already.')
  const { title, says, trace } = prepareJudgement(asked).prepared
  const { tx, at, person } = work
  if (
    trace &&
    tx
      .select()
      .from(attempts)
      .where(and(eq(attempts.faultId, faultId), ne(attempts.capture, '')))
      .all().length >= mostCaptures
  )
    throw new NotNow(`A fault keeps up to ${mostCaptures} captures.`)
  const did = `${title}: ${says}`
  const { id } = tx
    .insert(attempts)
    .values({
      faultId,
      area: faultInstruments[asked.tool],
      did,
      minutes: minutes === null ? null : Math.round(minutes),
      capture: trace ? name || 'Capture' : '',
      by: person.name,
      at,
    })
    .returning()
    .get()
  if (trace)
    tx.insert(captures)
      .values({ attemptId: id, packed: Buffer.from(trace) })
      .run()
  work.write('fault.tried', { symptom: fault.symptom, did, minutes, parts: [], outcome: '', trusted: true })
}

/** The text of a capture as it was kept. @throws NotFound */
export function captureText(tx: Tx, tag: string, attemptId: number): string {
  const found = tx
    .select({ packed: captures.packed })
    .from(captures)
    .innerJoin(attempts, eq(attempts.id, captures.attemptId))
    .innerJoin(faults, eq(faults.id, attempts.faultId))
    .innerJoin(machines, eq(machines.id, faults.machineId))
    .where(and(eq(captures.attemptId, attemptId), eq(machines.tag, tag)))
    .get()
  if (!found) throw new NotFound('There is no such capture.')
  return gunzipSync(found.packed).toString('utf8')
}

/** Keeps what the instruments have to know of a model. @throws InputError where a map cannot be read */
export function keepBenchMap(work: Work, { modelId, version, map }: CommandInput<'keep-bench-map'>): void {
  const { tx, at, person, write } = work
  const model = tx.select().from(models).where(eq(models.id, modelId)).get()
  if (!model) throw new NotFound('There is no such model.')
  if (map.kind === 'keyboard') judgeMatrix({ keys: readKeyboardMap(map.keys).map(k => ({ ...k, state: 'untested' })) })
  if (map.kind === 'memory') judgeMemory({ ...map, banks: readBanks(map.banks, map.base), failures: [] })
  const before = tx
    .select()
    .from(benchMaps)
    .where(and(eq(benchMaps.modelId, modelId), eq(benchMaps.kind, map.kind)))
    .get()
  expectVersion(work, before ?? {}, version, before?.version ?? 0, ['map'])
  const kept = { map, by: person.name, at, version: version + 1 }
  tx.insert(benchMaps)
    .values({ modelId, kind: map.kind, ...kept })
    .onConflictDoUpdate({ target: [benchMaps.modelId, benchMaps.kind], set: kept })
    .run()
  write('benchmap.kept', { model: model.name, kind: map.kind })
}

export function setSwapParts(work: MachineWork, { faultId, version, parts }: CommandInput<'set-swap-parts'>): void {
  const fault = faultOf(work, faultId)
  expectVersion(work, fault, version, fault.version, ['symptom'])
  const names = parts.map(p => p.name)
  const twice = names.find((name, i) => names.indexOf(name) !== i)
  if (twice !== undefined) throw new InputError('parts', twice, `${twice} is named twice. Tell the two apart.`)
  const used = work.tx
    .select()
    .from(attempts)
    .where(eq(attempts.faultId, faultId))
    .all()
    .flatMap(a => a.trial?.parts ?? [])
    .find(name => !names.includes(name))
  if (used !== undefined) throw new InputError('parts', used, `${used} took part in a swap already; it stays on the board.`)
  work.tx
    .update(faults)
    .set({ swapParts: parts, version: fault.version + 1 })
    .where(eq(faults.id, faultId))
    .run()
  work.write('fault.parts', { symptom: fault.symptom, parts: parts.length })
}

export function holdTheory(work: MachineWork, { faultId, ...theory }: CommandInput<'hold-theory'>): void {
  const fault = faultOf(work, faultId)
  if (!fault.open) throw new NotNow('This fault has been closed already.')
  work.tx
    .insert(theories)
    .values({ faultId, ...theory, by: work.person.name, at: work.at })
    .run()
  const { says, why, wouldRefute } = theory
  work.write('theory.held', { symptom: fault.symptom, says, why, wouldRefute })
}

/** Refutes, confirms or takes up a theory; a test whose own equipment is in doubt refutes nothing on its own. */
export function judgeTheory(work: MachineWork, { theoryId, state, why, trusted }: CommandInput<'judge-theory'>): void {
  const theory = work.tx.select().from(theories).where(eq(theories.id, theoryId)).get()
  if (!theory) throw new NotFound('There is no such theory.')
  const fault = faultOf(work, theory.faultId)
  if (theory.state === state) throw new NotNow('It stands like that already.')
  if (state !== 'held' && !trusted)
    throw new InputError(
      'trusted',
      false,
      'Check the checker: a test whose own equipment is not known good refutes and confirms nothing on its own. Try it on something that is known to work first.',
    )
  work.tx.update(theories).set({ state, stateWhy: why }).where(eq(theories.id, theoryId)).run()
  work.write('theory.judged', { symptom: fault.symptom, says: theory.says, state, why })
}

/** Leaves a fault open: as known, or as one that went by itself and may come back. */
export function leaveFault(work: MachineWork, { faultId, version, leftAs, says }: CommandInput<'leave-fault'>): void {
  const fault = faultOf(work, faultId)
  expectVersion(work, fault, version, fault.version, ['leftAs'])
  if (!fault.open) throw new NotNow('This fault has been closed already.')
  if (leftAs === 'known' && fault.stopsMachine)
    throw new InputError('leftAs', leftAs, 'A fault that stops the machine cannot stay as known. Reword it first, if it does not stop it.')
  work.tx
    .update(faults)
    .set({ leftAs, version: fault.version + 1 })
    .where(eq(faults.id, faultId))
    .run()
  work.write('fault.left', { symptom: fault.symptom, leftAs, says })
}

/** More codes of one model nobody looks through. */
const mostCodes = 400

/** What a code of a model means; said again, it is put right. */
export function noteCode({ tx, at, person, write }: Work, { modelId, code, says }: CommandInput<'note-code'>): void {
  const model = tx.select().from(models).where(eq(models.id, modelId)).get()
  if (!model) throw new NotFound('There is no such model.')
  const there = tx.select().from(modelCodes).where(eq(modelCodes.modelId, modelId)).all()
  const known = there.find(c => c.code.toLowerCase() === code.toLowerCase())
  if (known) tx.update(modelCodes).set({ says, by: person.name, at }).where(eq(modelCodes.id, known.id)).run()
  else if (there.length >= mostCodes) throw new NotNow(`A model has up to ${mostCodes} codes.`)
  else tx.insert(modelCodes).values({ modelId, code, says, by: person.name, at }).run()
  write('code.noted', { model: model.name, code, says })
}
