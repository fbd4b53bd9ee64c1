import { expect, it } from 'vitest'
import { type GrowingHarmInput, growingHarm, waitedWords } from './growing-harm'

// The weights are our own and only order the list; what harms is common practice, no source.
const none: GrowingHarmInput = { facts: {}, sistersWithLeakedBattery: 0, modelBatteryLeaks: false, mouldPresent: false, daysHere: 0 }
const of = (more: Partial<GrowingHarmInput>) => {
  const { rank, findings } = growingHarm({ ...none, ...more })
  return [rank, findings.map(f => `${f.level} ${f.code.replace('harm.', '')}`)]
}

it.each<[Partial<GrowingHarmInput>, number, string[]]>([
  [{}, 0, []],
  [{ daysHere: 400 }, 0, []],
  [{ facts: { battery: 'leaking' } }, 100, ['stop battery-leaking']],
  [{ facts: { battery: 'residue' } }, 90, ['stop residue']],
  [{ facts: { battery: 'in' } }, 40, ['care battery-in']],
  [{ facts: { battery: 'out' }, sistersWithLeakedBattery: 2, modelBatteryLeaks: true }, 0, []],
  [{ sistersWithLeakedBattery: 2 }, 80, ['stop sister']],
  [{ sistersWithLeakedBattery: 2, modelBatteryLeaks: true }, 80, ['stop sister']],
  [{ modelBatteryLeaks: true }, 70, ['care model']],
  [{ mouldPresent: true }, 50, ['care mould']],
  [{ facts: { liquidOrDirt: 'yes' } }, 60, ['care liquid']],
  [{ facts: { liquidOrDirt: 'no' } }, 0, []],
  // The heaviest counts, and one point for each thirty days.
  [{ facts: { battery: 'leaking', liquidOrDirt: 'yes' }, mouldPresent: true, daysHere: 59 }, 101, ['stop battery-leaking', 'care mould', 'care liquid']],
  [{ facts: { battery: 'leaking' }, daysHere: 60 }, 102, ['stop battery-leaking']],
])('%o ranks %d by %o', (more, rank, says) => expect(of(more)).toEqual([rank, says]))

it('says how long it has waited', () => expect([0, 1, 2].map(waitedWords)).toEqual(['It has waited 0 days.', 'It has waited 1 day.', 'It has waited 2 days.']))
