import ipp from 'ipp'
import { expect, it } from 'vitest'
import { seeded } from '#core/kernel/random'
import { UnreadableAnswer, readIppAnswer } from './ipp-answer'

const told = ipp.serialize({
  'statusCode': 'successful-ok',
  'version': '2.0',
  'id': 7,
  'operation-attributes-tag': { 'attributes-charset': 'utf-8', 'attributes-natural-language': 'en', 'status-message': 'café' },
  'printer-attributes-tag': {
    'printer-name': 'Stand-in',
    'printer-state': 'stopped',
    'printer-is-accepting-jobs': false,
    'printer-state-reasons': ['media-empty', 'door-open'],
    'media-col-default': { 'media-size': { 'x-dimension': 10500, 'y-dimension': 14800 } },
    'queued-job-count': 3,
  },
})

it('reads what a writer of another hand wrote: values in rows, figures, collections passed over', () => {
  const { statusCode, printer, operation } = readIppAnswer(told)
  expect(statusCode).toBe(0)
  expect(operation.get('status-message')).toEqual(['café'])
  expect(Object.fromEntries(printer)).toEqual({
    'printer-name': ['Stand-in'],
    'printer-state': [5],
    'printer-is-accepting-jobs': [false],
    'printer-state-reasons': ['media-empty', 'door-open'],
    'queued-job-count': [3],
  })
})

const head = [2, 0, 0, 0, 0, 0, 0, 1]
it.each([
  ['a name of less than nothing', [...head, 4, 0x44, 0xff, 0xfb]],
  ['a value of less than nothing', [...head, 4, 0x44, 0, 1, 0x61, 0x80, 0]],
  ['a name longer than the answer', [...head, 4, 0x44, 0x7f, 0xff, 0x61]],
  ['nothing', []],
  ['half a head', head.slice(0, 5)],
])('%s is told, and does not hold anybody up', (_, bytes) => {
  expect(() => readIppAnswer(Buffer.from(bytes))).toThrow(UnreadableAnswer)
})

it('whatever bytes come, it ends: an answer, or what is wrong with it', () => {
  const random = seeded(5)
  for (let n = 0; n < 20_000; n++) {
    const bytes = Buffer.from(told)
    for (let k = 0; k < 1 + random() * 6; k++) bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256)
    try {
      readIppAnswer(random() < 0.3 ? bytes.subarray(0, random() * bytes.length) : bytes)
    } catch (error) {
      expect(error).toBeInstanceOf(UnreadableAnswer)
    }
  }
})
