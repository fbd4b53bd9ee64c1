import { z } from 'zod'
import { counted } from '#core/kernel/figure'
import { type SettingKind, settingKinds } from '#core/identify/settings/settings'
import { closed, ending, entry, shown } from '../../kernel/contract'
import { word } from '../../kernel/fields'

const s = z.string()
const n = z.number()
const on = { assembly: s, name: s }
const reads = (text: string) => (text ? `; it reads ${text}` : '')

export const entries = {
  'settings.noted': entry(
    z.object({ assembly: s, names: z.array(s), pictured: z.boolean() }),
    d => `${counted(d.names.length, 'setting')} of ${d.assembly} noted as found${d.pictured ? ', on a photograph' : ''}: ${d.names.join(', ')}.`,
    shown,
  ),
  'setting.described': entry(
    z.object({ ...on, kind: word<SettingKind>(), before: s, reading: s }),
    d => `${d.assembly} ${d.name}, ${settingKinds[d.kind].toLowerCase()}, as found: ${d.before || 'as its photograph shows'}${reads(d.reading)}.`,
    shown,
  ),
  'setting.changed': entry(
    z.object({ ...on, from: s, to: s, turns: n.nullable(), reading: s, why: s }),
    d =>
      `${d.assembly} ${d.name} changed from ${d.from} to ${d.to}${d.turns ? `, ${Math.abs(d.turns)} ${Math.abs(d.turns) === 1 ? 'turn' : 'turns'} ${d.turns > 0 ? 'clockwise' : 'anticlockwise'}` : ''}${reads(d.reading)}. ${ending(d.why)}`,
    shown,
    d => [d.why],
  ),
  'setting.back': entry(z.object({ ...on, to: s, reading: s }), d => `${d.assembly} ${d.name} put back: ${d.to}${reads(d.reading)}.`, shown),
  'setting.dropped': entry(
    z.object({ ...on, reason: s }),
    d => `${d.assembly} ${d.name} taken off the settings: ${ending(d.reason)}`,
    closed,
    d => [d.reason],
  ),
} as const
