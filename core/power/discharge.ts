import { e24AtLeast } from '../kernel/e-series'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export interface Capacitor {
  name?: string
  capacitanceF: number
  /** What it is charged to, or may be. */
  voltageV: number
  /** A resistor that is soldered across it for good. */
  bleederOhm?: number
}
export interface DischargeInput {
  capacitors: Capacitor[]
  /** The resistor of the discharge tool; one is proposed where it is left out. */
  resistorOhm?: number
  /** Where it counts as discharged. */
  safeVoltageV?: number
  waitSeconds?: number
}
export interface Discharged {
  name: string
  energyJ: number
  /** Through the tool, and the bleeder beside it where there is one. */
  secondsToSafe: number
  voltageAfterWaitV: number
  peakCurrentA: number
  /** With the bleeder alone; nothing where there is none. */
  secondsByBleeder: number | null
}
export interface DischargeResult {
  resistorOhm: number
  resistorPowerW: number
  capacitors: Discharged[]
  totalEnergyJ: number
  findings: Finding[]
}

/** Below this, touching is not expected to hurt. Source: IEC 62368-1, energy class 1, d.c., from memory. */
export const touchLimitV = 60
/** Enough to burn, melt and throw metal. Source: IEC 60950-1, hazardous energy level, from memory. */
export const hazardousEnergyJ = 20
export const defaultSafeVoltageV = 12
const proposedSeconds = 5
/** More than this through a tool sparks and pits the terminals; common practice, no source. */
const sparkA = 1
const ratingsW = [0.25, 0.5, 1, 2, 3, 5, 10, 17, 25, 50, 100]
/** A wire-wound resistor bears so many times its rating for a few seconds; common practice, no source. */
const shortOverload = 5

const energyJ = ({ capacitanceF, voltageV }: Capacitor) => 0.5 * capacitanceF * voltageV ** 2
const parallel = (a: number, b: number | undefined) => (b === undefined ? a : (a * b) / (a + b))
const secondsDown = (fromV: number, toV: number, ohm: number, farad: number) => (fromV <= toV ? 0 : ohm * farad * Math.log(fromV / toV))

/**
 * What capacitors hold, and how they are emptied: E = ½·C·V², V(t) = V₀·e^(−t/RC), one after the other through one resistor.
 * @param input capacitance in farad, voltages in volt, resistance in ohm
 * @returns times in seconds, peak current in ampere, the resistor (E24, IEC 60063) and its rating in watt, findings
 * @throws InputError for values that are none, or no capacitor at all
 */
export function discharge({ capacitors, resistorOhm, safeVoltageV = defaultSafeVoltageV, waitSeconds = 0 }: DischargeInput): DischargeResult {
  if (!capacitors.length) throw new InputError('capacitors', capacitors, 'Name at least one capacitor.')
  capacitors.forEach(({ capacitanceF, voltageV, bleederOhm }, i) => {
    if (!(capacitanceF > 0 && capacitanceF <= 10))
      throw new InputError(`capacitors.${i}.capacitanceF`, capacitanceF, 'Capacitance: above zero and up to 10 F, such as 4700u.')
    if (!(voltageV > 0 && voltageV <= 50_000)) throw new InputError(`capacitors.${i}.voltageV`, voltageV, 'Voltage: above zero and up to 50 kV.')
    if (bleederOhm !== undefined && !(bleederOhm > 0))
      throw new InputError(`capacitors.${i}.bleederOhm`, bleederOhm, 'Bleeder: above zero, such as 100k, or left out.')
  })
  if (resistorOhm !== undefined && !(resistorOhm > 0)) throw new InputError('resistorOhm', resistorOhm, 'Resistor: above zero, such as 1k.')
  if (!(safeVoltageV > 0)) throw new InputError('safeVoltageV', safeVoltageV, 'Discharged at: above zero, such as 12.')
  if (!(waitSeconds >= 0)) throw new InputError('waitSeconds', waitSeconds, 'Wait: zero or more seconds.')

  const ohm = resistorOhm ?? proposedOhm(capacitors, safeVoltageV)
  const found = capacitors.map((c, i): Discharged => {
    const through = parallel(ohm, c.bleederOhm)
    return {
      name: c.name || `Capacitor ${i + 1}`,
      energyJ: energyJ(c),
      peakCurrentA: c.voltageV / ohm,
      secondsToSafe: secondsDown(c.voltageV, safeVoltageV, through, c.capacitanceF),
      voltageAfterWaitV: c.voltageV * Math.exp(-waitSeconds / (through * c.capacitanceF)),
      secondsByBleeder: c.bleederOhm === undefined ? null : secondsDown(c.voltageV, safeVoltageV, c.bleederOhm, c.capacitanceF),
    }
  })
  const peakW = Math.max(...capacitors.map(c => c.voltageV ** 2 / ohm))
  const longest = Math.max(...found.map(f => f.secondsToSafe))
  const wantedW = longest <= 2 * proposedSeconds ? peakW / shortOverload : peakW
  const resistorPowerW = ratingsW.find(w => w >= wantedW) ?? Math.ceil(wantedW)
  return {
    resistorOhm: ohm,
    resistorPowerW,
    capacitors: found,
    totalEnergyJ: found.reduce((sum, f) => sum + f.energyJ, 0),
    findings: judge(capacitors, found, { ohm, safeVoltageV, resistorPowerW, highestW: ratingsW.at(-1)!, peakW }),
  }
}

