import { expect, it } from 'vitest'
import { lookAlikes } from './look-alike'
import { guessColumns } from './lot-columns'

const known = ['Petrel 8', 'Petrel 8S', 'Sextant 16', 'Gannet', 'Spindrift']

it.each([
  ['petrel8', 'Petrel 8'],
  ['Petrel-8', 'Petrel 8'],
  ['Pertel 8', 'Petrel 8'],
  ['Sextent 16', 'Sextant 16'],
  ['gannett', 'Gannet'],
  ['Spin Drift', 'Spindrift'],
  ['PETREL 8 S', 'Petrel 8S'],
])('%s is meant to be %s', (typed, meant) => expect(lookAlikes(typed, known)[0]).toBe(meant))

it.each(['Petrel 16', 'Petrel 9', 'Lumen', 'Gannon', 'ab', 'Sextant 8'])('%s is none of them', typed => expect(lookAlikes(typed, known)).toEqual([]))

it('an issue letter makes another model', () => {
  expect(lookAlikes('Petrel 8S', ['Petrel 8'])).toEqual([])
  expect(lookAlikes('Petrel 8', known)).not.toContain('Petrel 8S')
})

it('columns are guessed from the headings people write, each field once', () => {
  expect(guessColumns(['Item', 'Manufacturer', 'Serial No.', 'Weight (kg)', 'Donor', 'Remarks', 'Includes', 'Colour'])).toEqual([
    'name',
    'maker',
    'serial',
    'weightKg',
    'fromWhom',
    'claims',
    'accessories',
    null,
  ])
  expect(guessColumns(['Model', 'Description', 'Notes'])).toEqual(['name', null, 'claims'])
  expect(guessColumns([])).toEqual([])
})
