import { type PartKind, type Rule, type Spec, atLeast, atMost, choice, compared, figure, near, noted, say, valueWords } from '../compare'

/** Classes across the line and from it to earth, from the strictest on. Source: IEC 60384-14, from memory. */
const classes: Record<string, { x?: number; y?: number }> = {
  'none': {},
  'x1': { x: 1 },
  'x2': { x: 2 },
  'x3': { x: 3 },
  'y1': { y: 1 },
  'y2': { y: 2 },
  'y4': { y: 4 },
  'x1-y1': { x: 1, y: 1 },
  'x1-y2': { x: 1, y: 2 },
}
const classOf = (part: Spec) => (part.safetyClass === undefined ? undefined : classes[String(part.safetyClass)])
const isSafety = (part: Spec) => Object.keys(classOf(part) ?? {}).length > 0
const polarised = new Set(['electrolytic', 'tantalum', 'polymer'])
/** Whether it has a plus, by what is stated of it; nothing where neither that nor how it is made is. */
export const isPolarised = (part: Spec): boolean | undefined =>
  part.polarity !== undefined ? part.polarity === 'polarised' : part.technology !== undefined ? polarised.has(String(part.technology)) : undefined

/** A capacitor of a safety class is replaced by the same class or a better one, never by one without. Source: IEC 60384-14, from memory. */
const safety: Rule = (wanted, offered, fields) => {
  const asked = classOf(wanted)
  if (!asked)
    return say('safetyClass', 'not-known', 'Safety class: what is wanted does not state it; where the mains comes near, only a part of a class belongs.')
  if (!isSafety(wanted)) return say('safetyClass', 'fits', 'Safety class: none is wanted.')
  const has = classOf(offered)
  const named = valueWords(fields, 'safetyClass', wanted.safetyClass)
  if (!has) return say('safetyClass', 'not-known', `Safety class: not stated of this one, and ${named} is wanted.`)
  const letters = Object.keys(asked) as ('x' | 'y')[]
  const here = valueWords(fields, 'safetyClass', offered.safetyClass)
  if (letters.every(letter => has[letter] !== undefined && has[letter] <= asked[letter]!))
    return say('safetyClass', 'fits', `Safety class: ${here} for ${named}, the same or a better one.`)
  // One from line to earth is made for more than one across the line, but its rating across the line is in its data alone.
  if (letters.join() === 'x' && has.y !== undefined && has.x === undefined)
    return say('safetyClass', 'not-known', `Safety class: ${here} where ${named} is wanted; whether it may stand across the line is in its data.`)
  return say('safetyClass', 'does-not', `Safety class: ${here} where ${named} is wanted; the same or a better one, never another.`)
}

/** So far off, it is still the same value. Common practice, no source. */
const usualTolerancePct = 10
/** By what a value may be off, from a share to a share, and what it is then. Common practice, no source. */
const reservoir = [
  [0.8, 1.25, 'fits', ''],
  [1.25, 2.2, 'note', '; more of it draws more at the moment of switching on'],
  [0.5, 0.8, 'first-start', '; less of it leaves more ripple'],
] as const
const acrossLine = [
  [0.8, 1.2, 'fits', ''],
  [0.5, 0.8, 'note', '; it filters less'],
  [1.2, 1.5, 'note', '; it stays charged longer after the plug is pulled'],
] as const
/** What flows to earth grows with the value: more is never put in. */
const toEarth = [
  [0.8, 1.2, 'fits', ''],
  [0.5, 0.8, 'note', '; it filters less'],
] as const

