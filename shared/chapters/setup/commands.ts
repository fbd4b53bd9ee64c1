import { z } from 'zod'
import { command } from '../../kernel/contract'
import { id, optionalBounded, optionalText, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'
import { settingKind } from './rows'

const one = { settingId: id, version }

export const onMachine = {
  /** How things stood when they were found, a line each; a photograph can be the record. */
  'note-settings': command(
    atTheBench,
    z.object({ assembly: text('On which assembly', 80), typed: text('How they stand', 20_000), photographId: id.nullable().default(null) }),
  ),
  /** What is said of one that nobody has changed yet: its kind, how it stood, and what was read at it. */
  'describe-setting': command(
    atTheBench,
    z.object({ ...one, kind: settingKind, before: optionalText('How it stood', 120), beforeReading: optionalText('What was read at it', 80) }),
  ),
  'change-setting': command(
    atTheBench,
    z.object({
      ...one,
      to: text('How it stands now', 120),
      turns: optionalBounded('Turns clockwise', { from: -100, upTo: 100 }),
      reading: optionalText('What is read at it now', 80),
      why: text('Why', 200),
    }),
    { asks: 'repair' },
  ),
  'put-back-setting': command(atTheBench, z.object({ ...one, reading: optionalText('What is read at it now', 80) })),
  'drop-setting': command(atTheBench, z.object({ ...one, reason: text('Why', 200) })),
} as const
