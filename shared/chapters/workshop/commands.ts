import { z } from 'zod'
import { command } from '../../kernel/contract'
import { bounded, id, instant, optionalText, quantity, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { Material, Thing, roomL, warmth } from './rows'

const amount = (what: string) => bounded(what, { above: 0, upTo: 1_000_000 })
/** What was used of the shelf; nothing where no material was chosen. */
export const Used = z.object({ materialId: id, amount: amount('Used') })

export const onMachine = {
  'book-thing': command(
    atTheBench,
    z.object({
      thingId: id,
      what: text('What goes in', 80),
      from: instant('From'),
      hours: quantity('h', 'Hours', { above: 0, upTo: 24 * 60 }),
      roomL,
      minC: warmth('Not cooler than, °C'),
      maxC: warmth('Not warmer than, °C'),
      bath: optionalText('Bath', 80),
    }),
  ),
  /** It is out, or the place is given back before it began. */
  'end-booking': command(atTheBench, z.object({ bookingId: id })),
  'use-material': command(atTheBench, z.object({ ...Used.shape, what: text('For what', 120) })),
} as const

export const onCollection = {
  'add-thing': command(atTheBench, z.object(Thing.typed)),
  'change-thing': command(atTheBench, z.object({ thingId: id, version, ...Thing.typed, active: z.boolean() })),
  'add-material': command(atTheBench, z.object(Material.typed)),
  'change-material': command(atTheBench, z.object({ materialId: id, version, ...Material.typed, active: z.boolean() })),
} as const
