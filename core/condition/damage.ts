/** The twelve kinds of damage a machine is looked over for. */
export const damageKinds = {
  'crust': 'Crust',
  'rust': 'Rust',
  'tide-line': 'Tide line',
  'crack': 'Crack',
  'bulge': 'Bulge',
  'burn': 'Burn',
  'break': 'Break',
  'missing': 'Missing',
  'altered': 'Altered',
  'growth': 'Growth',
  'wear': 'Wear',
  'stain': 'Stain',
} as const
export type DamageKind = keyof typeof damageKinds

/** What may be left as patina: it is only seen, and does no harm by waiting. Common practice, no source. */
export const mayStay = (kind: DamageKind): boolean => kind === 'stain' || kind === 'wear'

export const severities = ['slight', 'clear', 'severe'] as const
export type Severity = (typeof severities)[number]
export const severityNames: Record<Severity, string> = { slight: 'Slight', clear: 'Clear', severe: 'Severe' }
