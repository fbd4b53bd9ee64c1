import { afterAll, beforeAll, expect, it } from 'vitest'
import { seeded } from '#core/kernel/random'
import { access } from '../../../scripts/attack/access'
import type { Run } from '../../../scripts/attack/attack'
import { bounds } from '../../../scripts/attack/bounds'
import { crash } from '../../../scripts/attack/crash'
import { door } from '../../../scripts/attack/door'
import { fault } from '../../../scripts/attack/fault'
import { fuzz } from '../../../scripts/attack/fuzz'
import { type Application, startApplication } from '../support/application'

/** The attack in short; `npm run attack` is longer, and prints how long everybody else had to wait meanwhile. */
let app: Application
beforeAll(async () => {
  app = await startApplication({ env: { REQUEST_SECONDS: '1' } })
})
afterAll(() => app?.stop())

const runs: [string, Run, number][] = [
  ['nonsense is answered with a reason, and breaks nothing', fuzz, 2],
  ['what was answered as kept survives a power cut, once', crash, 2],
  ['data folders that are no collection, and meters that lie: told, and nothing half-done', fault, 3],
  ['the largest and dearest requests are answered or refused', bounds, 2],
  ['printers that lie, pages that are dropped, crowds: nobody else waits', door, 2],
  ['every door opens to those who may, and to nobody else', access, 3],
]
it.each(runs)('%s', async (_, run, seconds) => {
  // Whoever was made to wait for signing in is not any more.
  await app.restart()
  const { figures, failures } = await run({ app, random: seeded(11), seconds })
  expect(failures).toEqual([])
  expect(Object.values(figures).some(figure => typeof figure === 'number' && figure > 0)).toBe(true)
})
