import { expect, it } from 'vitest'
import { readLotRow } from './lot'

const modelOf = (name: string) => (name.toLowerCase() === 'gannet' ? 7 : null)
const common = { acquired: 'Found', fromWhom: 'the ferry terminal' }

it('a row becomes a request, with what is the same for all where its own cell is empty', () => {
  const { request, problems } = readLotRow(
    { name: 'gannet', weightKg: '9,5', claims: 'untested; sold the last ticket', accessories: ' ', fromWhom: '' },
    common,
    modelOf,
  )
  expect(problems).toEqual([])
  expect(request).toMatchObject({
    name: 'gannet',
    modelId: 7,
    weightKg: 9.5,
    acquired: 'found',
    fromWhom: 'the ferry terminal',
    claims: ['untested', 'sold the last ticket'],
    accessories: [],
  })
  expect(readLotRow({ name: 'Gannet', fromWhom: 'a pilot' }, common, modelOf).request?.fromWhom).toBe('a pilot')
})

it.each([
  ['Donated', 'given'],
  ['on loan', 'lent'],
  ['for repair only', 'for-repair'],
  ['Purchased', 'bought'],
])('%s is how it came: %s', (words, acquired) => {
  expect(readLotRow({ name: 'Gannet', acquired: words, owner: 'a trust' }, common, modelOf).request?.acquired).toBe(acquired)
})

it('what is wrong is said at its cell', () => {
  const { request, problems } = readLotRow({ weightKg: 'heavy', acquired: 'lent' }, { fromWhom: '' }, modelOf)
  expect(request).toBeNull()
  expect(problems.map(p => p.field).sort()).toEqual(['fromWhom', 'name', 'weightKg'])
  expect(readLotRow({ name: 'Gannet', acquired: 'lent', fromWhom: 'x' }, {}, modelOf).problems).toMatchObject([{ field: 'owner' }])
  expect(readLotRow({ name: 'Gannet', acquired: 'by magic', fromWhom: 'x' }, {}, modelOf).problems).toMatchObject([{ field: 'acquired' }])
})
