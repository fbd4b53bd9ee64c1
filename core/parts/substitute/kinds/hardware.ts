import { type Inlet, type Supply, currentKindNames, matchSupply, polarityNames } from '../../../power/supply-match'
import { type PartKind, type Rule, atLeast, atMost, choice, compared, count, figure, flag, near, noted, same, say, stated, valueWords, words } from '../compare'
import { beltLength } from '../../belt'

/** Pins in a row that are 0.1 mm further apart each are a whole one off after 25 of them. */
const pitch = near('pitchMm', 0.03, { why: 'one of the same name with another pitch does not go in' })

export const socket: PartKind = {
  title: 'Socket',
  fields: {
    pins: count('Pins', 400),
    pitchMm: figure('Pitch', 20),
    rowSpacingMm: figure('Between its rows', 60),
    contact: choice('Contacts', { 'turned': 'Turned pin', 'double-wipe': 'Double wipe', 'single-wipe': 'Single wipe', 'zero-force': 'Zero force' }),
    heightMm: figure('Height', 60),
  },
  rules: [
    same('pins'),
    pitch,
    near('rowSpacingMm', 0.3),
    stated('contact', 'looks'),
    noted('contact', (o: string, w: string) => o !== w && o === 'single-wipe', 'Contacts: single wipe loosens soonest of all.'),
    noted('contact', (o: string, w: string) => o !== w && o === 'turned', 'Contacts: turned pins take round legs; flat ones are held less well.'),
    atMost('heightMm', { weight: 'looks', failing: 'not-known', why: 'measure what is free' }),
  ],
}

export const connector: PartKind = {
  title: 'Connector',
  fields: {
    pitchMm: figure('Pitch', 30),
    pins: count('Pins', 400),
    rows: count('Rows', 8),
    side: choice('Side', { plug: 'Plug, or pins', socket: 'Socket, or sleeves', edge: 'For the edge of a board' }),
    mounting: choice('Mounting', { board: 'On a board', panel: 'In a panel', cable: 'On a cable' }),
    key: words('Key, or pin left out'),
    heightMm: figure('Height', 100),
    currentA: figure('Current of a pin', 1000),
  },
  rules: [
    pitch,
    same('side'),
    same('rows', { weight: 'asked' }),
    (wanted, offered, fields) => {
      const [asked, has] = [wanted.pins, offered.pins] as (number | undefined)[]
      if (asked === undefined || has === undefined || has <= asked) return same('pins')(wanted, offered, fields)
      return has === asked + 1
        ? say('pins', 'note', `Pins: ${has} for ${asked}; it fits and looks wrong, and can be put in one off: mark the end.`)
        : say('pins', 'does-not', `Pins: ${has} where ${asked} are wanted.`)
    },
    same('mounting', { weight: 'asked' }),
    same('key', { weight: 'looks', failing: 'note', why: 'without the key it goes in the wrong way round: mark it' }),
    atLeast('currentA', { weight: 'asked' }),
    atMost('heightMm', { weight: 'looks', failing: 'not-known', why: 'measure what is free' }),
  ],
}

/** From the quickest to the slowest. */
const quickness = ['very-fast', 'fast', 'medium', 'slow', 'very-slow']

/** A fuse protects the wire behind it: never a larger one, never a slower one. Source: IEC 60127 for the letters, from memory. */
export const fuse: PartKind = {
  title: 'Fuse',
  fields: {
    ratingA: figure('Rating', 1000),
    speed: choice('Speed', { 'very-fast': 'Very fast (FF)', 'fast': 'Fast (F)', 'medium': 'Medium (M)', 'slow': 'Slow (T)', 'very-slow': 'Very slow (TT)' }),
    breakingA: figure('Breaking capacity', 1e6),
    voltageV: figure('Voltage', 100_000),
    size: words('Size'),
  },
  rules: [
    atMost('ratingA', { why: 'never a larger one: it protects the wire behind it' }),
    noted('ratingA', (o: number, w: number) => o < w * 0.999, 'Rating: smaller than wanted; it may open when nothing is wrong.', 'first-start'),
    compared('speed', (o: string, w: string) => quickness.indexOf(o) <= quickness.indexOf(w), { why: 'never a slower one' }),
    noted(
      'speed',
      (o: string, w: string) => quickness.indexOf(o) < quickness.indexOf(w),
      'Speed: quicker than wanted; it may open at switching on.',
      'first-start',
    ),
    atLeast('breakingA', { why: 'it may burst' }),
    atLeast('voltageV'),
    same('size'),
  ],
}

export const fan: PartKind = {
  title: 'Fan',
  fields: {
    sizeMm: figure('Size', 400),
    depthMm: figure('Depth', 200),
    voltageV: figure('Voltage', 500),
    current: choice('AC or DC', currentKindNames),
    flowM3h: figure('Flow, in m³/h', 10_000),
    connector: words('Connector'),
  },
  rules: [
    same('current'),
    near('voltageV', 0.5),
    near('sizeMm', 1),
    atMost('depthMm', { weight: 'looks', failing: 'not-known', why: 'measure what is free' }),
    atLeast('flowM3h', { weight: 'asked', failing: 'first-start', why: 'it cools less: look at the temperatures' }),
    same('connector', { weight: 'looks', failing: 'note', why: 'mind its poles when it is changed' }),
  ],
}

