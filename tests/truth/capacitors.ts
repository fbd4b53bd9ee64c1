import { type CapacitorMeasured, judgeCapacitor, mostEsrOhm, mostLeakageA } from '#core/parts/recap/measured'
import { type Simulation, count, normal } from './simulation'

/** Values and voltages as boards have them, from 1 µF to 10 mF. */
const values = [1e-6, 2.2e-6, 10e-6, 47e-6, 100e-6, 470e-6, 1e-3, 4.7e-3, 10e-3]
const voltages = [6.3, 10, 16, 25, 35, 50, 63]

/**
 * One capacitor as it may be after forty years. A sound one has what its kind has when it is new; a worn one has lost two fifths of its value or more,
 * or has twice the resistance that its kind is allowed, or leaks more than twenty times what a new one may.
 */
function madeUpCapacitor(random: () => number) {
  const pick = <T>(of: readonly T[]) => of[Math.floor(random() * of.length)]!
  const spec = { capacitanceF: pick(values), voltageV: pick(voltages), technology: 'electrolytic' }
  // Of low impedance: a tenth of what a general-purpose one has; somebody looked that up, or did not.
  const low = random() < 0.3
  const atHigh = mostEsrOhm(spec.capacitanceF, spec.voltageV) * (low ? 0.02 : 0.1 + random() * 0.08)
  const stated = low && random() < 0.7
  const failing = random() < 0.5 ? null : pick(['dried', 'resistive', 'leaky'] as const)
  const share = failing === 'dried' ? 0.1 + random() * 0.5 : 0.9 + random() * 0.3
  return {
    spec: stated ? { ...spec, impedanceOhm: atHigh } : spec,
    knowable: stated || !low,
    failing,
    capacitanceF: spec.capacitanceF * share,
    // One that dries out has its resistance grow as well. A meter at 120 Hz sees five to eight times what one at 100 kHz sees.
    esrHighOhm: atHigh * (failing === 'resistive' ? (stated ? 2.5 : 12) + random() * 20 : failing === 'dried' ? 1 / share : 0.8 + random() * 0.25),
    leakageA: mostLeakageA(spec.capacitanceF, spec.voltageV) * (failing === 'leaky' ? 20 + random() * 200 : random() * 0.4),
  }
}
type MadeUp = ReturnType<typeof madeUpCapacitor>

/** What an ordinary meter says of it: a few of a hundred off, some of the figures, here and there with both legs in the board. */
function measured(random: () => number, one: MadeUp): CapacitorMeasured {
  const off = () => 1 + normal(random, 0, 0.02)
  const inCircuit = random() < 0.25
  const [beside, along] = [inCircuit ? one.capacitanceF * random() * 20 : 0, inCircuit ? random() : 1]
  const atHigh = one.spec.capacitanceF < 1e-3 || random() < 0.5 || 'impedanceOhm' in one.spec
  return {
    capacitanceF: (one.capacitanceF + beside) * off(),
    esrOhm: one.esrHighOhm * (atHigh ? 1 : 5 + random() * 3) * along * off(),
    ...(random() < 0.5 ? { leakageA: one.leakageA * off(), atV: one.spec.voltageV * (random() < 0.5 ? 1 : 0.3) } : {}),
    inCircuit,
  }
}

/** Old capacitors by what they measure: none that is worn in a way that was measured tests good. */
export const capacitors: Simulation = {
  title: 'capacitors',
  runs: 1500,
  simulate(random, runs) {
    const failures: string[] = []
    let [sound, soundBad, worn, wornGood, unseen] = [0, 0, 0, 0, 0]
    for (let i = 0; i < runs; i++) {
      const one = madeUpCapacitor(random)
      const told = measured(random, one)
      const { verdict, findings } = judgeCapacitor(one.spec, told)!
      if (verdict === 'tests-good' && !findings.some(f => /fail/.test(f.says))) failures.push(`called good without a doubt: ${JSON.stringify({ one, told })}`)
      if (one.failing === null) {
        sound++
        if (verdict === 'bad') soundBad++
      } else if (one.failing === 'leaky' && told.leakageA === undefined) unseen++
      else {
        worn++
        if (verdict === 'tests-good' && one.knowable) wornGood++
      }
    }
    return {
      figures: {
        'sound ones that are called bad': count(soundBad, sound, { most: 0.02 }),
        'worn ones that test good': count(wornGood, worn, { most: 0.005 }),
        'leaky ones of which no leakage was measured': count(unseen, runs),
      },
      failures,
    }
  },
}
