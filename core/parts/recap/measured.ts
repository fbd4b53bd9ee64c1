import { engineering, significant } from '../../kernel/figure'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../../kernel/finding'
import { InputError } from '../../kernel/input-error'
import { type Spec, valueWords } from '../substitute/compare'
import { capacitor } from '../substitute/kinds/capacitor'

/** What was measured of a capacitor, empty; what was not is left out. */
export interface CapacitorMeasured {
  capacitanceF?: number
  /** Equivalent series resistance, at whatever frequency the meter uses. */
  esrOhm?: number
  leakageA?: number
  /** At which voltage the leakage was measured, after two minutes. */
  atV?: number
  /** Whether it was reformed at limited current before. */
  reformed?: boolean
  /** With both legs in the board: what hangs on them is measured with it. */
  inCircuit?: boolean
}
export const capacitorVerdicts = { 'bad': 'Bad', 'suspect': 'Suspect', 'tests-good': 'Tests good', 'not-known': 'Not known' } as const
export type CapacitorVerdict = keyof typeof capacitorVerdicts

/** Loss at 120 Hz and 20 °C that data sheets of general-purpose electrolytics allow, up to a rated voltage. From memory. */
const mostLoss: readonly (readonly [upToV: number, tangent: number])[] = [
  [6.3, 0.28],
  [10, 0.24],
  [16, 0.2],
  [25, 0.16],
  [35, 0.14],
  [50, 0.12],
  [100, 0.1],
  [250, 0.2],
  [Infinity, 0.25],
]
const lossHz = 120

/**
 * The series resistance that its data sheet would still allow at 120 Hz: tan δ / (2π f C); two hundredths more loss for each 1000 µF beyond the first.
 * @param capacitanceF printed value @param voltageV printed voltage
 */
export function mostEsrOhm(capacitanceF: number, voltageV: number): number {
  const loss = mostLoss.find(([upToV]) => voltageV <= upToV)![1] + 0.02 * Math.max(0, capacitanceF / 1e-3 - 1)
  return loss / (2 * Math.PI * lossHz * capacitanceF)
}
/** What a new electrolytic may leak after two minutes at its voltage: 0.01 CV, and 3 µA at least. Data sheets of general-purpose ones, from memory. */
export const mostLeakageA = (capacitanceF: number, voltageV: number): number => Math.max(3e-6, 0.01 * capacitanceF * voltageV)

/** A share of what is printed below which it has dried out, or its foil has let go. Common practice, no source. */
const driedOut = 0.7
/** From which share to which it is as printed: an electrolytic is made wide, and one that reads far too high mostly leaks. Common practice, no source. */
const usualShare = ({ technology, tolerancePct }: Spec): [low: number, high: number] => {
  if (technology === 'electrolytic') return [0.8, 1.5]
  const off = ((tolerancePct as number | undefined) ?? 10) / 100
  return [1 - off, 1 + off]
}
/** Meters measure at 120 Hz or at 100 kHz, where a sound one has a fifth or less. Between both nobody can tell without that. Common practice, no source. */
const atHighFrequency = 1 / 5
/** By how much its series resistance has grown when its data sheet calls it worn out. Data sheets of low-impedance ones, from memory. */
const wornOut = 2
/** From this share of its voltage on, what was measured says something of it. */
const enoughVoltage = 0.8

/**
 * Judges a capacitor by what was measured of it against what is printed on it. None of it proves one good: what tests good may still fail under voltage.
 * @returns nothing where nothing was measured
 * @throws InputError at a figure that is none
 * Limits: common practice, no source, but where a figure names one.
 */
