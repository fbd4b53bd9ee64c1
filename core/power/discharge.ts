import { significant } from '../kernel/figure'
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
  /** Whether it is joined, side by side, with the one before it in the list: they hold and are emptied as one. */
  joined?: boolean
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
  /** What the resistor has to bear across it; more than one in a row where one does not. */
  resistorVoltageV: number
  resistorsInSeries: number
  capacitors: Discharged[]
  totalEnergyJ: number
  findings: Finding[]
}

/** Below this, touching is not expected to hurt. Source: IEC 62368-1, energy class 1, d.c., from memory. */
export const touchLimitV = 60
/** Enough to burn, melt and throw metal. Source: IEC 60950-1, hazardous energy level, from memory. */
export const hazardousEnergyJ = 20
const defaultSafeVoltageV = 12
const proposedSeconds = 5
/** More than this through a tool sparks and pits the terminals; common practice, no source. */
const sparkA = 1
/** Ratings in watt, and the voltage that a resistor of each bears across it. From memory of data sheets. */
const ratings = [
  { w: 0.25, v: 250 },
  { w: 0.5, v: 350 },
  { w: 1, v: 350 },
  { w: 2, v: 500 },
  { w: 3, v: 500 },
  { w: 5, v: 500 },
  { w: 10, v: 750 },
  { w: 17, v: 750 },
  { w: 25, v: 1000 },
  { w: 50, v: 1250 },
  { w: 100, v: 1900 },
] as const
/** A wire-wound resistor bears so many times its rating for so many seconds; common practice, no source. */
const shortOverload = 5
const overloadSeconds = 5

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
  if (!(safeVoltageV > 0 && safeVoltageV <= touchLimitV))
    throw new InputError('safeVoltageV', safeVoltageV, `Discharged at: above zero and up to ${touchLimitV} V, such as 12. Above that touching hurts.`)
  if (!(waitSeconds >= 0)) throw new InputError('waitSeconds', waitSeconds, 'Wait: zero or more seconds.')

  const banks = banksOf(capacitors)
  const ohm = resistorOhm ?? proposedOhm(banks, safeVoltageV)
  const found = banks.map((c, i): Discharged => {
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
  const totalEnergyJ = found.reduce((sum, f) => sum + f.energyJ, 0)
  const peakW = Math.max(...banks.map(c => c.voltageV ** 2 / ohm))
  const longest = Math.max(...found.map(f => f.secondsToSafe))
  const pulseJ = Math.max(...found.map(f => f.energyJ))
  // For a few seconds it bears more than its rating, at the first touch and by what one discharge leaves in it.
  const wantedW = longest <= 2 * overloadSeconds ? Math.max(peakW / shortOverload, pulseJ / (shortOverload * overloadSeconds)) : peakW
  const rating = ratings.find(r => r.w >= wantedW)
  const resistorPowerW = rating?.w ?? Math.ceil(wantedW)
  const resistorVoltageV = Math.max(...banks.map(c => c.voltageV))
  const resistorsInSeries = Math.ceil(resistorVoltageV / (rating?.v ?? ratings.at(-1)!.v))
  const tool = { ohm, safeVoltageV, resistorPowerW, resistorVoltageV, resistorsInSeries, highestW: ratings.at(-1)!.w, peakW, totalEnergyJ }
  return { resistorOhm: ohm, resistorPowerW, resistorVoltageV, resistorsInSeries, capacitors: found, totalEnergyJ, findings: judge(banks, found, tool) }
}

/** Capacitors that are joined, added up: one capacitance, the highest voltage, their bleeders side by side. */
function banksOf(capacitors: Capacitor[]): Capacitor[] {
  const banks: Capacitor[] = []
  for (const { joined, ...one } of capacitors) {
    const before = banks.at(-1)
    if (!joined || !before) banks.push(one)
    else
      banks[banks.length - 1] = {
        name: [before.name, one.name].filter(Boolean).join(' with ') || undefined,
        capacitanceF: before.capacitanceF + one.capacitanceF,
        voltageV: Math.max(before.voltageV, one.voltageV),
        bleederOhm: one.bleederOhm === undefined ? before.bleederOhm : parallel(one.bleederOhm, before.bleederOhm),
      }
  }
  return banks
}

/** Large enough that nothing sparks, then as small as brings the slowest down in a few seconds; to a tenth where it is low already. */
function proposedOhm(capacitors: Capacitor[], safeVoltageV: number): number {
  const noSpark = Math.max(...capacitors.map(c => c.voltageV / sparkA))
  const quick = Math.min(...capacitors.map(c => proposedSeconds / (c.capacitanceF * Math.log(c.voltageV > safeVoltageV ? c.voltageV / safeVoltageV : 10))))
  return e24AtLeast(Math.max(noSpark, Math.min(quick, 100_000)))
}

const s = (seconds: number) => `${significant(seconds)} s`

/** What one of them is to whoever reaches in. */
function judgeOne(f: Discharged, { voltageV, bleederOhm }: Capacitor, safeVoltageV: number): Finding[] {
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
            `${significant(f.energyJ)} J; ${hazardousEnergyJ} J melt and throw metal.`,
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
            `${significant(f.peakCurrentA)} A at the first touch. A larger resistor does it quietly.`,
            commonPractice,
          ),
        ]
      : []),
  ]
}

interface ToolUsed {
  ohm: number
  safeVoltageV: number
  resistorPowerW: number
  resistorVoltageV: number
  resistorsInSeries: number
  highestW: number
  peakW: number
  totalEnergyJ: number
}

/** Whether the tool bears what it is asked to. */
const judgeTool = ({ ohm, resistorPowerW, resistorVoltageV, resistorsInSeries, highestW, peakW }: ToolUsed): Finding[] => [
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
  ...(resistorsInSeries > 1
    ? [
        finding(
          'stop',
          'discharge.voltage',
          `One resistor does not bear ${significant(resistorVoltageV)} V across it.`,
          `Take ${resistorsInSeries} of ${e24AtLeast(ohm / resistorsInSeries)} Ω in a row, insulated, or a tool made for that voltage.`,
          'resistor data sheets, from memory',
        ),
      ]
    : []),
]

function judge(capacitors: Capacitor[], found: Discharged[], tool: ToolUsed): Finding[] {
  const { ohm, safeVoltageV, resistorPowerW, totalEnergyJ } = tool
  return [
    ...found.flatMap((f, i) => judgeOne(f, capacitors[i]!, safeVoltageV)),
    ...judgeTool(tool),
    ...(capacitors.length > 1 && totalEnergyJ >= hazardousEnergyJ && found.every(f => f.energyJ < hazardousEnergyJ)
      ? [
          finding(
            'care',
            'discharge.energy-together',
            `Joined, they would hold ${significant(totalEnergyJ)} J.`,
            `${hazardousEnergyJ} J melt and throw metal. Find out whether they hang on one rail, and say so here.`,
            'IEC 60950-1, from memory',
          ),
        ]
      : []),
    ...(totalEnergyJ > shortOverload * overloadSeconds * resistorPowerW
      ? [
          finding(
            'care',
            'discharge.heat',
            'One after the other they make the resistor hot.',
            `${significant(totalEnergyJ)} J in ${resistorPowerW} W: let it cool between two, or take a larger one.`,
            commonPractice,
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