const capacitance: Rule = (wanted, offered, fields) => {
  const [asked, has] = [wanted.capacitanceF, offered.capacitanceF] as (number | undefined)[]
  if (asked === undefined) return say('capacitanceF', 'not-known', 'Capacitance: what is wanted does not state it.')
  if (has === undefined) return say('capacitanceF', 'not-known', 'Capacitance: not stated of this one.')
  const [here, there] = [has, asked].map(value => valueWords(fields, 'capacitanceF', value))
  const share = has / asked
  const told = (verdict: 'fits' | 'note' | 'first-start' | 'not-known' | 'does-not', why = '') =>
    say('capacitanceF', verdict, share === 1 ? `Capacitance: ${here}, as wanted.` : `Capacitance: ${here} where ${there} is wanted${why}.`)
  const bands = classOf(wanted)?.y ? toEarth : isSafety(wanted) ? acrossLine : isPolarised(wanted) ? reservoir : undefined
  if (bands) {
    const band = bands.find(([from, to]) => share >= from * (1 - 1e-9) && share <= to * (1 + 1e-9))
    return band ? told(band[2], band[3]) : told('does-not', classOf(wanted)?.y && share > 1 ? '; more of it carries more current to earth' : '')
  }
  const off = Math.abs(share - 1) * 100
  const allowed = wanted.tolerancePct as number | undefined
  if (off <= (allowed ?? usualTolerancePct / 2) * (1 + 1e-9)) return told('fits')
  return allowed === undefined && off <= usualTolerancePct * 2 ? told('not-known', '; whether it sets a time or a tone is not stated') : told('does-not')
}

/** A rating for DC says nothing of AC; the other way round, the peak is borne as well. */
const voltage: Rule = (wanted, offered, fields) => {
  const alternating = wanted.ratedFor === 'ac' || isSafety(wanted)
  if (alternating && !isSafety(offered)) {
    if (offered.ratedFor === undefined) return say('ratedFor', 'not-known', 'Rated for: not stated of this one, and a voltage that alternates is on it.')
    if (offered.ratedFor !== 'ac') return say('ratedFor', 'does-not', 'Rated for: a voltage for DC says nothing of AC.')
  }
  return atLeast('voltageV')(wanted, offered, fields)
}

/** What is put for what, where it is not the same. Common practice, no source. */
const technology: Rule = (wanted, offered, fields) => {
  const [asked, has] = [wanted.technology, offered.technology] as (string | undefined)[]
  if (has === undefined) return say('technology', 'not-known', 'Made as: not stated of this one.')
  if (asked === undefined || asked === has)
    return asked === has ? say('technology', 'fits', `Made as: ${valueWords(fields, 'technology', has).toLowerCase()}, as wanted.`) : undefined
  const told = (verdict: 'note' | 'not-known' | 'does-not', why: string) =>
    say(
      'technology',
      verdict,
      `Made as: ${valueWords(fields, 'technology', has).toLowerCase()} for ${valueWords(fields, 'technology', asked).toLowerCase()}; ${why}.`,
    )
  if (has === 'tantalum') {
    const twice = typeof wanted.voltageV === 'number' && typeof offered.voltageV === 'number' && offered.voltageV >= wanted.voltageV * 2
    return twice
      ? told('note', 'it bears half its voltage for long, which is kept')
      : told('not-known', 'it bears half its voltage for long, and fails as a short: whether what is on it lies below is not stated')
  }
  if (polarised.has(asked) && polarised.has(has)) return told('note', 'its series resistance is another: a regulator behind it may mind')
  if (polarised.has(has)) return told('does-not', 'it leaks more and wears out')
  if (has === 'ceramic' && polarised.has(asked)) return told('note', 'it loses much of its value at its voltage: take more of it, or one of a stable kind')
  if (asked === 'paper' && has === 'film') return told('note', 'it lasts, where paper cracks')
  if (has === 'paper') return told('does-not', 'paper cracks with age, and smokes')
  return told('note', 'hold its losses and its drift against the place')
}

const polarity: Rule = (wanted, offered) => {
  const [asked, has] = [isPolarised(wanted), isPolarised(offered)]
  if (has === false) return undefined
  if (asked === undefined || has === undefined)
    return say('polarity', 'not-known', 'Polarity: whether it has one, and whether the place turns it round, is not stated.')
  return asked ? undefined : say('polarity', 'does-not', 'Polarity: it has one, and what is wanted has none.')
}

