import { checkPins } from '#core/continuity/board'
import { pinOf } from '#shared/chapters/continuity/index'
import type { CommandInput } from '#shared/chapters/index'
import { preparation } from '../../kernel/turns/preparation'

/** What is kept of the pins of a board. */
interface BoardPins {
  /** The rows as JSON, as they are kept. */
  rows: string
  pins: number
  nets: number
}

/** Checks the pins of a board; thirty thousand take longer than anybody should wait for. @throws InputError */
export const prepareBoard = preparation<CommandInput<'add-board'>, BoardPins>(input => {
  const pins = input.rows.map(pinOf)
  checkPins(pins, 'rows')
  return { ...input, rows: [], prepared: { rows: JSON.stringify(input.rows), pins: pins.length, nets: new Set(pins.map(p => p.net)).size } }
})
