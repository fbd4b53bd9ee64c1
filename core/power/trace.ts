import { significant } from '../kernel/figure'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type Wire, copperOhmMm2PerM, copperPerK, wireWith } from './wire'

export const traceSides = ['outer', 'inner'] as const
export type TraceSide = (typeof traceSides)[number]

export interface TraceInput {
  widthMm: number
  /** Copper in ounces a square foot; 1 is usual. */
  copperOz?: number
  side?: TraceSide
  /** The rise that is allowed; with a current, the rise is computed instead. */
  riseK?: number
  currentA?: number
  lengthMm?: number
  ambientC?: number
  /** How long a short lasts before the fuse or the supply ends it. */
  shortSeconds?: number
}
export interface TraceResult {
  thicknessMm: number
  areaMm2: number
  /** What it carries at the allowed rise. */
  currentAtRiseA: number
  /** The rise at the current given, and the width that current wants; nothing without one. */
  riseK: number | null
  widthForCurrentMm: number | null
  resistanceOhm: number | null
  dropV: number | null
  fusing: { onderdonkA: number; preeceA: number; shortSeconds: number }
  wire: Wire | null
  findings: Finding[]
}

/** 1 oz of copper spread over a square foot. Source: common practice, 1.378 mil. */
const mmPerOz = 0.035
const mmPerMil = 0.0254
const ipc = 'IPC-2221, from memory'
const k: Record<TraceSide, number> = { outer: 0.048, inner: 0.024 }
/** What the charts behind the formula reach to. Source: IPC-2221, from memory. */
const chart = { riseK: [10, 100], currentA: 35, widthMm: 400 * mmPerMil } as const
const meltsC = 1083
/** Above the first, old boards of paper and phenolic resin brown; above the second, glass and epoxy soften. From memory of laminate data sheets. */
const boardC = { care: 105, stop: 130 } as const

/** I = k·ΔT^0.44·A^0.725, A in square mil. */
const currentFor = (side: TraceSide, riseK: number, areaMil2: number) => k[side] * riseK ** 0.44 * areaMil2 ** 0.725
const riseFor = (side: TraceSide, currentA: number, areaMil2: number) => (currentA / (k[side] * areaMil2 ** 0.725)) ** (1 / 0.44)
const areaFor = (side: TraceSide, currentA: number, riseK: number) => (currentA / (k[side] * riseK ** 0.44)) ** (1 / 0.725)

/**
 * What a trace carries, what it loses, when it melts, and the wire that stands in for it.
 * Sources: IPC-2221 for the rise; ρ·l/A for the resistance; Onderdonk for a short pulse, I = A·√(log₁₀(1 + ΔT/(234 + Tₐ))/(33·t)), A in circular mil;
 * Preece for a wire of the same copper in free air, I = 80·d^1.5, d in mm; ASTM B258 for the wire.
 * @throws InputError for sizes that are none
 */
export function judgeTrace({
  widthMm,
  copperOz = 1,
  side = 'outer',
  riseK = 10,
  currentA,
  lengthMm,
  ambientC = 25,
  shortSeconds = 1,
}: TraceInput): TraceResult {
  const within = (field: string, value: number, [low, high]: readonly [number, number], what: string) => {
    if (!(value > low && value <= high)) throw new InputError(field, value, `${what}: more than ${low} and up to ${high}, please.`)
  }
  within('widthMm', widthMm, [0.01, 100], 'Width in mm')
  within('copperOz', copperOz, [0.01, 10], 'Copper in oz')
  within('riseK', riseK, [0, 200], 'Rise in K')
  if (currentA !== undefined) within('currentA', currentA, [0, 200], 'Current in A')
  if (lengthMm !== undefined) within('lengthMm', lengthMm, [0, 10_000], 'Length in mm')
  within('shortSeconds', shortSeconds, [0, 10], 'Seconds of a short')
  within('ambientC', ambientC, [-41, 100], 'Air around it in °C')

  const thicknessMm = copperOz * mmPerOz
  const areaMm2 = widthMm * thicknessMm
  const areaMil2 = areaMm2 / mmPerMil ** 2
  const rise = currentA === undefined ? null : riseFor(side, currentA, areaMil2)
  const hotC = ambientC + (rise ?? riseK)
  const resistanceOhm = lengthMm === undefined ? null : ((copperOhmMm2PerM * (lengthMm / 1000)) / areaMm2) * (1 + copperPerK * (hotC - 20))
  // A circular mil is the area of a circle one mil across, π/4 of a square mil.
  const onderdonkA = (areaMil2 / (Math.PI / 4)) * Math.sqrt(Math.log10(1 + (meltsC - ambientC) / (234 + ambientC)) / (33 * shortSeconds))
  const preeceA = 80 * (2 * Math.sqrt(areaMm2 / Math.PI)) ** 1.5
  const result = {
    thicknessMm,
    areaMm2,
    currentAtRiseA: currentFor(side, riseK, areaMil2),
    riseK: rise,
    widthForCurrentMm: currentA === undefined ? null : (areaFor(side, currentA, riseK) * mmPerMil ** 2) / thicknessMm,
    resistanceOhm,
    dropV: resistanceOhm === null || currentA === undefined ? null : resistanceOhm * currentA,
    fusing: { onderdonkA, preeceA, shortSeconds },
    wire: wireWith(areaMm2),
  }
  return { ...result, findings: mostPressingFirst([...judgeHeat(hotC, currentA), ...judge(result, { side, allowedK: riseK, currentA, widthMm })]) }
}

