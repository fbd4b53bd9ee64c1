import type { ViewOf } from '#shared/chapters/index'

/** Lists to choose from, as fields take them. */
export interface Choice<V> {
  value: V
  label: string
}

/** A table of names as choices, in its own order. */
export const choicesOf = <K extends string>(names: Record<K, string>): Choice<K>[] => (Object.keys(names) as K[]).map(value => ({ value, label: names[value] }))

/** A table of rows with titles as choices, in its own order. */
export const titlesOf = <K extends string>(table: Record<K, { title: string }>): Choice<K>[] =>
  (Object.keys(table) as K[]).map(value => ({ value, label: table[value].title }))

/** The assemblies of a machine, and the machine itself. */
export const assemblyChoices = ({ assemblies }: Pick<ViewOf<'look'>, 'assemblies'>): Choice<number | null>[] => [
  { value: null, label: 'The machine as a whole' },
  ...assemblies.map(a => ({ value: a.id, label: a.name })),
]

/** The photographs of a machine, or none. */
export const photographChoices = ({ photographs }: Pick<ViewOf<'look'>, 'photographs'>): Choice<number | null>[] => [
  { value: null, label: 'No photograph' },
  ...photographs.map(p => ({ value: p.id, label: [p.assembly, p.caption || p.name].filter(Boolean).join(': ') })),
]
