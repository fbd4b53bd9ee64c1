import { performance } from 'node:perf_hooks'
import { type CorrosionArea, defaultThreshold, measureCorrosion } from '#core/condition/corrosion-area'
import { type Surface, madeUpBoard } from '../../tests/support/made-up-board'
import { row } from './row'

/** How long corrosion is measured, how long a turn of it takes, and how far it is off. */
export async function benchCorrosion() {
  console.log('Corrosion measured, 12 megapixels (4000 × 3000)')
  row('surface', 'time', 'longest turn', 'error', 'said error')
  for (const surface of ['crust on a board', 'rust on steel', 'white fur on a board'] satisfies Surface[]) {
    for (const spoil of [{}, { noise: 8, blur: 2, jpeg: 80, gradient: 0.5 }]) {
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
}
