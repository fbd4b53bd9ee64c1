import { rateMeasured } from '#core/condition/corrosion-rating'
import { mayStay } from '#core/condition/damage'
import { measureMark } from '#core/condition/marks'
import { checksOf } from '#core/condition/rules'
import type { ViewOf } from '#shared/chapters/index'
import { Assembly, type CorrosionView, Damage, Intervention, type PhotographView } from '#shared/chapters/look/index'
import type { SheetHead } from '#shared/kernel/machine'
import { inArray } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { files } from './schema'

/** The picture that a machine is known by, while it stands. */
export function portraitOf({ photographs }: MachineFile): SheetHead['portrait'] {
  const chosen = photographs.find(p => p.portrait)
  return chosen ? { photographId: chosen.id, hash: chosen.hash } : null
}

function photographsOf(tx: Tx, file: MachineFile, nameOf: (id: number | null) => string): PhotographView[] {
  const kept = file.photographs.length
    ? tx
        .select()
        .from(files)
        .where(
          inArray(
            files.hash,
            file.photographs.map(p => p.hash),
          ),
        )
        .all()
    : []
  return file.photographs.map(({ id, version, uid, hash, name, caption, assemblyId, at, byWhom, scale, portrait }) => {
    const { widthPx, heightPx, takenAt } = kept.find(f => f.hash === hash)!
    return { id, version, uid, hash, name, caption, assembly: nameOf(assemblyId), assemblyId, widthPx, heightPx, takenAt, at, by: byWhom, scale, portrait }
  })
}

function corrosionsOf(file: MachineFile, photographs: PhotographView[]): CorrosionView[] {
  return file.corrosions.flatMap(({ id, photographId, what, inputs, steel, areaPct, errorPct, at, byWhom }) => {
    const photograph = photographs.find(p => p.id === photographId)
    if (!photograph) return []
    const { rating, rustDegree } = rateMeasured({ areaPct, errorPct, steel })
    const outline = inputs.outline.length
      ? inputs.outline
      : ([
          [0, 0],
          [1, 0],
          [1, 1],
          [0, 1],
        ] as const)
    const wholeMm2 = measureMark({ form: 'polygon', points: [...outline] }, photograph, photograph.scale).areaMm2
    return [
      {
        id,
        photographId,
        what,
        inputs,
        steel,
        areaPct,
        errorPct,
        outlineMm2: wholeMm2,
        areaMm2: wholeMm2 === null ? null : (wholeMm2 * areaPct) / 100,
        rating,
        rustDegree,
        at,
        by: byWhom,
      },
    ]
  })
}

/** What was seen of it: assemblies, damage, photographs, corrosion, checks, and what was done to it before. */
export function lookView({ tx, file }: ViewInput): ViewOf<'look'> {
  const nameOf = (assemblyId: number | null) => file.assemblies.find(a => a.id === assemblyId)?.name ?? ''
  const photographs = photographsOf(tx, file, nameOf)
  return {
    assemblies: file.assemblies.map(a => ({ id: a.id, version: a.version, name: a.name, ...Assembly.of(a) })),
    damages: file.damages.map(damage => {
      const { id, version, assemblyId, photographId, mark, patina } = damage
      const photograph = photographs.find(p => p.id === photographId)
      const measured = mark && photograph ? measureMark(mark, photograph, photograph.scale).extent : ''
      return {
        id,
        version,
        assemblyId,
        assembly: nameOf(assemblyId),
        ...Damage.of(damage),
        extent: damage.extent || measured,
        photographId: photograph?.id ?? null,
        mark: photograph ? mark : null,
        patina,
        mayStay: mayStay(damage.kind),
      }
    }),
    photographs,
    corrosions: corrosionsOf(file, photographs),
    checks: checksOf(file).map(check => {
      const done = file.checksDone.find(c => c.code === check.code)
      const { code, says, why, source } = check
      return { code, says, why, source, done: done ? { outcome: done.outcome, note: done.note, by: done.byWhom, at: done.at } : null }
    }),
    interventions: file.interventions.map(row => {
      const { id, version, kind, assemblyId, where, photographId } = row
      return { id, version, kind, assembly: nameOf(assemblyId), where, ...Intervention.of(row), photographId }
    }),
  }
}
