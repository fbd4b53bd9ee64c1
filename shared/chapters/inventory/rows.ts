import { z } from 'zod'
import { mountings, socketNeeds } from '#core/identify/inventory/read-inventory'
import { howMany, keysOf, oneOf, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** A line of an inventory: like parts that begin at a place of an assembly, or an empty socket; as typed, or as it is kept. */
export const InventoryRow = row({
  assembly: text('On which assembly', 80),
  place: text('Place', 12),
  count: howMany,
  marking: optionalText('What is printed on it', 60),
  organisation: optionalText('Words and bits', 20),
  mounting: oneOf(keysOf(mountings), 'How it sits').default('not-known'),
  need: oneOf(keysOf(socketNeeds), 'Whether an empty one matters').default('not-known'),
  label: optionalText('What its label says', 80),
  dateCode: optionalText('Date code', 20),
  unused: z.boolean().default(false),
  note: optionalText('Note', 200),
})
