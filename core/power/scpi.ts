import { InputError } from '../kernel/input-error'

/**
 * What is asked of a multimeter, and how its answers are read. Sources: SCPI-1999 (MEASure, CONFigure, READ?, SYSTem:ERRor?);
 * IEEE 488.2 (*IDN?, *CLS, numeric response data NR1 to NR3); SCPI-1999 for 9.9E37 as infinity and 9.91E37 as not a number; from memory.
 */
export const meterFunctions = {
  'dc-volts': { title: 'DC volts', unit: 'V', configure: 'CONF:VOLT:DC', most: 1500, settledShare: 0.005, settledAbs: 0.005 },
  'ac-volts': { title: 'AC volts', unit: 'V', configure: 'CONF:VOLT:AC', most: 1500, settledShare: 0.02, settledAbs: 0.005 },
  'ohms': { title: 'Resistance', unit: 'Ω', configure: 'CONF:RES', most: 2e9, settledShare: 0.01, settledAbs: 0.05 },
  'continuity': { title: 'Continuity', unit: 'Ω', configure: 'CONF:CONT', most: 2e9, settledShare: 0.05, settledAbs: 0.2 },
  'diode': { title: 'Diode test', unit: 'V', configure: 'CONF:DIOD', most: 20, settledShare: 0.01, settledAbs: 0.002 },
  'dc-amps': { title: 'Current', unit: 'A', configure: 'CONF:CURR:DC', most: 100, settledShare: 0.01, settledAbs: 0.001 },
  'celsius': { title: 'Temperature', unit: '°C', configure: 'CONF:TEMP', most: 2000, settledShare: 0.01, settledAbs: 0.3 },
} as const satisfies Record<string, { title: string; unit: string; configure: string; most: number; settledShare: number; settledAbs: number }>
export type MeterFunction = keyof typeof meterFunctions
export const meterFunctionNames = Object.keys(meterFunctions) as MeterFunction[]

/** What a meter is to the one who looks at it. Only `ready` brings values. */
export const meterStates = {
  none: { title: 'No meter', says: 'No meter is set up. Type what yours shows, or set one up under Settings.' },
  connecting: { title: 'Looking for it', says: 'The meter is being connected.' },
  ready: { title: 'Answers', says: 'The meter answers.' },
  silent: { title: 'Silent', says: 'The meter is connected and does not answer. Look at its display and its remote setting.' },
  lost: { title: 'Lost', says: 'The connection to the meter is gone. Look at the cable and whether it is switched on.' },
  nonsense: { title: 'Nonsense', says: 'The meter answers something that is no reading. Nothing of it was kept.' },
  unreachable: { title: 'Not reached', says: 'Nothing answers as a meter at its address. Look at host and port under Settings, and at the meter.' },
  busy: { title: 'Elsewhere', says: 'The meter watches another start. It is free again when that has ended.' },
} as const
export type MeterState = keyof typeof meterStates

/** One answer of a meter: a figure, beyond its range (or open), or not to be read as either. */
export type MeterAnswer = { kind: 'value'; value: number } | { kind: 'overload' } | { kind: 'nonsense'; text: string }

const overloadFrom = 9e37

/**
 * Reads one line that a meter sent. Whatever is not one plain number within what the function can show is nonsense, never a value.
 * @param line without its end of line
 */
export function readAnswer(line: string, what: MeterFunction): MeterAnswer {
  const text = line.trim()
  const nonsense = { kind: 'nonsense' as const, text: text.slice(0, 60) }
  if (!/^[+-]?(\d+\.?\d*|\.\d+)([eE][+-]?\d{1,2})?$/.test(text)) return nonsense
  const value = Number(text)
  // 9.9E37 is infinity by SCPI, 9.91E37 not a number; both signs are beyond what it can show.
  if (value === 9.91e37) return nonsense
  if (Math.abs(value) >= overloadFrom) return { kind: 'overload' }
  return Math.abs(value) <= meterFunctions[what].most ? { kind: 'value', value } : nonsense
}

/** How a meter names the function that it is set to: long or short words, DC left out where it is what is usual, ranges behind it. From memory. */
const namesOf: Record<MeterFunction, RegExp> = {
  'dc-volts': /^VOLT(AGE)?(:DC)?$/,
  'ac-volts': /^VOLT(AGE)?:AC$/,
  'ohms': /^RES(ISTANCE)?$/,
  'continuity': /^CONT(INUITY)?$/,
  'diode': /^DIOD(E)?$/,
  'dc-amps': /^CURR(ENT)?(:DC)?$/,
  'celsius': /^TEMP(ERATURE)?$/,
}

/** Whether the answer to CONFigure? names this function. Source: SCPI-1999, CONFigure?: a string with the function, then its parameters. */
export function isSetTo(line: string, what: MeterFunction): boolean {
  const [name = ''] = line.trim().replace(/^"|"$/g, '').toUpperCase().split(/[ ,]/)
  return namesOf[what].test(name.replace(/^:/, ''))
}

export interface MeterIdentity {
  maker: string
  model: string
  serial: string
  firmware: string
}

/** The four fields of *IDN?. @throws InputError where there are not four */
export function readIdentity(line: string): MeterIdentity {
  const [maker, model, serial, firmware, ...more] = line
    .trim()
    .split(',')
    .map(field => field.trim())
  if (firmware === undefined || more.length || !model || ![...line].every(c => c >= ' ' && c <= '~'))
    throw new InputError('identity', line.slice(0, 60), 'What answers there does not say who it is, as a meter does.')
  return { maker: maker!, model, serial: serial!, firmware }
}

/** Whether the last readings stand still: the newest two agree within the function's own limits. */
export function isSettled(values: readonly number[], what: MeterFunction): boolean {
  const [last, before] = [values.at(-1), values.at(-2)]
  if (last === undefined || before === undefined) return false
  const { settledShare, settledAbs } = meterFunctions[what]
  return Math.abs(last - before) <= Math.max(settledAbs, settledShare * Math.abs(last))
}
