import { expect, it } from 'vitest'
import { z } from 'zod'
import { bounded, oneOf, optionalText, text } from './fields'
import { row } from './row'

const Shelf = row(
  {
    name: text('Name', 10),
    kind: oneOf(['oak', 'steel'], 'Kind'),
    note: optionalText('Note', 20),
    widthMm: bounded('Width', { above: 0, upTo: 900 }),
    load: z.number().min(0).max(50).nullable(),
    locked: z.boolean().nullable().default(null),
  },
  { locked: null },
)
const kept = { id: 7, version: 3, name: 'Left', kind: 'oak', note: '', widthMm: 800, load: null, locked: true, secretOfTheHouse: 'x' }

it('shows the fields of a row, and nothing that stands beside them', () => {
  expect(Shelf.names).toEqual(['name', 'kind', 'note', 'widthMm', 'load', 'locked'])
  expect(Shelf.of(kept)).toEqual({ name: 'Left', kind: 'oak', note: '', widthMm: 800, load: null, locked: true })
  expect(z.object(Shelf.typed).safeParse({ ...kept, widthMm: 'wide' }).error?.issues[0]?.path).toEqual(['widthMm'])
})

it('reads what was written before a field came, or before its limits, and refuses what is not there', () => {
  const said = z.object(Shelf.said)
  const { locked: _, ...former } = Shelf.of(kept)
  expect(said.parse(former)).toEqual({ ...former, locked: null })
  // Limits hold for typing; what is kept was written under those of its day.
  expect(said.safeParse({ ...former, name: 'A name of more than ten letters', kind: 'pine', load: 400 }).success).toBe(true)
  const { name: __, ...nameless } = former
  expect(said.safeParse(nameless).success).toBe(false)
  expect(said.safeParse({ ...former, load: 'much' }).success).toBe(false)
  expect(said.safeParse({ ...former, widthMm: undefined }).success).toBe(false)
})
