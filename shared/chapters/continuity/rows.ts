import { optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** What a board goes by; its pins and nets are a file's. */
export const Board = row({ name: text('Board', 60), issue: optionalText('Issue', 40) })
