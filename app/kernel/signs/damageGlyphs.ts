import type { DamageKind } from '#core/condition/damage'

/** One glyph a kind of damage, drawn by us as a line for 16 px and one colour. */
export const damageGlyphs: Record<DamageKind, string> = {
  'crust': 'M1 13.500h14M2 13.500c0-4 2-4.500 3-3.500 0-4 5-5 6-1 2-1 3.500 1 3 4.500M6.500 11h.1M9.500 10.500h.1M11.500 12h.1M8 8h.1',
  'rust': 'M8 2c3 4 4 6 4 8a4 4 0 0 1-8 0c0-2 1-4 4-8M6.500 10.500h.1M9.500 9h.1M8.500 12h.1',
  'tide-line': 'M1 6c2-2 3.500-2 5 0s3 2 5 0 3-1.500 4-.5M2 10h12M4 13h8',
  'crack': 'M9 1 6 6l4 2-5 3 2 4',
  'bulge': 'M4 14V7c0-5 8-5 8 0v7zM4 9h8',
  'burn': 'M8 15c-4 0-5-4-3-7 0 2 1 2 1.500 1C6 6 8 4 8 1c3 3 5 6 4 9 0 3-1.500 5-4 5',
  'break': 'M1 8h5l-1-3M15 8h-5l1 3M8 2v3M8 11v3',
  'missing': 'M3 3h3M10 3h3v3M13 10v3h-3M6 13H3v-3M3 6V3',
  'altered': 'M2 12 10 4l2 2-8 8H2zM11 3l2 2',
  'growth': 'M8 15V6M8 10C4 10 3 8 3 5c4 0 5 2 5 5M8 8c3 0 5-2 5-5-3 0-5 2-5 5',
  'wear': 'M2 4h12M2 8h8M2 12h4M12 8h2M9 12h1M13 12h1',
  'stain': 'M5 3c4-2 9 1 8 5s1 5-4 6-8-2-7-6c.500-2 1-4 3-5M10 11h.1M7 7h.1',
}
