import { v7 as uuidv7 } from 'uuid'
import { expect, it } from 'vitest'
import { type MachineCommandName, readCommandInput } from '#shared/chapters/index'
import { serverBench } from '../../tests/support/server-bench'
import { performOnMachine } from './perform'

const on = serverBench()
const minute = 60_000
/** Sent now, after it could not be for so long. */
const later = (tag: string, name: MachineCommandName, input: object, waitedMs: number) =>
  performOnMachine(on.bench, on.ilka, tag, name, readCommandInput(name, input as never) as never, { id: uuidv7(), waitedMs })
const fault = { symptom: 'Clicks once', stopsMachine: false }
const lastOf = (tag: string) => on.sheet(tag).history[0]!
const after = (ms: number) => (on.now = new Date(on.now.getTime() + ms))

it('what waited is kept as of when it was said, and announced as of now', () => {
  const tag = on.bookIn()
  after(60 * minute)
  const { change } = later(tag, 'report-fault', fault, 25 * minute)
  expect(lastOf(tag)).toMatchObject({ kind: 'fault.reported', at: '2026-03-03T19:35:00.000Z' })
  expect(change!.at).toBe('2026-03-03T20:00:00.000Z')
})

it('not before what was written about the machine meanwhile; other machines do not matter', () => {
  const tag = on.bookIn()
  after(40 * minute)
  on.perform(tag, 'add-claim', { says: 'It worked when it was put away' } as never)
  after(10 * minute)
  on.bookIn()
  after(10 * minute)
  later(tag, 'report-fault', fault, 55 * minute)
  expect(lastOf(tag)).toMatchObject({ kind: 'fault.reported', at: '2026-03-03T19:40:00.000Z' })
})

it('what may not wait, and what would have waited longer than anything does, is of now', () => {
  const tag = on.bookIn()
  after(60 * 24 * 20 * minute)
  later(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }] }, 30 * minute)
  expect(lastOf(tag).at).toBe(on.now.toISOString())
  later(tag, 'report-fault', fault, 60 * 24 * 15 * minute)
  expect(lastOf(tag)).toMatchObject({ kind: 'fault.reported', at: on.now.toISOString() })
})
