import { forecastWhitening } from '#core/cleaning/whitening-forecast'
import { fitApproach } from '#core/kernel/approach'
import { type Simulation, count, normal } from './simulation'

const reference = { l: 84, a: -0.5, b: 5, error: 0.2 }

/** How a part loses its yellow: one exponential, one that drags on, one that begins late, or two speeds; each quick or slow. */
export function madeUpCourse(random: () => number, { end, gap, tau }: { end: number; gap: number; tau: number }): { name: string; at: (t: number) => number } {
  const kind = Math.floor(random() * 4)
  if (kind === 0) return { name: 'exponential', at: t => end + gap * Math.exp(-t / tau) }
  if (kind === 1) {
    const power = 0.5 + random() * 0.8
    return { name: 'stretched', at: t => end + gap * Math.exp(-((t / tau) ** power)) }
  }
  if (kind === 2) {
    const lag = random() * 0.8 * tau
    return { name: 'late', at: t => end + gap * Math.exp(-Math.max(0, t - lag) / tau) }
  }
  const [slow, times] = [0.03 + random() * 0.3, 4 + random() * 20]
  return { name: 'two-speed', at: t => end + gap * ((1 - slow) * Math.exp(-t / tau) + slow * Math.exp(-t / tau / times)) }
}

/** Whitening by its advice: exposed as long as it says, measured, and so on until it says stop. */
export const whitenings: Simulation = {
  title: 'whitenings',
  runs: 25,
  simulate(random, runs) {
    let [harmed, reached, plateau, steps] = [0, 0, 0, 0]
    for (let i = 0; i < runs; i++) {
      const course = madeUpCourse(random, { end: random() * 8 - 5, gap: 8 + random() * 17, tau: 0.8 * 20 ** random() })
      const error = 0.15 + random() * 0.35
      const similarTauHours = random() < 0.4 ? [5, 9, 14] : []
      const measured: { hours: number; l: number; a: number; b: number; error: number }[] = []
      let hours = 0
      let state = ''
      for (let visit = 0; visit < 60; visit++) {
        measured.push({ hours, l: 80, a: 0, b: reference.b + course.at(hours) + normal(random, 0, error), error })
        const told = forecastWhitening({ reference, measured, goalB: 1, similarTauHours })
        state = told.state
        steps++
        if (told.nextHours <= 0) break
        hours += told.nextHours
        if (hours > 400) break
      }
      const end = course.at(hours)
      // Whiter than its reference by more than the goal, beyond what the colours can tell.
      if (end < -1 - 2 * error) {
        harmed++
      }
      if (state === 'stop-done') reached++
      if (state === 'stop-no-gain') plateau++
    }
    // Bands on courses that are no exponential.
    let [held, told] = [0, 0]
    for (let i = 0; i < runs * 2; i++) {
      const tau = 2 + random() * 8
      const course = madeUpCourse(random, { end: random() * 6 - 3, gap: 8 + random() * 17, tau })
      const count = 4 + Math.floor(random() * 6)
      const span = tau * (1 + random() * 2.5)
      const points = Array.from({ length: count }, (_, k) => ({
        at: (span * k) / (count - 1),
        value: course.at((span * k) / (count - 1)) + normal(random, 0, 0.2),
      }))
      const band = fitApproach(points, 0.2).valueAt(span * 1.4)
      told++
      if (band.low <= course.at(span * 1.4) && course.at(span * 1.4) <= band.high) held++
    }
    return {
      figures: {
        'bleached too far': count(harmed, runs, { most: 0.01 }),
        'came to the goal': count(reached, runs),
        'stopped at a plateau': count(plateau, runs),
        'colours taken for each part': steps / runs,
        'bands that held': count(held, told, { least: 0.95 }),
      },
      failures: [],
    }
  },
}