export function judgeCapacitor(spec: Spec, measured: CapacitorMeasured): { verdict: CapacitorVerdict; findings: Finding[] } | null {
  for (const [name, value] of Object.entries(measured))
    if (typeof value === 'number' && !(Number.isFinite(value) && value >= 0)) throw new InputError(name, value, 'A figure of zero or more, please.')
  const { capacitanceF, esrOhm, leakageA, atV, inCircuit = false } = measured
  if (capacitanceF === undefined && esrOhm === undefined && leakageA === undefined) return null
  const printed = {
    valueF: spec.capacitanceF as number | undefined,
    voltageV: spec.voltageV as number | undefined,
    esrOhm: spec.impedanceOhm as number | undefined,
  }
  const electrolytic = spec.technology === 'electrolytic'
  const farads = (value: number) => valueWords(capacitor.fields, 'capacitanceF', value)
  const findings: Finding[] = []
  const found = (level: 'stop' | 'care' | 'fine' | 'note', name: string, says: string, because: string | string[], source = commonPractice) =>
    findings.push(finding(level, `recap.${name}`, says, because, source))
  /** What looks good beside other parts says nothing: they add to its value, and take from its resistance. */
  const looksFine = (name: string, says: string, because: string | string[] = [], source = commonPractice) =>
    inCircuit
      ? found('care', name, says, 'Measured in the circuit: what lies beside it makes it look better than it is. Free one leg and measure again.')
      : found('fine', name, says, because, source)

  if (capacitanceF !== undefined) {
    if (printed.valueF === undefined) found('care', 'value', `It measures ${farads(capacitanceF)}, and what is printed on it is not known.`, [])
    else {
      const share = capacitanceF / printed.valueF
      const [low, high] = usualShare(spec)
      const says = `${farads(capacitanceF)}, ${significant(share * 100)} % of what is printed.`
      if (share < Math.min(driedOut, low)) found('stop', 'value', says, 'It has dried out, or its foil has let go.')
      else if (share < low) found('care', 'value', says, 'It is on its way down.')
      else if (share > high)
        found('care', 'value', says, electrolytic ? 'What reads far too high mostly leaks: measure its leakage.' : 'That is more than it is made to be off.')
      else looksFine('value', says)
    }
  }
  if (esrOhm !== undefined) {
    const shown = engineering(esrOhm, 'Ω')
    if (printed.esrOhm !== undefined) {
      const says = `Series resistance ${shown}; new it has ${engineering(printed.esrOhm, 'Ω')}.`
      const source = 'Data sheets of low-impedance electrolytics, from memory'
      if (esrOhm > printed.esrOhm * wornOut) found('stop', 'esr', says, 'At twice what it has when it is new, it counts as worn out.', source)
      else if (esrOhm > printed.esrOhm * 1.25) found('care', 'esr', says, 'It is on its way up.', source)
      else looksFine('esr', says, [], source)
    } else if (!electrolytic || printed.valueF === undefined || printed.voltageV === undefined)
      found(
        'note',
        'esr',
        `Series resistance ${shown}: no limit is known for it.`,
        'A limit is known for aluminium electrolytics with value and voltage stated.',
      )
    else {
      const most = mostEsrOhm(printed.valueF, printed.voltageV)
      const says = `Series resistance ${shown}; at 120 Hz up to ${engineering(most, 'Ω')} would be usual.`
      const source = 'Data sheets of general-purpose electrolytics, from memory'
      if (esrOhm > most) found('stop', 'esr', says, 'At any frequency it is above what a sound one has.', source)
      else if (esrOhm > most * atHighFrequency)
        found('care', 'esr', says, 'Measured at 120 Hz that is usual, at 100 kHz it is too much: look up which the meter uses.', source)
      else
        looksFine('esr', says, 'That is so of general-purpose ones; one of low impedance has far less. State its series resistance where it is known.', source)
    }
  }
  const full = leakageA !== undefined && atV !== undefined && printed.voltageV !== undefined && atV >= printed.voltageV * enoughVoltage
  if (leakageA !== undefined) {
    const shown = engineering(leakageA, 'A')
    if (inCircuit)
      found('note', 'leakage', `${shown} in the circuit, with all that lies beside it: that says nothing of it.`, 'Free one leg and measure again.')
    else if (atV === undefined || printed.voltageV === undefined || printed.valueF === undefined || !electrolytic)
      found(
        'care',
        'leakage',
        `It leaks ${shown}, and there is nothing to hold that against.`,
        'Value, voltage and the voltage that it was measured at have to be known.',
      )
    else {
      const most = mostLeakageA(printed.valueF, printed.voltageV)
      const says = `It leaks ${shown} at ${significant(atV)} V; a new one up to ${engineering(most, 'A')} at ${significant(printed.voltageV)} V.`
      if (leakageA > most * 10) found('stop', 'leakage', says, 'It warms itself, and the more it does the more it leaks.')
      else if (leakageA > most)
        found('care', 'leakage', says, measured.reformed ? 'It was reformed already.' : 'Reform it at limited current, and measure again.')
      else if (full) found('fine', 'leakage', says, [])
      else found('care', 'leakage', says, 'Below its voltage that says nothing of what it bears.')
    }
  }
  const worst = findings.some(f => f.level === 'stop')
    ? 'bad'
    : findings.some(f => f.level === 'care')
      ? 'suspect'
      : findings.some(f => f.level === 'fine')
        ? 'tests-good'
        : 'not-known'
  if (worst === 'tests-good')
    found(
      'note',
      'under-voltage',
      full ? 'It tests good, under voltage too. Old ones fail later all the same.' : 'It tests good. It may still fail under voltage.',
      full ? [] : 'Its leakage at its own voltage was not measured.',
    )
  return { verdict: worst, findings: mostPressingFirst(findings) }
}
