import { z } from 'zod'
import type { SettingBeside, SettingKind } from '#core/identify/settings/settings'
import { word } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'

const s = z.string()
const n = z.number()

export const view = z.object({
  setup: z.object({
    settings: z.array(
      z.object({
        id: n,
        version: n,
        assembly: s,
        name: s,
        kind: word<SettingKind>(),
        before: s,
        beforeReading: s,
        /** The hash of the photograph that shows how it stood. */
        photograph: s.nullable(),
        pictured: z.boolean(),
        now: s.nullable(),
        nowReading: s,
        turns: n.nullable(),
        why: s,
        changedAt: s.nullable(),
        /** What it takes to put it back; empty while it stands as it was found. */
        back: s,
      }),
    ),
    photographs: z.array(z.object({ id: n, says: s })),
    findings: z.array(Finding),
    sisters: z.array(z.object({ tag: s, nickname: s, variant: s, places: z.array(z.custom<SettingBeside>()) })),
  }),
})
