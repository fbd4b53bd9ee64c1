import { expect, it } from 'vitest'
import { commands } from '#shared/chapters/index'
import { MachineNarrowing } from '#shared/kernel/machine'
import { serverBench } from '../../../tests/support/server-bench'
import { keptListsOf, listCounts } from './list-counts'
import { passageOf } from '../../kernel/settling/search'

const on = serverBench()
const counts = (query: object = {}) => listCounts(on.db, MachineNarrowing.parse(query), on.now.toISOString())

it('every narrowing leaves as many as it says, under everything else that is asked', async () => {
  const shed = on.bookIn({ nickname: 'Skua', place: 'Shed' })
  on.bookIn({ nickname: 'Tern', place: 'Loft', acquired: 'found', fromWhom: '' })
  on.bookIn({ nickname: 'Gull', place: 'Loft' })
  on.perform(shed, 'put-on-bench', { onBench: false })
  on.perform(shed, 'start-wait', { what: 'drying', until: '2026-03-04T19:00:00.000Z' })
  const all = await counts()
  expect(all).toMatchObject({ bench: { on: 2, off: 1 }, acquired: { given: 2, found: 1 }, waiting: 1, gate: { 'not-yet-assessed': 2, 'keep-off': 1 } })
  expect(all.place).toEqual([
    { value: 'Loft', machines: 2 },
    { value: 'Shed', machines: 1 },
  ])
  for (const { value, machines } of all.place) expect(on.list({ place: value })).toHaveLength(machines)
  // Its own narrowing is left out, so that another place can be chosen; every other holds.
  expect((await counts({ place: 'Shed' })).place).toHaveLength(2)
  expect((await counts({ place: 'Shed' })).bench).toEqual({ off: 1 })
  expect((await counts({ find: 'tern' })).place).toEqual([{ value: 'Loft', machines: 1 }])
  expect(on.list({ waiting: 'yes' }).map(m => m.nickname)).toEqual(['Skua'])
  expect(on.list({ waiting: 'over' })).toEqual([])
  expect(on.list({ find: 'loft' }).map(m => m.found)).toEqual([expect.stringContaining('‹Loft›'), expect.stringContaining('‹Loft›')])
  expect(on.list({ person: on.ilka.id })).toHaveLength(3)
  expect(on.list({ olderThan: 1 })).toEqual([])
  on.now = new Date('2026-03-05T19:00:00Z')
  expect(on.list({ olderThan: 1, waiting: 'over' }).map(m => m.nickname)).toEqual(['Skua'])
})

it('a list is kept under a name for everybody, replaced under the same name, and dropped', () => {
  on.bookIn({ place: 'Shed' })
  const keep = (name: string, query: object) => on.collection('keep-list', commands['keep-list'].parse({ name, query })) as { listId: number }
  const { listId } = keep('Shed', { place: 'Loft', find: '' })
  expect(keep('Shed', { place: 'Shed' }).listId).toBe(listId)
  expect(keptListsOf(on.db, on.now.toISOString())).toEqual([
    { id: listId, name: 'Shed', query: { place: 'Shed' }, by: on.ilka.name, machines: 1, atLeast: false },
  ])
  on.collection('drop-list', { listId })
  expect(() => on.collection('drop-list', { listId })).toThrow('no such list')
})

it('says where what was looked for stands: most words first, without case and accents, the rest cut off', () => {
  expect(passageOf(['no hum', 'It is ONLY a Fuse'], 'fuse only')).toBe('It is ‹ONLY› a ‹Fuse›')
  expect(passageOf(['Café du port'], 'cafe')).toBe('‹Café› du port')
  const long = `${'salt '.repeat(40)}fuse ${'air '.repeat(40)}`
  expect(passageOf([long], 'fus')).toMatch(/^…(salt )+‹fuse› (air )+.*…$/)
  expect(passageOf(['nothing'], 'fuse')).toBe('')
})

it('a machine is found by the number on its tag alone, first of all, and by whose it is', () => {
  const tags = Array.from({ length: 12 }, (_, i) => on.bookIn({ nickname: i === 3 ? '1 of a pair' : '', owner: i === 5 ? 'Harbour board' : 'the museum' }))
  const number = Number(/\d+$/.exec(tags[0]!)![0])
  expect(on.list({ find: String(number) })[0]!.tag).toBe(tags[0])
  expect(on.list({ find: String(number).padStart(3, '0') })[0]!.tag).toBe(tags[0])
  expect(on.list({ find: String(number + 10) })[0]!.tag).toBe(tags[10])
  expect(on.list({ find: 'harbour' }).map(m => m.tag)).toEqual([tags[5]])
})
