import Papa from 'papaparse'
import { expect, it } from 'vitest'
import { MachineQuery } from '#shared/kernel/machine'
import { serverBench } from '../../../tests/support/server-bench'
import { machinesAsCsv } from './list-csv'

const on = serverBench()

async function csvOf(query: object) {
  let text = ''
  for await (const piece of machinesAsCsv(on.db, MachineQuery.parse(query), on.now.toISOString())) text += piece
  expect(text.startsWith('\uFEFF')).toBe(true)
  return Papa.parse<Record<string, string>>(text.slice(1), { header: true, skipEmptyLines: true })
}

it('writes what the list shows, in its order, whatever was typed into it', async () => {
  const [first, second] = [on.bookIn({ nickname: 'Quay, "upper"\nlamp' }), on.bookIn({ nickname: '=HYPERLINK("x")', place: 'Buoy shed 4' })]
  on.perform(first, 'move-to-stage', { stage: 'look' })
  const { data, errors } = await csvOf({})
  expect(errors).toEqual([])
  expect(data.map(row => row.Tag)).toEqual([second, first])
  // A spreadsheet would carry out a cell that begins so (OWASP, CSV injection); a quote before it keeps it text.
  expect(data[0]).toMatchObject({
    'Nickname': `'=HYPERLINK("x")`,
    'Place': 'Buoy shed 4',
    'Stage': 'Arrive',
    'Gate': 'Not yet assessed',
    'On the bench': 'yes',
  })
  expect(data[1]!.Nickname).toBe('Quay, "upper"\nlamp')
  expect((await csvOf({ stage: 'look' })).data.map(row => row.Tag)).toEqual([first])
  expect((await csvOf({ find: 'nowhere' })).data).toEqual([])
})

it('writes every machine once, over several slices', async () => {
  const tags = Array.from({ length: 205 }, () => on.bookIn())
  expect((await csvOf({})).data.map(row => row.Tag).sort()).toEqual(tags.sort())
})