export const drive: PartKind = {
  title: 'Drive',
  fields: {
    interface: words('Interface'),
    form: words('Size and height'),
    tracks: count('Tracks', 100_000),
    sides: count('Sides or heads', 64),
    recording: words('Recording'),
    speedRpm: figure('Speed, in rpm', 20_000),
    capacityMb: figure('Capacity, in MB', 1e6),
  },
  rules: [
    same('interface'),
    same('recording', { weight: 'asked' }),
    atLeast('tracks', { weight: 'asked' }),
    noted(
      'tracks',
      (o: number, w: number) => o > w,
      'Tracks: more than wanted; a narrow head over wide tracks reads, and what it writes the old drive may not.',
    ),
    atLeast('sides', { weight: 'asked' }),
    near('speedRpm', 1, { weight: 'asked' }),
    atLeast('capacityMb', { weight: 'asked' }),
    noted('capacityMb', (o: number, w: number) => o > w, 'Capacity: more than wanted; what the controller does not know is not used.'),
    same('form', { weight: 'looks', failing: 'note', why: 'rails or a bracket' }),
  ],
}

export const membrane: PartKind = {
  title: 'Membrane',
  fields: { model: words('For which model and issue'), tails: count('Tails', 10), lines: count('Lines in all', 100), pitchMm: figure('Pitch of a tail', 10) },
  rules: [
    same('lines'),
    same('tails'),
    near('pitchMm', 0.03),
    same('model', { weight: 'decides', failing: 'not-known', why: 'whether its lines cross as they should is not stated' }),
  ],
}

export const key: PartKind = {
  title: 'Key or switch',
  fields: {
    part: choice('Which part', { cap: 'Cap', switch: 'Switch', spring: 'Spring', stabiliser: 'Stabiliser' }),
    mount: words('Its mount'),
    widthUnits: figure('Width, in keys', 12),
    legend: words('Legend'),
    colour: words('Colour'),
  },
  rules: [
    same('part'),
    same('mount'),
    near('widthUnits', 0.01, { weight: 'asked' }),
    same('legend', { weight: 'asked', failing: 'note', why: 'it looks wrong and works' }),
    same('colour', { weight: 'looks', failing: 'note', why: 'it looks wrong and works' }),
  ],
}

/** A flat rubber belt runs some percent shorter than it is on the drawing. Common practice, no source. */
const beltSlackPct = 3
const belts: Rule = (wanted, offered) => {
  const { centresMm, largeMm, smallMm } = wanted as Record<string, number | undefined>
  if (centresMm && largeMm && smallMm && centresMm <= (largeMm + smallMm) / 2)
    return say('centresMm', 'not-known', 'Between the shafts: so close the pulleys would meet; measure again.')
  const lengthMm = (wanted.lengthMm as number | undefined) ?? (centresMm && largeMm && smallMm ? beltLength(centresMm, largeMm, smallMm) : undefined)
  if (lengthMm === undefined) return say('lengthMm', 'not-known', 'Length: neither the old belt nor its pulleys are measured.')
  const has = offered.lengthMm as number | undefined
  if (has === undefined) return say('lengthMm', 'not-known', 'Length: not stated of this one.')
  const off = (has / lengthMm - 1) * 100
  const told = `Length: ${has} mm where ${Math.round(lengthMm * 10) / 10} mm is wanted`
  if (Math.abs(off) <= beltSlackPct) return say('lengthMm', 'fits', `${told}.`)
  return off > 0 || off < -3 * beltSlackPct
    ? say('lengthMm', 'does-not', `${told}; it ${off > 0 ? 'slips' : 'pulls on the bearings'}.`)
    : say('lengthMm', 'first-start', `${told}; it pulls on the bearings.`)
}
export const belt: PartKind = {
  title: 'Belt',
  fields: {
    lengthMm: figure('Length, measured open', 10_000),
    centresMm: figure('Between the shafts', 5000),
    largeMm: figure('Large pulley', 2000),
    smallMm: figure('Small pulley', 2000),
    section: choice('Section', { flat: 'Flat', square: 'Square', round: 'Round', toothed: 'Toothed' }),
    widthMm: figure('Width', 100),
    thicknessMm: figure('Thickness', 30),
  },
  rules: [
    belts,
    same('section'),
    compared('widthMm', (o: number, w: number) => o <= w + 0.3, { why: 'it rubs' }),
    near('thicknessMm', 0.3, { weight: 'asked', failing: 'note', why: 'a thicker one changes the speed' }),
  ],
}

/** The same rules as between an inlet and a supply at the bench. */
const suits: Rule = (wanted, offered, fields) => {
  for (const field of ['voltageV', 'kind', 'currentA'])
    for (const [one, whose] of [
      [wanted, 'what is wanted does not state it'],
      [offered, 'not stated of this one'],
    ] as const)
      if (one[field] === undefined) return say(field, 'not-known', `${fields[field]!.label}: ${whose}.`)
  const { suits: verdict, findings } = matchSupply({ needs: wanted as unknown as Inlet, supply: offered as unknown as Supply })
  const [first] = findings
  return say('voltageV', verdict === 'yes' ? (first!.level === 'fine' ? 'fits' : 'note') : verdict === 'no' ? 'does-not' : 'not-known', `${first!.says}`)
}
export const supply: PartKind = {
  title: 'Supply',
  fields: {
    voltageV: figure('Voltage', 300),
    kind: choice('AC or DC', currentKindNames),
    polarity: choice('Polarity', polarityNames),
    currentA: figure('Current', 100),
    regulated: flag('Regulated'),
    outerMm: figure('Plug outside', 30),
    innerMm: figure('Plug inside', 30),
  },
  rules: [
    suits,
    (wanted, offered, fields) =>
      wanted.outerMm !== undefined && offered.outerMm === undefined
        ? say('outerMm', 'note', `Plug: not stated of this one, and ${valueWords(fields, 'outerMm', wanted.outerMm)} outside is wanted.`)
        : undefined,
  ],
}
