import { type Finding, finding } from '../kernel/finding'

export interface Visit {
  at: string
  areaPct: number
  errorPct: number
  areaMm2: number | null
}

export interface Growth {
  changePct: number
  errorPct: number
  changeMm2: number | null
  findings: Finding[]
}

const round1 = (value: number) => Number(value.toFixed(1))

/**
 * What has changed between two measurements of the same area. The errors of both add as independent ones do: √(e₁² + e₂²).
 * @param before the earlier visit, @param after the later one, both in per cent of the same outline
 * @returns the change in percentage points, and a plain statement of whether it is more than the method's own error
 */
export function compareVisits(before: Visit, after: Visit): Growth {
  const changePct = after.areaPct - before.areaPct
  const errorPct = Math.hypot(before.errorPct, after.errorPct)
  const changeMm2 = before.areaMm2 === null || after.areaMm2 === null ? null : after.areaMm2 - before.areaMm2
  const facts = [
    `${round1(before.areaPct)} % on ${before.at.slice(0, 10)}, ${round1(after.areaPct)} % on ${after.at.slice(0, 10)}${changeMm2 === null ? '' : `; ${Math.round(changeMm2)} mm²`}.`,
    `The two measurements together are good to ${round1(errorPct)} percentage points.`,
  ]
  const says = `${round1(Math.abs(changePct))} percentage points ${changePct < 0 ? 'less' : 'more'}`
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
