import { counted } from '../../kernel/figure'
import { type Finding, commonPractice, finding } from '../../kernel/finding'
import { InputError } from '../../kernel/input-error'
import { byName } from '../../kernel/places'

/** What can be set on a machine, and is written down before it is changed. */
export const settingKinds = {
  jumper: 'Jumper',
  switch: 'Switch',
  trimmer: 'Trimmer',
  coil: 'Coil',
  drive: 'Drive select or termination',
  page: 'Set-up or start-up page',
  other: 'Something else',
} as const
export type SettingKind = keyof typeof settingKinds

/** Set by turning: the way back is so many turns, and never quite the same. */
export const isTurned = (kind: SettingKind): boolean => kind === 'trimmer' || kind === 'coil'

/** By what boards call them. Common practice, no source. */
const guesses: readonly (readonly [RegExp, SettingKind])[] = [
  [/term|drive sel|\bDS\d/i, 'drive'],
  [/page|set-?up|menu|screen/i, 'page'],
  [/coil|slug|core|^L\d|^T\d/i, 'coil'],
  [/trim|pot\b|^(VR|RV|TR|R|P|VC|TC)\d/i, 'trimmer'],
  [/switch|dip|^(SW|S|DS)\d/i, 'switch'],
  [/jumper|link|strap|bridge|^(JP|J|W|LK|E|K)\d/i, 'jumper'],
]
export const guessedKind = (name: string): SettingKind => guesses.find(([shape]) => shape.test(name))?.[1] ?? 'other'

export interface SettingLine {
  name: string
  kind: SettingKind
  stands: string
}
export const mostSettings = 200
/**
 * Settings as they are read off a board, a line each: `JP1: 1-2`, `SW1 = 1 on, 2 off`, `VR2: slot at two o’clock`.
 * @param pictured a photograph shows them: then a name alone will do
 * @throws InputError at `typed`
 */
export function readSettings(text: string, pictured: boolean): SettingLine[] {
  const lines = text
    .split(/\r?\n/)
    .map(line => line.trim())
    .filter(line => line && !line.startsWith('#'))
  if (!lines.length) throw new InputError('typed', text, 'How they stand: a line each, such as JP1: 1-2.')
  if (lines.length > mostSettings) throw new InputError('typed', '', `How they stand: ${mostSettings} lines at most; give them board by board.`)
  const read = lines.map((line, at) => {
    const [name = '', ...rest] = line.split(/\s*[:=]\s*/)
    const stands = rest.join(': ').trim()
    if (!stands && !pictured)
      throw new InputError(
        'typed',
        line,
        `Line ${at + 1}: how it stands is missing. Write it behind a colon, such as JP1: 1-2, or choose a photograph that shows it.`,
      )
    if (!name || name.length > 60 || stands.length > 120)
      throw new InputError('typed', line, `Line ${at + 1}: a name of up to 60 letters, a colon, and how it stands in up to 120.`)
    return { name, kind: guessedKind(name), stands }
  })
  const twice = read.find((one, at) => read.findIndex(other => other.name.toLowerCase() === one.name.toLowerCase()) !== at)
  if (twice) throw new InputError('typed', twice.name, `${twice.name} stands there twice.`)
  return read
}

export interface Setting {
  assembly: string
  name: string
  kind: SettingKind
  /** How it stood when it was found; empty where a photograph alone shows it. */
  before: string
  beforeReading: string
  pictured: boolean
  /** How it stands now; nothing while nobody changed it. */
  now: string | null
  /** Turns since it was found, clockwise; of what is turned. */
  turns: number | null
  changedAt: string | null
}
const asFound = ({ before, pictured }: Setting) => before || (pictured ? 'as its photograph shows' : 'as it was found')

/** The way back: what was changed, in the order in which it is undone, each with what it takes. */
export function wayBack<S extends Setting>(settings: readonly S[]): { setting: S; says: string }[] {
  return settings
    .filter(one => one.now !== null)
    .sort((a, b) => (b.changedAt ?? '').localeCompare(a.changedAt ?? ''))
    .map(setting => {
      const { turns, kind, beforeReading } = setting
      const back =
        isTurned(kind) && turns ? `, ${Math.abs(turns)} ${Math.abs(turns) === 1 ? 'turn' : 'turns'} ${turns > 0 ? 'anticlockwise' : 'clockwise'}` : ''
      return { setting, says: `back to ${asFound(setting)}${back}${beforeReading ? `, until it reads ${beforeReading}` : ''}` }
    })
}

/** What stands against finding the way back. Common practice, no source. */
export function judgeSettings(settings: readonly Setting[]): Finding[] {
  const blind = settings.filter(one => one.now !== null && isTurned(one.kind) && !one.turns && !one.beforeReading)
  const changed = settings.filter(one => one.now !== null)
  return [
    ...(blind.length
      ? [
          finding(
            'care',
            'settings.blind',
            `${blind.map(one => one.name).join(', ')}: turned, with no turns counted and nothing read before.`,
            'Where it stood cannot be found again exactly. Count turns, and read what it sets before and after.',
            commonPractice,
          ),
        ]
      : []),
    ...(changed.length
      ? [
          finding(
            'note',
            'settings.changed',
            `${changed.length} of ${counted(settings.length, 'setting')} ${changed.length === 1 ? 'is' : 'are'} not as found.`,
            changed.map(one => `${one.assembly} ${one.name}: was ${asFound(one)}, is ${one.now}.`),
            commonPractice,
          ),
        ]
      : []),
  ]
}

export interface SettingBeside {
  assembly: string
  name: string
  here: string
  there: string
  differs: boolean
}
/** The settings of two sisters, as they stand now; what differs first. What only one of them has on record tells nothing, and is left out. */
export function compareSettings(here: readonly Setting[], there: readonly Setting[]): SettingBeside[] {
  const key = ({ assembly, name }: Setting) => `${assembly} ${name}`.toLowerCase()
  const now = (one: Setting) => one.now ?? asFound(one)
  const plain = (text: string) => text.toLowerCase().replace(/\s+/g, '')
  const others = new Map(there.map(one => [key(one), one]))
  return here
    .flatMap(one => {
      const other = others.get(key(one))
      return other ? [{ assembly: one.assembly, name: one.name, here: now(one), there: now(other), differs: plain(now(one)) !== plain(now(other)) }] : []
    })
    .sort((a, b) => Number(b.differs) - Number(a.differs) || byName(a.name, b.name))
}
