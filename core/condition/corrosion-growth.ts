import { dayOf } from '../kernel/days'
import { decimals, significant } from '../kernel/figure'
import { type Finding, finding } from '../kernel/finding'

export interface Visit {
  at: string
  areaPct: number
  errorPct: number
  areaMm2: number | null
  /** The outline: its share of the picture, and its size where the picture has a scale. */
  outlineShare?: number
  outlineMm2?: number | null
}

export interface Growth {
  changePct: number
  errorPct: number
  changeMm2: number | null
  /** It has grown, beyond the error of both. */
  grows: boolean
  findings: Finding[]
}

/** Outlines that differ by more than this factor do not show the same surface; common practice, no source. */
const sameOutline = 1.25

/** A scale laid over a photograph by two points is good to so large a share of an area. Common practice, no source: a hundredth or two of a length. */
const scaleShare = 0.04

/** Why two measurements cannot be compared; nothing where they can. */
function incomparable(before: Visit, after: Visit): string | null {
  const factor = (a: number, b: number) => Math.max(a, b) / Math.max(1e-9, Math.min(a, b))
  if (before.outlineMm2 && after.outlineMm2)
    return factor(before.outlineMm2, after.outlineMm2) > sameOutline
      ? `One outline holds ${Math.round(before.outlineMm2)} mm², the other ${Math.round(after.outlineMm2)} mm².`
      : null
  if (before.outlineShare === undefined || after.outlineShare === undefined) return null
  return factor(before.outlineShare, after.outlineShare) > sameOutline
    ? `One outline is ${Math.round(before.outlineShare * 100)} % of its picture, the other ${Math.round(after.outlineShare * 100)} %, and not both have a scale.`
    : null
}

/**
 * What has changed, with its error: in mm² where both outlines have a size, else in per cent of the outlines.
 * The error is both measurements' own; of the scales; and of the outlines: what one holds and the other does not may be as corroded as the rest.
 */
function changeOf(before: Visit, after: Visit): { change: number; error: number; unit: 'mm²' | 'percentage points' } {
  const sized = [before, after].map(v => ({ mm2: v.areaMm2, of: v.outlineMm2 ?? null, v }))
  const [a, b] = sized as [(typeof sized)[number], (typeof sized)[number]]
  if (a.mm2 !== null && b.mm2 !== null && a.of && b.of) {
    const own = (a.of * before.errorPct + b.of * after.errorPct) / 100
    const outline = (Math.abs(a.of - b.of) * Math.max(before.areaPct, after.areaPct)) / 100
    return { change: b.mm2 - a.mm2, error: own + scaleShare * (a.mm2 + b.mm2) + outline, unit: 'mm²' }
  }
  const shares = before.outlineMm2 && after.outlineMm2 ? [before.outlineMm2, after.outlineMm2] : [before.outlineShare, after.outlineShare]
  const apart = shares[0] && shares[1] ? Math.max(shares[0], shares[1]) / Math.min(shares[0], shares[1]) - 1 : 0
  return {
    change: after.areaPct - before.areaPct,
    error: before.errorPct + after.errorPct + apart * Math.max(before.areaPct, after.areaPct),
    unit: 'percentage points',
  }
}

/**
 * What has changed between two measurements of the same area. It counts as a change only beyond all errors together.
 * @param before the earlier visit, @param after the later one
 * @returns the change in percentage points and in mm², and a plain statement of whether it is more than the error, or why the two cannot be compared
 */
export function compareVisits(before: Visit, after: Visit): Growth {
  const changePct = after.areaPct - before.areaPct
  const changeMm2 = before.areaMm2 === null || after.areaMm2 === null ? null : after.areaMm2 - before.areaMm2
  const { change, error, unit } = changeOf(before, after)
  const figure = (n: number) => (unit === 'mm²' ? String(significant(n)) : String(decimals(n, 1)))
  const facts = [
    `${decimals(before.areaPct, 1)} % on ${dayOf(before.at)}, ${decimals(after.areaPct, 1)} % on ${dayOf(after.at)}${changeMm2 === null ? '' : `; ${figure(changeMm2)} mm²`}.`,
    `The two measurements together are good to ${figure(error)} ${unit}, with what their outlines and scales may be off.`,
  ]
  const says = `${figure(Math.abs(change))} ${unit} ${change < 0 ? 'less' : 'more'}`
  const why = incomparable(before, after)
  const told = (...findings: Finding[]): Growth => ({
    changePct,
    errorPct: unit === 'mm²' ? before.errorPct + after.errorPct : error,
    changeMm2,
    grows: !why && change > error,
    findings,
  })
  if (why)
    return told(
      finding('care', 'growth.not-comparable', 'The two cannot be compared: they do not show the same surface.', [
        why,
        'Draw the same outline on both, and give both a scale.',
      ]),
    )
  if (Math.abs(change) <= error)
    return told(finding('note', 'growth.within-error', `${says}: no more than the method’s own error. It cannot be said to have changed.`, facts))
  return told(
    change > 0
      ? finding('stop', 'growth.grows', `${says}: it is growing.`, [...facts, 'Something still feeds it: residue, damp, or two metals in touch.'])
      : finding('fine', 'growth.less', `${says} than before.`, facts),
  )
}
