import { judgeDrying } from '#core/cleaning/drying'
import { type Simulation, normal, share } from './simulation'
import { madeUpCourse } from './whitenings'

/** Wet boards on scales, weighed when it says, until it calls them dry. */
export const dryings: Simulation = {
  title: 'dryings',
  runs: 15,
  simulate(random, runs) {
    const failures: string[] = []
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
            failures.push(`case ${i}: ${course.name}, ${left(at).toFixed(2)} g left where ${leftG.toFixed(2)} g was wanted`)
          }
          break
        }
        at = Math.max(at + 0.5, result.weighAgainAtHours)
      }
    }
    return {
      figures: {
        'called dry': share(dry, runs),
        'called dry too early': share(early, dry),
        'weighings until then': (weighed / Math.max(1, dry)).toFixed(1),
        'time to dry that held': share(held, told),
      },
      failures: [
        ...(early > 0.05 * dry + 1 ? failures : []),
        ...(held < 0.9 * told ? [`the time to dry held ${share(held, told)}`] : []),
        ...(below ? [`${below} bounds below what the scales show`] : []),
        ...(dry < 0.8 * runs ? [`only ${share(dry, runs)} are ever called dry`] : []),
      ],
    }
  },
}