/** The temperature it comes to, not only how much warmer than the air it gets. */
function judgeHeat(hotC: number, currentA: number | undefined): Finding[] {
  const says = `${currentA === undefined ? 'At the rise allowed' : `With ${currentA} A`} it comes to ${Math.round(hotC)} °C.`
  const limits = `Paper boards brown above ${boardC.care} °C, glass and epoxy soften above ${boardC.stop} °C.`
  return hotC > boardC.stop
    ? [finding('stop', 'trace.board', says, limits, 'laminate data sheets, from memory')]
    : hotC > boardC.care
      ? [finding('care', 'trace.board', says, limits, 'laminate data sheets, from memory')]
      : []
}

function judge(
  r: Omit<TraceResult, 'findings'>,
  { side, allowedK, currentA, widthMm }: { side: TraceSide; allowedK: number; currentA?: number; widthMm: number },
): Finding[] {
  const carries = `${significant(r.currentAtRiseA)} A warms it by ${allowedK} K on an ${side} layer.`
  const beyond = (r.riseK ?? allowedK) > chart.riseK[1] || (r.riseK ?? allowedK) < chart.riseK[0] || (currentA ?? 0) > chart.currentA || widthMm > chart.widthMm
  return [
    ...(r.riseK === null
      ? [finding('note', 'trace.carries', carries, 'Still air, no plane beneath, no neighbour that is warm.', ipc)]
      : r.riseK > 100
        ? [finding('stop', 'trace.burns', `${currentA} A is far too much for it.`, `It would be ${Math.round(r.riseK)} K warmer than the air. ${carries}`, ipc)]
        : r.riseK > allowedK
          ? [
              finding(
                'care',
                'trace.warm',
                `${currentA} A warms it by ${significant(r.riseK)} K.`,
                [`${carries} Copper lifts from old board before it melts.`, `${significant(r.widthForCurrentMm!)} mm of width would do.`],
                ipc,
              ),
            ]
          : [finding('fine', 'trace.bears', `It bears ${currentA} A: ${significant(r.riseK)} K warmer than the air.`, carries, ipc)]),
    ...(beyond
      ? [
          finding(
            'care',
            'trace.chart',
            'This is outside the charts behind the formula.',
            `They reach from ${chart.riseK[0]} to ${chart.riseK[1]} K, to ${chart.currentA} A and ${significant(chart.widthMm)} mm. Take it for an order of magnitude.`,
            ipc,
          ),
        ]
      : []),
    ...(r.dropV !== null && r.dropV > 0.05
      ? [
          finding(
            'care',
            'trace.drop',
            `It loses ${significant(r.dropV * 1000)} mV.`,
            'On a 5 V rail, 50 mV is a fifth of what the tolerance leaves.',
            commonPractice,
          ),
        ]
      : []),
    finding(
      'note',
      'trace.fusing',
      `It melts at about ${significant(r.fusing.onderdonkA)} A in ${r.fusing.shortSeconds} s.`,
      [
        `A wire of the same copper in free air: about ${significant(r.fusing.preeceA)} A for good.`,
        'Estimates: the first knows no cooling, the second no board. A trace that burnt says more than either: which rail was overloaded.',
      ],
      'Onderdonk; Preece; from memory',
    ),
    r.wire
      ? finding(
          'note',
          'trace.wire',
          `AWG ${r.wire.awg}, ${significant(r.wire.diameterMm)} mm, has as much copper.`,
          `${significant(r.wire.areaMm2)} mm² against ${significant(r.areaMm2)} mm².`,
          'ASTM B258',
        )
      : finding(
          'note',
          'trace.no-wire',
          'No single wire up to AWG 10 has as much copper.',
          `${significant(r.areaMm2)} mm². Take several side by side.`,
          'ASTM B258',
        ),
  ]
}
