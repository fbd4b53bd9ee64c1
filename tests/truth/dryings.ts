import { judgeDrying } from '#core/cleaning/drying'
import { type Simulation, count, normal } from './simulation'
import { madeUpCourse } from './whitenings'

/** Wet boards on scales, weighed when it says, until it calls them dry. */
export const dryings: Simulation = {
  title: 'dryings',
  runs: 15,
  simulate(random, runs) {
    let [early, dry, weighed, held, told, below] = [0, 0, 0, 0, 0, 0]
    for (let i = 0; i < runs; i++) {
      const dryG = 150 + random() * 400
      const waterG = 5 + random() * 30
      const errorG = [0.02, 0.05, 0.1][Math.floor(random() * 3)]!
      const leftG = 0.2 + random() * 0.4
      const course = madeUpCourse(random, { end: dryG, gap: waterG, tau: 1 + random() * 9 })
      const left = (t: number) => course.at(t) - dryG
      const weighings: { atHours: number; massG: number }[] = []
      let at = 0
      for (let visit = 0; visit < 40; visit++) {
        weighings.push({ atHours: at, massG: course.at(at) + normal(random, 0, errorG) })
        const result = judgeDrying({ weighings, errorG, leftG })
        if (result.leftNowG && result.leftNowG.high < errorG) below++
        // The time to dry, judged whenever it is told and lies ahead.
        if (result.dryAtHours && result.state === 'drying') {
          told++
          const wanted = Math.max(leftG, errorG)
          if (left(result.dryAtHours.low) >= wanted * 0.98 && (result.dryAtHours.high >= 1440 || left(result.dryAtHours.high) <= wanted * 1.02)) held++
        }
        if (result.state === 'dry') {
          dry++
          weighed += weighings.length
          if (left(at) > Math.max(leftG, errorG) * 1.05) {
            early++
          }
          break
        }
        at = Math.max(at + 0.5, result.weighAgainAtHours)
      }
    }
    return {
      figures: {
        'called dry': count(dry, runs, { least: 0.9 }),
        'called dry too early': count(early, dry, { most: 0.05 }),
        'weighings until then': weighed / Math.max(1, dry),
        'time to dry that held': count(held, told, { least: 0.9 }),
        'bounds below what the scales show': count(below, told, { most: 0 }),
      },
      failures: [],
    }
  },
}
