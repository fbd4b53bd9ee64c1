import { expect, it } from 'vitest'
import { compareKit, isMedia } from './kit'

it('finds what came, in whatever words', () => {
  const came = ['Mains lead, plug cut off', 'Two manuals', 'external SUPPLY']
  expect(compareKit(['External supply', 'Mains lead', 'Manual', 'Cassette lead'], came)).toEqual([
    { name: 'External supply', came: true },
    { name: 'Mains lead', came: true },
    { name: 'Manual', came: true },
    { name: 'Cassette lead', came: false },
  ])
  expect(compareKit(['Mains lead'], ['Cassette lead'])).toEqual([{ name: 'Mains lead', came: false }])
  expect(compareKit([], came)).toEqual([])
})

it.each([
  ['Two cassettes', true],
  ['Paper tape, two boxes', true],
  ['Cassette lead', false],
  ['Disk drive', false],
  ['Mains lead', false],
])('%s is recorded media: %s', (name, media) => {
  expect(isMedia(name)).toBe(media)
})
