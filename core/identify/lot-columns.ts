import { bare } from './look-alike'

/** What a row of a job lot can say about a machine, and the headings people write over it. */
export const lotFields = {
  name: { title: 'Model or description', needed: true, headings: ['model', 'description', 'machine', 'item', 'name', 'what', 'computer', 'type'] },
  maker: { title: 'Maker', needed: false, headings: ['maker', 'make', 'manufacturer', 'brand'] },
  nickname: { title: 'Nickname', needed: false, headings: ['nickname', 'called', 'alias'] },
  serial: { title: 'Serial number', needed: false, headings: ['serial', 'serialnumber', 'serialno', 'sn', 'number'] },
  weightKg: { title: 'Weight in kg', needed: false, headings: ['weight', 'weightkg', 'kg', 'mass'] },
  place: { title: 'Location', needed: false, headings: ['place', 'where', 'location', 'shelf', 'stands'] },
  acquired: { title: 'How it came', needed: false, headings: ['howitcame', 'acquired', 'acquisition', 'how'] },
  fromWhom: { title: 'From whom', needed: true, headings: ['fromwhom', 'from', 'donor', 'source', 'giver', 'seller'] },
  owner: { title: 'Whose it is', needed: false, headings: ['owner', 'whoseitis', 'belongsto', 'property'] },
  lastPowered: { title: 'Last powered', needed: false, headings: ['lastpowered', 'lastran', 'lastused', 'powered'] },
  claims: { title: 'Claims', needed: false, headings: ['claim', 'claims', 'condition', 'state', 'notes', 'remarks', 'comment', 'comments'] },
  accessories: { title: 'What came with it', needed: false, headings: ['camewithit', 'accessories', 'with', 'includes', 'extras', 'complete'] },
} as const
export type LotField = keyof typeof lotFields

/**
 * Which column of a table holds what, guessed from its heading; each field once, the first fitting column wins.
 * @returns one entry a column, nothing where no heading fits
 */
export function guessColumns(headings: readonly string[]): (LotField | null)[] {
  const taken = new Set<LotField>()
  const take = (fits: (field: LotField, heading: string) => boolean, heading: string) => {
    const field = (Object.keys(lotFields) as LotField[]).find(f => !taken.has(f) && fits(f, heading))
    if (field) taken.add(field)
    return field ?? null
  }
  const exact = headings.map(h =>
    take((f, heading) => bare(lotFields[f].title) === heading || (lotFields[f].headings as readonly string[]).includes(heading), bare(h)),
  )
  return headings.map((h, i) => exact[i] ?? take((f, heading) => lotFields[f].headings.some(known => known.length > 3 && heading.includes(known)), bare(h)))
}
