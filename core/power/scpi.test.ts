import { expect, it } from 'vitest'
import { isSettled, readAnswer, readIdentity } from './scpi'

// Forms of numbers: IEEE 488.2 NR1, NR2, NR3; 9.9E37 for infinity and 9.91E37 for not a number: SCPI-1999. From memory.
it.each([
  ['5', 5],
  ['-5.09', -5.09],
  ['+4.96000000E+00', 4.96],
  ['.5', 0.5],
  ['5.', 5],
  [' 1.2e-3\r', 0.0012],
])('reads %s', (line, value) => {
  expect(readAnswer(line, 'dc-volts')).toEqual({ kind: 'value', value })
})

it.each(['9.9E37', '-9.90000000E+37'])('%s is beyond what the meter can show', line => expect(readAnswer(line, 'ohms')).toEqual({ kind: 'overload' }))

it.each(['', '9.91E37', '4.9þ7', '5 V', '5,01', '1E', '--5', '4.96,4.97', 'NaN', '0x10', '2500', '5.0E+000'])('“%s” is no reading', line => {
  expect(readAnswer(line, 'dc-volts').kind).toBe('nonsense')
})

it('reads who answers, and takes nothing else for a meter', () => {
  expect(readIdentity('A Maker,Six and a half,0007,1.02-3')).toEqual({ maker: 'A Maker', model: 'Six and a half', serial: '0007', firmware: '1.02-3' })
  for (const line of ['HTTP/1.1 400 Bad Request', '', 'a,b,c', 'a,b,c,d,e', 'a,\u0007,c,d']) expect(() => readIdentity(line)).toThrow(/does not say who it is/)
})

it('two readings that agree stand still', () => {
  expect([isSettled([5], 'dc-volts'), isSettled([4.2, 5], 'dc-volts'), isSettled([5, 5.01], 'dc-volts')]).toEqual([false, false, true])
})
