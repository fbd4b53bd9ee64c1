import { type Visit, compareVisits } from '#core/condition/corrosion-growth'
import { type Simulation, count, normal } from './simulation'

/** Two visits to a patch of corrosion, each outlined by hand, with a scale laid over it, and measured within its error. */
export const growths: Simulation = {
  title: 'growths',
  runs: 600,
  simulate(random, runs) {
    let [still, wrongly, grew, seen, backwards] = [0, 0, 0, 0, 0]
    for (let i = 0; i < runs; i++) {
      const surfaceMm2 = 200 + random() * 3000
      const shareThen = 0.03 + random() * 0.5
      const factor = random() < 0.5 ? 1 : random() < 0.7 ? 1 + random() * 1.2 : 1 / (1 + random())
      const visit = (at: string, corrodedMm2: number): Visit => {
        // Drawn a little wider or closer each time; what is corroded lies inside, but for a rim.
        const outlineMm2 = surfaceMm2 * (0.93 + random() * 0.14)
        const inside = corrodedMm2 * Math.min(1, 0.97 + 0.06 * random())
        const errorPct = 1 + random() * 3
        const measuredPct = Math.min(100, Math.max(0, (inside / outlineMm2) * 100 + normal(random, 0, errorPct / 2)))
        // The scale, laid over by two points.
        const scale = (1 + normal(random, 0, 0.01)) ** 2
        const scaled = random() < 0.7
        return {
          at,
          areaPct: measuredPct,
          errorPct,
          areaMm2: scaled ? (measuredPct / 100) * outlineMm2 * scale : null,
          outlineMm2: scaled ? outlineMm2 * scale : null,
          outlineShare: outlineMm2 / 6000,
        }
      }
      const before = surfaceMm2 * shareThen
      const after = Math.min(surfaceMm2 * 0.9, before * factor)
      const [code] = compareVisits(visit('2026-01-10', before), visit('2026-09-10', after)).findings.map(f => f.code)
      const changed = after / before - 1
      if (Math.abs(changed) < 1e-9) {
        still++
        if (code === 'growth.grows' || code === 'growth.less') wrongly++
      } else {
        grew++
        if (code === (changed > 0 ? 'growth.grows' : 'growth.less')) seen++
        if (code === (changed > 0 ? 'growth.less' : 'growth.grows')) backwards++
      }
    }
    return {
      figures: {
        'said to change, and did not': count(wrongly, still, { most: 0.05 }),
        'changes that were seen': count(seen, grew, { least: 0.5 }),
        'told the wrong way round': count(backwards, grew, { most: 0.01 }),
      },
      failures: [],
    }
  },
}
