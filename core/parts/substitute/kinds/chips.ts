import {
  type PartKind,
  type Rule,
  type SubstituteVerdict,
  atLeast,
  atMost,
  choice,
  compared,
  count,
  figure,
  flag,
  noted,
  same,
  say,
  valueWords,
  words,
} from '../compare'

/** Families by what they take for a high, and what they give as one. Source: data books of the families, from memory. */
const levels: Record<string, 'ttl' | 'ttl-cmos' | 'cmos' | 'high-cmos'> = {
  std: 'ttl',
  ls: 'ttl',
  s: 'ttl',
  als: 'ttl',
  as: 'ttl',
  f: 'ttl',
  hct: 'ttl-cmos',
  act: 'ttl-cmos',
  hc: 'cmos',
  ac: 'cmos',
  c: 'high-cmos',
  4000: 'high-cmos',
}
/** Current that an input takes from what drives it, and that an output bears, in mA at a low. Source: data books, from memory. */
const lowMA: Record<string, [takes: number, bears: number]> = {
  std: [1.6, 16],
  ls: [0.4, 8],
  s: [2, 20],
  als: [0.1, 8],
  as: [0.5, 20],
  f: [0.6, 20],
  hct: [0, 4],
  act: [0, 24],
  hc: [0, 4],
  ac: [0, 24],
  c: [0, 0.36],
  4000: [0, 0.4],
}
/** The highest voltage that a family is made for. Source: data books, from memory. */
const mostV: Record<string, number> = { std: 5.25, ls: 5.25, s: 5.25, als: 5.5, as: 5.5, f: 5.5, hct: 5.5, act: 5.5, hc: 6, ac: 6, c: 15, 4000: 15 }

const family: Rule = (wanted, offered, fields) => {
  const [asked, has] = [wanted.family, offered.family].map(one => (one === undefined ? undefined : String(one)))
  if (asked === undefined || has === undefined)
    return say(
      'family',
      'not-known',
      `Family: ${asked === undefined ? 'what is wanted does not state it' : 'not stated of this one'}; levels differ from one to the other.`,
    )
  const told = (verdict: SubstituteVerdict, why = '') =>
    say(
      'family',
      verdict,
      `Family: ${valueWords(fields, 'family', has)}${asked === has ? ', as wanted' : ` for ${valueWords(fields, 'family', asked)}`}${why && `; ${why}`}.`,
    )
  if (asked === has) return told('fits')
  const [from, to] = [levels[asked]!, levels[has]!]
  if (from === 'ttl' && (to === 'cmos' || to === 'high-cmos')) return told('does-not', 'it does not take the high of TTL for one')
  if (from === 'ttl-cmos' && (to === 'cmos' || to === 'high-cmos')) return told('does-not', 'it may not take the high of what drives it for one')
  if ((from === 'cmos' || from === 'high-cmos') && to === 'ttl') return told('does-not', 'its high is not one to CMOS')
  // What it runs at, where the family that is wanted bears more.
  if (mostV[has]! < mostV[asked]! && from === 'high-cmos') {
    const runs = wanted.supplyV as number | undefined
    if (runs === undefined) return told('not-known', `it bears ${mostV[has]} V, and what it is to run at is not stated`)
    if (runs > mostV[has]!) return told('does-not', `it bears ${mostV[has]} V, and runs at ${runs} V`)
  }
  const [takes, bears] = lowMA[has]!
  const [took, bore] = lowMA[asked]!
  if (bears < bore) return told('note', 'it drives less: count what hangs on its outputs')
  if (takes > took) return told('note', 'it takes more from what drives it: count what hangs on that')
  return told('note', to === 'ttl' ? 'its edges are others' : 'no input of it may be left open')
}

export const logic: PartKind = {
  title: 'Logic',
  fields: {
    number: words('Function, by its number'),
    family: choice('Family', {
      std: '74',
      ls: '74LS',
      s: '74S',
      als: '74ALS',
      as: '74AS',
      f: '74F',
      hct: '74HCT',
      act: '74ACT',
      hc: '74HC',
      ac: '74AC',
      c: '74C',
      4000: '4000',
    }),
    supplyV: figure('Runs at', 30),
    delayNs: figure('Delay, in ns', 100_000),
    package: words('Package'),
  },
  rules: [
    same('number', { why: 'another function, or another order of its pins' }),
    family,
    atMost('delayNs', { weight: 'asked', failing: 'first-start', why: 'where the time is short, it fails' }),
    noted('delayNs', (o: number, w: number) => o < w / 3, 'Delay: far quicker than wanted; its edges may ring.'),
    same('package', { weight: 'asked', why: 'it does not go in' }),
  ],
}

export const memory: PartKind = {
  title: 'Memory',
  fields: {
    kind: choice('Kind', { dram: 'Dynamic RAM', sram: 'Static RAM', rom: 'Mask ROM', prom: 'PROM', eprom: 'EPROM', eeprom: 'EEPROM' }),
    words: count('Words', 1e9),
    bits: count('Bits a word', 64),
    accessNs: figure('Access time, in ns', 100_000),
    rails: words('Its rails'),
    pinOut: words('Pin-out'),
    package: words('Package'),
  },
  rules: [
    compared(
      'kind',
      (o: string, w: string) => o === w || (w === 'rom' && o !== 'dram' && o !== 'sram' && o !== 'prom') || (w === 'prom' && (o === 'eprom' || o === 'eeprom')),
    ),
    noted(
      'kind',
      (o: string, w: string) => o !== w && (w === 'rom' || w === 'prom'),
      'Kind: it is programmed with the image first; which level selects it is read off the old one.',
    ),
    same('bits'),
    (wanted, offered, fields) => {
      const [asked, has] = [wanted.words, offered.words] as (number | undefined)[]
      return asked !== undefined && has !== undefined && has > asked
        ? say('words', 'not-known', 'Words: more than wanted; what is tied where, and whether the pins agree, is not stated.')
        : same('words')(wanted, offered, fields)
    },
    atMost('accessNs', { why: 'too slow, it gives wrong bits now and then' }),
    same('rails', { why: 'a wrong rail is its end' }),
    same('pinOut'),
    same('package', { weight: 'looks' }),
  ],
}

export const processor: PartKind = {
  title: 'Processor or large chip',
  fields: {
    number: words('Number'),
    samePins: flag('Pins as of the one that is wanted'),
    sameCode: flag('Does all that the one that is wanted does'),
    speedMHz: figure('Speed, in MHz', 10_000),
    rails: words('Its rails'),
    runsHot: flag('Runs hotter than the place can cool'),
    package: words('Package'),
  },
  rules: [
    (wanted, offered, fields) => {
      const one = same('number')(wanted, offered, fields)
      if (one?.verdict !== 'does-not') return one
      const both = [offered.samePins, offered.sameCode]
      if (both.includes(false))
        return say(
          'number',
          'does-not',
          `Number: ${offered.number} is another, with ${offered.samePins === false ? 'other pins' : 'something that it does not do'}.`,
        )
      return both.includes(undefined)
        ? say('number', 'not-known', `Number: ${offered.number} is another; whether its pins and all that it does agree is not stated.`)
        : say('number', 'note', `Number: ${offered.number} is put for ${wanted.number}; its pins and what it does agree.`)
    },
    atLeast('speedMHz'),
    same('rails', { weight: 'asked', why: 'a wrong rail is its end' }),
    (_, offered) =>
      offered.runsHot ? say('runsHot', 'first-start', 'Runs hotter: it will do for a first start, with an eye on it, and not for long.') : undefined,
    same('package', { weight: 'asked', why: 'it does not go in' }),
  ],
}
