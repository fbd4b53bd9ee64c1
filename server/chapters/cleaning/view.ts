import { homeSteps } from '#core/power/battery-home'
import { millisecondsInHour } from 'date-fns/constants'
import { looksAfter, nextCleaningStep } from '#core/cleaning/contamination'
import { guessMaterials, guessSoils, patinaLeft, planCleaning } from '#core/cleaning/plan'
import { isAway } from '#core/condition/grades'
import { judgeSeries, wetNow } from '#core/cleaning/rules'
import type { ViewOf } from '#shared/chapters/index'
import { and, count, eq, gt, isNotNull, ne } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { machines } from '../../kernel/trunk'
import { coloursOf, facts, schoolsOf } from './facts'
import { cleaningParts, whitenings } from './schema'

/** So many sisters are offered to take over from, and so many like parts are asked how quickly they went. */
const mostSisters = 12
const mostSimilar = 40

/** What was cleaned, what is planned, what has to go, what dries and what is whitened. */
export function cleaningView({ tx, file, now }: ViewInput): ViewOf<'cleaning'> {
  const schools = schoolsOf(file)
  const record = facts(file)
  return {
    cleanings: file.cleanings.map(({ id, what, withWhat, byWhom, at }) => ({ id, what, withWhat, byWhom, at })),
    cleaning: {
      schools,
      ownSchools: { boards: file.cleaningSchools?.boards ?? null, plastic: file.cleaningSchools?.plastic ?? null },
      parts: file.cleaningParts.map(({ machineId: _, ...part }) => part),
      guesses: guessesOf(file),
      steps: file.cleaningSteps.map(({ machineId: _, ...step }) => step),
      neutralisedBatteries: file.batteries.filter(b => homeSteps.some(step => step === b.state)).map(b => b.where),
      findings: [...planCleaning({ parts: file.cleaningParts, schools }).findings, ...patinaLeft(file.damages)],
      sisters: sistersWithParts(tx, file),
      contaminations: file.contaminations.map(c => ({
        id: c.id,
        version: c.version,
        kind: c.kind,
        where: c.where,
        says: c.says,
        state: c.state,
        at: c.at,
        next: nextCleaningStep(c),
        looks: [...looksAfter(c.kind)],
      })),
      wet: wetNow(record, now),
      coppers: file.bareCoppers.map(({ id, version, where, at, sealedAt, sealedWith }) => ({ id, version, where, at, sealedAt, sealedWith })),
      counted: file.countedParts.map(({ id, version, what, out, back, note, at, photographId }) => {
        const map = file.photographs.find(p => p.id === photographId)
        return { id, version, what, out, back, note, at, photograph: map ? { id: map.id, hash: map.hash, caption: map.caption || map.name } : null }
      }),
      maps: file.photographs.map(({ id, caption, name }) => ({ id, caption: caption || name })),
      dryings: record.dryings.map((d, i) => seriesOf(d, file.dryings[i]!.id, now)),
      whitenings: file.whitenings.map(w => ({
        id: w.id,
        name: w.name,
        plastic: w.plastic,
        goalB: w.goalB,
        reference: w.reference,
        ...coloursOf(file, w),
        exposures: coloursOf(file, w).exposures.map(({ machineId: _, whiteningId: __, struckBy: ___, ...exposure }) => exposure),
        similarTauHours: similarTo(tx, w),
        endedAt: w.endedAt,
        outcome: w.outcome,
        relookOn: w.relookOn,
      })),
    },
  }
}

/** Assemblies that nobody has said anything of, with what their names and their damage point to. */
function guessesOf({ assemblies, cleaningParts: said, damages, batteries, power }: MachineFile) {
  const leaked = batteries.some(b => b.state !== 'sound' && b.state !== 'doubtful') || power.batteryHasLeaked ? ('alkali' as const) : null
  return assemblies
    .filter(a => !isAway(a.presence) && !said.some(p => p.name === a.name))
    .map(a => ({
      name: a.name,
      materials: guessMaterials(a.name),
      soils: guessSoils(
        damages.filter(d => d.assemblyId === a.id),
        leaked,
      ),
    }))
}

function seriesOf(drying: ReturnType<typeof facts>['dryings'][number], id: number, now: string) {
  const at = drying.endedAt ?? now
  const judged = judgeSeries(drying, at)
  const after = (hours: number) => new Date(Date.parse(drying.startedAt) + hours * millisecondsInHour).toISOString()
  return {
    id,
    what: drying.what,
    startedAt: drying.startedAt,
    endedAt: drying.endedAt,
    endedWet: drying.endedWet,
    weighings: drying.weighings.map(w => ({ id: (w as { id: number } & typeof w).id, at: w.at, massG: w.massG })),
    state: judged.state,
    leftNowG: judged.leftNowG,
    dryMassG: judged.dryMassG,
    dryAt: judged.dryAtHours ? after(judged.dryAtHours.high) : null,
    weighAt: after(judged.weighAgainAtHours),
    findings: judged.findings,
  }
}

/** Machines of the same model of which somebody has said what their parts are made of. */
const sistersWithParts = (tx: Tx, { machine }: MachineFile) =>
  machine.modelId === null
    ? []
    : tx
        .select({ tag: machines.tag, name: machines.nickname, parts: count(cleaningParts.id) })
        .from(machines)
        .innerJoin(cleaningParts, eq(cleaningParts.machineId, machines.id))
        .where(and(eq(machines.modelId, machine.modelId), ne(machines.id, machine.id)))
        .groupBy(machines.id)
        .having(gt(count(cleaningParts.id), 0))
        .limit(mostSisters)
        .all()

/** Time constants of parts of the same plastic that were whitened here. */
const similarTo = (tx: Tx, { id, plastic }: MachineFile['whitenings'][number]): number[] =>
  plastic
    ? tx
        .select({ tauHours: whitenings.tauHours })
        .from(whitenings)
        .where(and(eq(whitenings.plastic, plastic), ne(whitenings.id, id), isNotNull(whitenings.tauHours)))
        .limit(mostSimilar)
        .all()
        .flatMap(w => (w.tauHours === null ? [] : [w.tauHours]))
    : []
