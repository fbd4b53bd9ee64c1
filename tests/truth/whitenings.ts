import { forecastWhitening } from '#core/cleaning/whitening-forecast'
import { fitApproach } from '#core/kernel/approach'
import { type Simulation, count, normal } from './simulation'

const reference = { l: 84, a: -0.5, b: 5, error: 0.2 }

/** Diffusion out of a slab, from all of it to nothing. Source: Crank 1975, The mathematics of diffusion, as a series. */
const diffusion = (u: number) =>
  Array.from({ length: 40 }, (_, n) => Math.exp(-((2 * n + 1) ** 2) * u) / (2 * n + 1) ** 2).reduce((sum, x) => sum + x, 0) * (8 / Math.PI ** 2)

/**
 * How a part loses its yellow, or a board its water: in the shapes that the fit knows, between its steps, and in some that it does not
 * know: one that first quickens, three speeds, powers between its own.
 */
export function madeUpCourse(random: () => number, { end, gap, tau }: { end: number; gap: number; tau: number }): { name: string; at: (t: number) => number } {
  const kind = Math.floor(random() * 9)
  const power = 0.5 + random() * 0.8
  const lag = random() * 0.8 * tau
  const [slow, times] = [0.03 + random() * 0.3, 4 + random() * 20]
  const middle = (0.3 + random() * 0.7) * tau
  const rates = [0, 1, 2].map(() => 10 ** (random() - 0.6) / tau)
  const exponent = 1.3 + random() * 4
  const sigmoid = (t: number) => 1 / (1 + Math.exp((t - middle) / (0.35 * tau)))
  const shapes: [name: string, decay: (t: number) => number][] = [
    ['exponential', t => Math.exp(-t / tau)],
    ['stretched', t => Math.exp(-((t / tau) ** power))],
    ['late', t => Math.exp(-Math.max(0, t - lag) / tau)],
    ['two-speed', t => (1 - slow) * Math.exp(-t / tau) + slow * Math.exp(-t / tau / times)],
    ['diffusion', t => diffusion(t / tau)],
    ['second order', t => 1 / (1 + t / tau)],
    ['quickening', t => sigmoid(t) / sigmoid(0)],
    ['three speeds', t => rates.reduce((sum, rate) => sum + Math.exp(-t * rate), 0) / rates.length],
    ['by a power', t => (1 + t / tau / exponent) ** -exponent],
  ]
  const [name, decay] = shapes[kind]!
  return { name, at: t => end + gap * decay(t) }
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
