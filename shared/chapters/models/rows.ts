import { z } from 'zod'
import { sizesIn } from '#core/identify/inventory/judge-inventory'
import { readSocket } from '#core/identify/inventory/sockets'
import { optionalBounded, optionalQuantity, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'
import { ExpectedRails } from '../../kernel/shapes'
import { InletTyped } from '../supplies/index'

/** What is known of a model. */
export const Model = row({
  maker: text('Maker', 80),
  name: text('Model', 80),
  about: optionalText('About it', 1000),
  variants: z.array(text('Board issue or variant', 160)).max(30, 'Thirty at most.'),
  usualKit: z.array(text('Usual kit', 80)).max(40, 'Forty at most.'),
  assemblies: z.array(text('Assembly', 60)).max(60, 'Sixty at most.'),
  knownFaults: z.array(text('Known fault', 300)).max(60, 'Sixty at most.'),
  wearParts: z.array(text('What wears out', 80)).max(30, 'Thirty at most.').default([]),
  memorySizes: z
    .array(text('Memory it was sold with', 30).refine(line => sizesIn(line).length > 0, { message: 'Memory it was sold with: a size a line, such as 48 KB.' }))
    .max(12, 'Twelve at most.')
    .default([]),
  sockets: z
    .array(text('Sockets', 120).refine(line => readSocket(line) !== null, { message: 'Sockets: such as U12 needed: character ROM, or U13 optional.' }))
    .max(100, 'A hundred at most.')
    .default([]),
  rails: ExpectedRails,
  inlet: InletTyped.nullable().default(null),
  weightKg: optionalQuantity('kg', 'Weight', { above: 0, upTo: 2000 }),
  madeFrom: optionalBounded('Made from', { above: 1900, upTo: 2100 }),
  madeTo: optionalBounded('Made to', { above: 1900, upTo: 2100 }),
})
