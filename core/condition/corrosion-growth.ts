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
  findings: Finding[]
}

const round1 = (value: number) => Number(value.toFixed(1))

/** Outlines that differ by more than this factor do not show the same surface; common practice, no source. */
const sameOutline = 1.25

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
 * What has changed between two measurements of the same area. It counts as a change only beyond both errors together, e₁ + e₂.
 * @param before the earlier visit, @param after the later one, both in per cent of the same outline
 * @returns the change in percentage points, and a plain statement of whether it is more than the method's own error, or why the two cannot be compared
 */
export function compareVisits(before: Visit, after: Visit): Growth {
  const changePct = after.areaPct - before.areaPct
  const errorPct = before.errorPct + after.errorPct
  const changeMm2 = before.areaMm2 === null || after.areaMm2 === null ? null : after.areaMm2 - before.areaMm2
  const facts = [
    `${round1(before.areaPct)} % on ${before.at.slice(0, 10)}, ${round1(after.areaPct)} % on ${after.at.slice(0, 10)}${changeMm2 === null ? '' : `; ${Math.round(changeMm2)} mm²`}.`,
    `The two measurements together are good to ${round1(errorPct)} percentage points.`,
  ]
  const says = `${round1(Math.abs(changePct))} percentage points ${changePct < 0 ? 'less' : 'more'}`
  const why = incomparable(before, after)
  if (why)
    return {
      changePct,
      errorPct,
      changeMm2,
      findings: [
        finding('care', 'growth.not-comparable', 'The two cannot be compared: they do not show the same surface.', [
          why,
          'Draw the same outline on both, and give both a scale.',
        ]),
      ],
    }
  if (Math.abs(changePct) <= errorPct)
    return {
      changePct,
      errorPct,
      changeMm2,
      findings: [finding('note', 'growth.within-error', `${says}: no more than the method’s own error. It cannot be said to have changed.`, facts)],
    }
  return changePct > 0
    ? {
        changePct,
        errorPct,
        changeMm2,
        findings: [finding('stop', 'growth.grows', `${says}: it is growing.`, [...facts, 'Something still feeds it: residue, damp, or two metals in touch.'])],
      }
    : { changePct, errorPct, changeMm2, findings: [finding('fine', 'growth.less', `${says} than before.`, facts)] }
}
