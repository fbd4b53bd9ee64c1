import { linearRegression } from 'simple-statistics'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/**
 * What gets warm, and how warm it usually gets: up to `usualC` nothing is said, above `hotC` it is switched off.
 * Heat sinks of old linear supplies run at 60–65 °C. Common practice, no source.
 */
export const warmParts = {
  'heat-sink': { title: 'Heat sink of a regulator', usualC: 65, hotC: 85 },
  'transformer': { title: 'Transformer', usualC: 60, hotC: 90 },
  'rectifier': { title: 'Rectifier', usualC: 80, hotC: 105 },
  'capacitor': { title: 'Big capacitor', usualC: 45, hotC: 65 },
  'chip': { title: 'Chip', usualC: 60, hotC: 85 },
  'drive': { title: 'Drive', usualC: 45, hotC: 55 },
  'air': { title: 'Air inside the case', usualC: 40, hotC: 50 },
} as const satisfies Record<string, { title: string; usualC: number; hotC: number }>
export type WarmPart = keyof typeof warmParts
export const warmPartNames = Object.keys(warmParts) as WarmPart[]

export interface WarmSample {
  atSeconds: number
  celsius: number
}
export interface TemperatureInput {
  part: WarmPart
  samples: readonly WarmSample[]
}
export interface TemperatureResult {
  lastC: number
  highestC: number
  /** Slope over the last two minutes; nothing while there is too little to tell. */
  climbKPerMin: number | null
  findings: Finding[]
}

/** Over so long a slope is taken, and so steep it is worth a word; common practice, no source. */
const windowSeconds = 120
const steepKPerMin = 3

/** Slope of the samples of the last two minutes in kelvin a minute, least squares; nothing under three samples or half a minute. */
export function climbOf(samples: readonly WarmSample[]): number | null {
  const last = samples.at(-1)
  const recent = last ? samples.filter(s => last.atSeconds - s.atSeconds <= windowSeconds) : []
  if (recent.length < 3 || last!.atSeconds - recent[0]!.atSeconds < 30) return null
  return linearRegression(recent.map(s => [s.atSeconds / 60, s.celsius])).m
}

/**
 * Judges the temperature of a part against what is usual for it, and whether it still climbs.
 * @param input samples in degrees Celsius, seconds from any start, in the order of time
 * @returns last and highest temperature, climb in kelvin a minute, findings
 * @throws InputError for no sample, or one that no bench can have
 */
export function judgeTemperature({ part, samples }: TemperatureInput): TemperatureResult {
  if (!samples.length) throw new InputError('samples', samples, 'Give at least one temperature.')
  samples.forEach(({ celsius, atSeconds }, i) => {
    if (!(celsius >= -40 && celsius <= 400)) throw new InputError(`samples.${i}.celsius`, celsius, 'Temperature: from −40 to 400 °C.')
    if (!(atSeconds >= (samples[i - 1]?.atSeconds ?? -Infinity))) throw new InputError(`samples.${i}.atSeconds`, atSeconds, 'Times have to go forward.')
  })
  const warmth = { lastC: samples.at(-1)!.celsius, highestC: samples.reduce((most, s) => Math.max(most, s.celsius), -Infinity), climbKPerMin: climbOf(samples) }
  return { ...warmth, findings: judgeWarmth({ part, ...warmth }) }
}

/** What is told of a log: its last and highest temperature in degrees Celsius, and how it climbs, in kelvin a minute. */
export type Warmth = Omit<TemperatureResult, 'findings'>

/** The same judgement from what is told of a log. */
export function judgeWarmth({ part, lastC, highestC, climbKPerMin }: Warmth & { part: WarmPart }): Finding[] {
  const { title, usualC, hotC } = warmParts[part]
  const limits = `${title}: up to ${usualC} °C is usual, above ${hotC} °C it is switched off.`
  const c = (value: number) => `${value.toFixed(1)} °C`
  const level =
    highestC > hotC
      ? finding('stop', 'temperature.hot', `${title} at ${c(highestC)}: too hot.`, [limits, 'Off, let it cool, find out why.'], commonPractice)
      : highestC > usualC
        ? finding('care', 'temperature.warm', `${title} at ${c(highestC)}: warmer than usual.`, limits, commonPractice)
        : finding('fine', 'temperature.usual', `${title} at ${c(highestC)}: usual.`, limits, commonPractice)
  if (climbKPerMin === null || climbKPerMin < steepKPerMin) return [level]
  const minutes = (hotC - lastC) / climbKPerMin
  return [
    level,
    finding(
      'care',
      'temperature.climbs',
      `It climbs by ${climbKPerMin.toFixed(1)} K a minute.`,
      minutes > 0 ? `At this pace it reaches ${hotC} °C in ${minutes.toFixed(0)} minutes.` : limits,
      commonPractice,
    ),
  ]
}

/** How long a machine without its fan is run at a time, and how long it rests. Common practice, no source: run briefly, feel often. */
export const fanless = { runSeconds: 120, restMinutes: 20 } as const
