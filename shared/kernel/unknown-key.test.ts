import { expect, it } from 'vitest'
import { readCommandInput } from '../chapters/index'

const supply = {
  name: 'S-09',
  place: '',
  label: { voltageV: '9', kind: 'dc', polarity: null, currentA: '', regulated: null, unloadedV: '', outerMm: '5.5', innerMm: ' ' },
}

it('a form with its empty fields is read, and what the contract does not know is refused at its place', () => {
  expect(readCommandInput('add-supply', supply)).toMatchObject({ name: 'S-09', label: { voltageV: 9, kind: 'dc', outerMm: 5.5 } })
  expect(() => readCommandInput('add-supply', { ...supply, colour: 'grey' })).toThrow('“colour” is nothing that can be said here')
  expect(() => readCommandInput('add-supply', { ...supply, label: { ...supply.label, volts: 9 } })).toThrow(expect.objectContaining({ field: 'label.volts' }))
})

it('lines that were left empty are left out, and refuse nothing', () => {
  const line = (voltageV: string) => ({ feeds: '+5 V', voltageV, limitA: '0.5', polarityChecked: true })
  const input = readCommandInput('set-configuration', { version: 1, kind: 'bench-supply', out: [], bench: [line(''), line('5')] })
  expect(input.bench).toEqual([{ feeds: '+5 V', voltageV: 5, limitA: 0.5, polarityChecked: true }])
})
