import { performance } from 'node:perf_hooks'
import { quantileSorted } from 'simple-statistics'
import type { MachineSheet } from '#shared/chapters/index'
import { startStandIn } from '../../instruments/meter/stand-in'
import { startApplication } from '../../tests/e2e/support/application'
import { watchStart } from '../../tests/e2e/support/watchers'
import { row } from './row'

const watchers = 20
const seconds = 20

/** From the moment the meter answers to the moment a page that watches has it, for twenty pages on one start. */
export async function benchStart() {
  console.log(`\nA start watched by ${watchers} pages for ${seconds} s: from the answer of the meter to the page`)
  const answeredAt = new Map<number, number>()
  const standIn = await startStandIn({ port: 0, answered: text => void answeredAt.set(Number(Number(text).toFixed(3)), performance.now()) })
  const application = await startApplication()
  try {
    const cookie = await application.cookieOf('ilka')
    const ask = (path: string, body?: unknown) => application.ask(path, { method: body === undefined ? 'GET' : 'POST', body, cookie }).then(a => a.json())
    const { practice, people } = (await ask('/api/settings')) as { practice: { version: number }; people: { id: number; signInName: string }[] }
    await ask('/api/collection/set-meter', { version: practice.version, host: '127.0.0.1', port: standIn.port })
    const tag = await application.tagOf('Radio hut')
    const sheet = (await ask(`/api/machines/${tag}`)) as MachineSheet
    const id = people.find(p => p.signInName === 'ilka')!.id
    await ask(`/api/machines/${tag}/begin-start`, {
      atProbe: id,
      atSwitch: id,
      byMeter: true,
      load: 'loaded',
      currentLimitA: null,
      checked: sheet.power.startChecks.map(c => c.code),
    })
    const latenciesMs: number[] = []
    let readings = 0
    const stops = await Promise.all(
      Array.from({ length: watchers }, (_, page) =>
        watchStart(application.address, cookie, tag, frame => {
          for (const sample of frame.fresh) {
            const at = sample.kind === 'dc-volts' && sample.value !== null ? answeredAt.get(sample.value) : undefined
            if (at === undefined || frame.first) continue
            latenciesMs.push(performance.now() - at)
            if (page === 0) readings++
          }
        }),
      ),
    )
    // The figures of a machine that is off are all alike; on, each tells which answer it was.
    await ask(`/api/machines/${tag}/start`, { do: 'count-down' })
    await new Promise(done => setTimeout(done, 5200))
    standIn.switchOn(true)
    await new Promise(done => setTimeout(done, seconds * 1000))
    await ask(`/api/machines/${tag}/start`, { do: 'is-off' })
    stops.forEach(stop => stop())
    const sorted = latenciesMs.sort((a, b) => a - b)
    row('readings', 'a second', 'median', '99 of 100', 'longest')
    row(`${sorted.length} at ${watchers} pages`, (readings / seconds).toFixed(1), ...[0.5, 0.99, 1].map(q => `${quantileSorted(sorted, q).toFixed(1)} ms`))
  } finally {
    await application.stop()
    await standIn.close()
  }
}