/** Another shape is bent, laid down or wired; it is fixed down. Common practice, no source. */
const leads: Rule = (wanted, offered, fields) => {
  const [asked, has] = [wanted.leads, offered.leads] as (string | undefined)[]
  if (asked === undefined || asked === has) return undefined
  if (has === undefined) return say('leads', 'note', 'Leads: not stated of this one; hold it against the place.')
  const how =
    asked === 'screw' || asked === 'snap-in' ? 'on flying leads, and fixed down' : has === 'surface' ? 'on a small board' : 'bent to the holes, and fixed down'
  return has === 'screw'
    ? say('leads', 'does-not', `Leads: ${valueWords(fields, 'leads', has).toLowerCase()} do not go into a board.`)
    : say('leads', 'note', `Leads: ${valueWords(fields, 'leads', has).toLowerCase()} for ${valueWords(fields, 'leads', asked).toLowerCase()}: ${how}.`)
}

const room = (field: 'diameterMm' | 'heightMm') =>
  compared(field, (o: number, w: number) => o <= w + 0.5, { weight: 'looks', failing: 'not-known', why: 'measure what is free' })

export const capacitor: PartKind = {
  title: 'Capacitor',
  fields: {
    capacitanceF: figure('Capacitance', 10),
    tolerancePct: figure('Tolerance', 100),
    voltageV: figure('Voltage', 100_000),
    ratedFor: choice('Rated for', { dc: 'DC', ac: 'AC' }),
    technology: choice('Made as', {
      electrolytic: 'Aluminium electrolytic',
      tantalum: 'Tantalum',
      polymer: 'Polymer',
      film: 'Film',
      paper: 'Paper',
      ceramic: 'Ceramic',
    }),
    safetyClass: choice('Safety class', {
      'none': 'None',
      'x1': 'X1',
      'x2': 'X2',
      'x3': 'X3',
      'y1': 'Y1',
      'y2': 'Y2',
      'y4': 'Y4',
      'x1-y1': 'X1/Y1',
      'x1-y2': 'X1/Y2',
    }),
    polarity: choice('Polarity', { polarised: 'Polarised', bipolar: 'Not polarised' }),
    leads: choice('Leads', {
      'radial': 'Radial leads',
      'axial': 'Axial leads',
      'screw': 'Screw terminals',
      'snap-in': 'Snap-in pins',
      'surface': 'Surface mount',
    }),
    spacingMm: figure('Lead spacing', 200),
    diameterMm: figure('Diameter', 200),
    heightMm: figure('Height', 300),
    temperatureC: figure('Temperature', 300),
    rippleA: figure('Ripple current', 100),
    impedanceOhm: figure('Series resistance', 1e6),
  },
  rules: [
    safety,
    capacitance,
    voltage,
    technology,
    polarity,
    atMost('tolerancePct', { weight: 'asked', failing: 'note', why: 'measure this one first' }),
    leads,
    near('spacingMm', 0.6, { weight: 'looks', failing: 'note', why: 'form the leads' }),
    room('diameterMm'),
    room('heightMm'),
    atLeast('temperatureC', { weight: 'asked', failing: 'note', why: 'it lasts half as long for each 10 °C' }),
    atLeast('rippleA', { weight: 'asked', failing: 'first-start', why: 'it grows hot and does not last' }),
    noted('impedanceOhm', (o: number, w: number) => o > w * 2, 'Series resistance: more than twice what is wanted.', 'does-not'),
    atMost('impedanceOhm', { weight: 'asked', failing: 'first-start', why: 'it filters less' }),
    noted('impedanceOhm', (o: number, w: number) => o < w * 0.3, 'Series resistance: far less than wanted; a regulator behind it may oscillate.'),
  ],
}
