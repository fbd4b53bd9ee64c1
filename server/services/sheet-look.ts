import { count, inArray } from 'drizzle-orm'
import { rateCorrosion } from '#core/condition/corrosion-rating'
import { measureMark } from '#core/condition/marks'
import { type TriageInput, triage } from '#core/condition/triage'
import { reassemble } from '#core/opening/reassembly'
import type { CorrosionView, MachineSheet, PhotographView } from '#shared/contracts/views'
import { notOurs } from '#shared/contracts/vocabulary'
import { files, openingSteps } from '../db/schema'
import { checksFor } from './checks'
import type { Tx } from './journal'
import type { MachineFile } from './machine-file'
import { practiceOf } from './practice'

type Look = Pick<MachineSheet, 'damages' | 'photographs' | 'corrosions' | 'checks' | 'opening' | 'interventions' | 'stewardship' | 'appraisal' | 'triage'>

/** What the examination of a machine found, as its sheet shows it. */
export function lookOf(tx: Tx, file: MachineFile): Look {
  const nameOf = (assemblyId: number | null) => file.assemblies.find(a => a.id === assemblyId)?.name ?? ''
  const photographs = photographsOf(tx, file, nameOf)
  const { steps, findings, out, back } = reassemble(file.openingSteps)
  const input = triageInput(tx, file)
  const { appraisal, consent } = file
  return {
    damages: file.damages.map(({ id, version, assemblyId, kind, where, extent, severity, photographId, mark }) => {
      const photograph = photographs.find(p => p.id === photographId)
      const measured = mark && photograph ? measureMark(mark, photograph, photograph.scale).extent : ''
      return { id, version, assemblyId, assembly: nameOf(assemblyId), kind, where, extent: extent || measured, severity, photographId: photograph?.id ?? null, mark: photograph ? mark : null }
    }),
    photographs,
    corrosions: corrosionsOf(file, photographs),
    checks: checksFor(file.damages, file.assemblies).map((check) => {
      const done = file.checksDone.find(c => c.code === check.code)
      return { ...check, done: done ? { outcome: done.outcome, note: done.note, by: done.byWhom, at: done.at } : null }
    }),
    opening: {
      steps: file.openingSteps.map(({ id, version, step, what, state, fixings, connectors, hides, hazard, photographId }) => ({ id, version, step, what, state, fixings, connectors, hides, hazard, photographId, findings: steps.find(s => s.step === step)?.findings ?? [] })),
      findings, out, back, from: recordsOfSisters(tx, file),
    },
    interventions: file.interventions.map(({ id, version, kind, assemblyId, where, note, state, photographId }) => ({ id, version, kind, assembly: nameOf(assemblyId), where, note, state, photographId })),
    stewardship: {
      ours: isOurs(file), currency: practiceOf(tx).currency,
      consent: consent && { version: consent.version, allowed: consent.allowed, upTo: consent.upTo, mustAsk: consent.mustAsk, agreedWith: consent.agreedWith, agreedOn: consent.agreedOn },
      spent: file.spendings.reduce((sum, s) => sum + s.amount, 0),
      spendings: file.spendings.map(({ id, what, amount, at }) => ({ id, what, amount, at })),
      letters: file.letters.map(({ id, letter, at, byWhom, sentAt }) => ({ id, subject: letter.subject, at, by: byWhom, sent: sentAt !== null })),
    },
    appraisal: appraisal && (({ machineId: _, ...rest }) => rest)(appraisal),
    triage: input && triage(input),
  }
}

const isOurs = (file: MachineFile) => !notOurs.some(a => a === file.machine.acquired)

function photographsOf(tx: Tx, file: MachineFile, nameOf: (id: number | null) => string): PhotographView[] {
  const kept = file.photographs.length ? tx.select().from(files).where(inArray(files.hash, file.photographs.map(p => p.hash))).all() : []
  return file.photographs.map(({ id, version, uid, hash, name, caption, assemblyId, at, byWhom, scale }) => {
    const { widthPx, heightPx, takenAt } = kept.find(f => f.hash === hash)!
    return { id, version, uid, hash, name, caption, assembly: nameOf(assemblyId), assemblyId, widthPx, heightPx, takenAt, at, by: byWhom, scale }
  })
}

function corrosionsOf(file: MachineFile, photographs: PhotographView[]): CorrosionView[] {
  return file.corrosions.flatMap(({ id, photographId, what, inputs, steel, areaPct, errorPct, at, byWhom }) => {
    const photograph = photographs.find(p => p.id === photographId)
    if (!photograph) return []
    const { rating, rustDegree } = rateCorrosion({ areasPct: [areaPct], steel })
    const outline = inputs.outline.length ? inputs.outline : [[0, 0], [1, 0], [1, 1], [0, 1]] as const
    const wholeMm2 = measureMark({ form: 'polygon', points: [...outline] }, photograph, photograph.scale).areaMm2
    return [{ id, photographId, what, inputs, steel, areaPct, errorPct, areaMm2: wholeMm2 === null ? null : wholeMm2 * areaPct / 100, rating, rustDegree, at, by: byWhom }]
  })
}

function recordsOfSisters(tx: Tx, file: MachineFile): MachineSheet['opening']['from'] {
  if (file.openingSteps.length || !file.sisters.length) return []
  const counted = tx.select({ machineId: openingSteps.machineId, steps: count() }).from(openingSteps).where(inArray(openingSteps.machineId, file.sisters.map(s => s.id))).groupBy(openingSteps.machineId).all()
  return counted.map(({ machineId, steps }) => ({ ...file.sisters.find(s => s.id === machineId)!, steps })).map(({ tag, nickname, steps }) => ({ tag, nickname, steps }))
}

/** What the ranking of paths is asked about one machine; nothing before it was appraised. */
export function triageInput(tx: Tx, file: MachineFile): TriageInput | null {
  const { appraisal, consent } = file
  if (!appraisal || !file.assemblies.length) return null
  const running = file.sisters.filter(s => s.signedOff).length
  return {
    assemblies: file.assemblies.map(({ name, presence, grade }) => ({ name, presence, grade, irreplaceable: appraisal.irreplaceable.includes(name) })),
    significance: appraisal.significance,
    hours: { low: appraisal.hoursLow, high: appraisal.hoursHigh }, cost: { low: appraisal.costLow, high: appraisal.costHigh },
    sisters: { running, wanting: file.sisters.length - running },
    ours: isOurs(file), consent, currency: practiceOf(tx).currency,
  }
}
