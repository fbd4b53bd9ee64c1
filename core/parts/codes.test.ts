import { expect, it } from 'vitest'
import { type Coded, codePath, readCode } from './codes'

const uid = '0192f0aa-1111-7abc-8def-0123456789ab'
it.each<Coded>([
  { what: 'machine', tag: 'SH-2026-004' },
  { what: 'part', uid },
  { what: 'place', name: 'Box B, drawer 3/4 “left” & ä' },
])('what is written on a label is read from it: %j', coded => {
  expect(readCode(`http://bench.example:3000${codePath(coded)}`)).toEqual(coded)
  expect(readCode(` https://192.0.2.7${codePath(coded)}?x=1 `)).toEqual(coded)
})

it.each([
  'rubbish',
  '',
  'javascript:alert(1)//m/X',
  'data:text/html,/m/X',
  'https://example.org/',
  'https://example.org/m/',
  'https://example.org/m/X/y',
  'https://example.org/parts/part/12',
  'https://example.org/parts/place/',
  `https://example.org/parts/place/${'x'.repeat(121)}`,
  `https://example.org/m/${'x'.repeat(3000)}`,
  'https://example.org/m/%E0%A4%A',
])('is none of ours: %s', text => expect(readCode(text)).toBeNull())