/** Large enough that nothing sparks, then as small as brings the slowest down in a few seconds. */
function proposedOhm(capacitors: Capacitor[], safeVoltageV: number): number {
  const noSpark = Math.max(...capacitors.map(c => c.voltageV / sparkA))
  const quick = Math.min(
    ...capacitors.filter(c => c.voltageV > safeVoltageV).map(c => proposedSeconds / (c.capacitanceF * Math.log(c.voltageV / safeVoltageV))),
  )
  return e24AtLeast(Math.max(noSpark, Math.min(quick, 100_000)))
}

const s = (seconds: number) => `${Number(seconds.toPrecision(3))} s`

function judge(
  capacitors: Capacitor[],
  found: Discharged[],
  { ohm, safeVoltageV, resistorPowerW, highestW, peakW }: { ohm: number; safeVoltageV: number; resistorPowerW: number; highestW: number; peakW: number },
): Finding[] {
  return [
    ...found.flatMap((f, i) => {
      const { voltageV, bleederOhm } = capacitors[i]!
      return [
        ...(voltageV > touchLimitV
          ? [
              finding(
                'stop',
                'discharge.touch',
                `${f.name}: do not touch before it has been measured.`,
                `${voltageV} V; above ${touchLimitV} V d.c. touching hurts.`,
                'IEC 62368-1, energy class 1, from memory',
              ),
            ]
          : []),
        ...(f.energyJ >= hazardousEnergyJ
          ? [
              finding(
                'stop',
                'discharge.energy',
                `${f.name}: never short it with a screwdriver.`,
                `${Number(f.energyJ.toPrecision(3))} J; ${hazardousEnergyJ} J melt and throw metal.`,
                'IEC 60950-1, from memory',
              ),
            ]
          : []),
        f.secondsByBleeder === null
          ? finding(
              'care',
              'discharge.no-bleeder',
              `${f.name}: nothing empties it by itself.`,
              'Without a bleeder it may hold its charge for days, and come back a little after it was emptied.',
              commonPractice,
            )
          : finding(
              'note',
              'discharge.bleeder',
              `${f.name}: its bleeder brings it to ${safeVoltageV} V in ${s(f.secondsByBleeder)}.`,
              `${bleederOhm} Ω. A bleeder can be open: measure all the same.`,
              commonPractice,
            ),
        ...(f.peakCurrentA > sparkA
          ? [
              finding(
                'care',
                'discharge.spark',
                `${f.name}: the tool sparks.`,
                `${Number(f.peakCurrentA.toPrecision(3))} A at the first touch. A larger resistor does it quietly.`,
                commonPractice,
              ),
            ]
          : []),
      ]
    }),
    ...(resistorPowerW > highestW
      ? [
          finding(
            'stop',
            'discharge.rating',
            'No hand tool bears that.',
            `${Math.round(peakW)} W at the first touch. Take a larger resistor, or leave it to people with the gear for it.`,
          ),
        ]
      : []),
    finding(
      'note',
      'discharge.measure',
      `${ohm} Ω of ${resistorPowerW} W or more; then measure again.`,
      `Every capacitor reads below ${safeVoltageV} V after ${s(Math.max(...found.map(f => f.secondsToSafe)))} through it. The reading counts, not the clock.`,
      'V(t) = V₀·e^(−t/RC)',
    ),
  ]
}
