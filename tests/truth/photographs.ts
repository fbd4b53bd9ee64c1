import { converter } from 'culori'
import { deltaE00 } from '#core/cleaning/colour'
import { type NeutralPatch, type Neutral, neutrals, patchColour } from '#core/cleaning/patch-colour'
import { type Simulation, count, normal } from './simulation'

const toRgb = converter('rgb')
const toLinear = converter('lrgb')

/** A camera's own curve: more or less contrast about the middle, and a soft shoulder. */
function madeUpCamera(random: () => number) {
  const contrast = 0.85 + random() * 0.4
  const shoulder = random() * 0.25
  const tint = [0, 1, 2].map(() => 1 + normal(random, 0, 0.01))
  return (light: number, channel: number) => {
    const bent = 0.18 * (Math.max(0, light * tint[channel]!) / 0.18) ** contrast
    return bent / (1 + shoulder * bent)
  }
}

/** Colours of parts on photographs: light from one side, a camera's curve, and neutrals that are not quite what they are said to be. */
export const photographs: Simulation = {
  title: 'photographs',
  runs: 100,
  simulate(random, runs) {
    const held = { one: 0, three: 0 }
    const stated = { one: [] as number[], three: [] as number[] }
    const tried = { one: 0, three: 0 }
    for (let i = 0; i < runs; i++) {
      const camera = madeUpCamera(random)
      const colour = { l: 68 + random() * 20, a: random() * 6 - 2, b: 3 + random() * 22 }
      // Light that falls off along some direction, and from one tint to another.
      const [slopeX, slopeY, mix] = [normal(random, 0, 0.35), normal(random, 0, 0.2), normal(random, 0, 0.04)]
      const exposure = 0.45 + random() * 0.35
      const lamp = [0.85 + random() * 0.3, 1, 0.8 + random() * 0.35]
      const shot = (lab: { l: number; a: number; b: number }, x: number, y: number) => {
        const flat = toLinear(toRgb({ mode: 'lab65', ...lab }))
        const data = new Uint8ClampedArray(900 * 4)
        for (let p = 0; p < 900; p++) {
          const [px, py] = [x + ((p % 30) / 30 - 0.5) * 0.08, y + (Math.floor(p / 30) / 30 - 0.5) * 0.08]
          const fall = Math.exp(slopeX * (px - 0.5) + slopeY * (py - 0.5))
          const tilt = mix * (px - 0.5)
          const lit = [flat.r * (1 + tilt), flat.g, flat.b * (1 - tilt)].map((v, c) => camera(v * exposure * fall * lamp[c]!, c))
          const { r, g, b } = toRgb({ mode: 'lrgb', r: lit[0]!, g: lit[1]!, b: lit[2]! })
          for (const [at, v] of [r, g, b].entries()) data[p * 4 + at] = Math.round(v * 255 + (random() - 0.5) * 5)
        }
        return data
      }
      const [x, y] = [0.3 + random() * 0.3, 0.3 + random() * 0.4]
      const neutral = (kind: Neutral, dx: number): NeutralPatch => {
        const { l, lError, tintError } = neutrals[kind]
        const real = { l: l + normal(random, 0, lError), a: normal(random, 0, tintError), b: normal(random, 0, tintError) }
        return { l, lError, tintError, pixels: shot(real, x + dx, y), apart: Math.abs(dx) }
      }
      const away = (random() < 0.5 ? -1 : 1) * (0.1 + random() * 0.2)
      const kinds: Neutral[] = ['grey-card', 'white-card', 'white-part']
      const sets = {
        one: [neutral(kinds[Math.floor(random() * 3)]!, away)],
        three: [neutral('scale-white', away), neutral('scale-light', away * 1.2), neutral('scale-mid', away * 1.4)],
      }
      const pixels = shot(colour, x, y)
      for (const of of ['one', 'three'] as const) {
        const { colour: measured } = patchColour(pixels, sets[of])
        if (!measured) continue
        tried[of]++
        stated[of].push(1.96 * measured.error)
        if (deltaE00(measured, colour) <= 1.96 * measured.error) held[of]++
      }
    }
    const middle = (list: number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0
    return {
      figures: {
        'error held, one neutral': count(held.one, tried.one, { least: 0.94 }),
        'error held, a grey scale': count(held.three, tried.three, { least: 0.94 }),
        'error stated in ΔE, one neutral': middle(stated.one),
        'error stated in ΔE, a grey scale': middle(stated.three),
        'photographs that could be measured': count(tried.one + tried.three, 2 * runs, { least: 0.8 }),
      },
      failures: [],
    }
  },
}
