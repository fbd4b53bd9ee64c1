import { performance } from 'node:perf_hooks'
import { type CorrosionArea, defaultThreshold, measureCorrosion, measureCorrosionNow } from '#core/condition/corrosion-area'
import { type Spoil, type Surface, conditionNames, conditions, madeUpBoard, surfaces } from '../../tests/support/made-up-board'
import { InputError } from '#core/kernel/input-error'
import { row } from './row'

/** How long corrosion is measured, how long a turn of it takes, and how far it is off. */
export async function benchCorrosion() {
  console.log('Corrosion measured, 12 megapixels (4000 × 3000)')
  row('surface', 'time', 'longest turn', 'error', 'said error')
  for (const surface of ['crust on a board', 'rust on steel', 'white fur on a board'] satisfies Surface[]) {
    for (const spoil of [{}, { noise: 8, blur: 2, jpeg: 80, gradient: 0.5 }] satisfies Spoil[]) {
      const board = await madeUpBoard(surface, 4000, 3000, 25, 42, spoil)
      const began = performance.now()
      let turn = began
      let longest = 0
      let area: CorrosionArea | undefined
      for (const work = measureCorrosion(board, { outline: [], corroded: board.corroded, sound: board.sound }); !area;) {
        const { done, value } = work.next()
        longest = Math.max(longest, performance.now() - turn)
        turn = performance.now()
        if (done) area = value.areaAt(defaultThreshold)
      }
      row(
        `${surface}${
          Object.keys(spoil).length
            ? `, ${Object.entries(spoil)
                .map(([k, v]) => `${k} ${v}`)
                .join(', ')}`
            : ''
        }`,
        `${Math.round(performance.now() - began)} ms`,
        `${Math.round(longest)} ms`,
        `${(area.areaPct - board.areaPct).toFixed(2)} pp`,
        `± ${area.errorPct.toFixed(1)} pp`,
      )
    }
  }
  await table()
}

/** How far it is off / the error that it states, for every pair of surface and corrosion under every condition; “!” where it does not hold. */
async function table(seed = 20261125) {
  console.log(`\nOff by / stated error in percentage points, seventeen pairs by seventeen conditions (420 × 320, seed ${seed})`)
  surfaces.forEach((surface, i) => console.log(`  ${String(i + 1).padStart(2)} ${surface}`))
  console.log(''.padEnd(24) + surfaces.map((_, i) => String(i + 1).padStart(11)).join(''))
  let [held, measured, refused] = [0, 0, 0]
  for (const [c, condition] of conditionNames.entries()) {
    const cells: string[] = []
    for (const [i, surface] of surfaces.entries()) {
      const wanted = [1, 4, 12, 25, 45][(i + c) % 5]!
      const board = await madeUpBoard(surface, 420, 320, wanted, seed + 100 * c + i, conditions[condition])
      try {
        const { areaPct, errorPct } = measureCorrosionNow(board, { outline: [], corroded: board.corroded, sound: board.sound }).areaAt(defaultThreshold)
        const off = areaPct - board.areaPct
        const holds = Math.abs(off) <= errorPct
        measured++
        held += Number(holds)
        cells.push(`${holds ? '' : '!'}${off.toFixed(1)}/${errorPct.toFixed(1)}`)
      } catch (error) {
        if (!(error instanceof InputError)) throw error
        refused++
        cells.push('refused')
      }
    }
    console.log(condition.padEnd(24) + cells.map(cell => cell.padStart(11)).join(''))
  }
  console.log(`The stated error holds in ${held} of ${measured}, ${((100 * held) / measured).toFixed(1)} %; ${refused} refused.`)
}
