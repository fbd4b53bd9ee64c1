import { type PartKind, type Rule, atLeast, atMost, choice, compared, count, figure, flag, noted, same, say, stated, words } from '../compare'

/** How far a resistor may be off where its tolerance is not stated. Common practice, no source. */
const usualTolerancePct = 5

const resistance: Rule = (wanted, offered, fields) => {
  const within = ((wanted.tolerancePct as number | undefined) ?? usualTolerancePct) / 100
  return compared('resistanceOhm', (o: number, w: number) => Math.abs(o / w - 1) <= within + 1e-9)(wanted, offered, fields)
}

export const resistor: PartKind = {
  title: 'Resistor or network',
  fields: {
    resistanceOhm: figure('Resistance', 1e12),
    tolerancePct: figure('Tolerance', 100),
    powerW: figure('Power, in W', 10_000),
    voltageV: figure('Voltage', 100_000),
    technology: choice('Made as', { film: 'Film', composition: 'Carbon composition', wirewound: 'Wire-wound', fusible: 'Fusible', network: 'Network' }),
    pins: count('Pins of the network', 64),
    circuit: choice('Circuit of the network', { bussed: 'One common pin', isolated: 'Isolated', divider: 'Dividers' }),
    package: words('Package'),
  },
  rules: [
    resistance,
    atLeast('powerW'),
    atLeast('voltageV', { weight: 'asked' }),
    atMost('tolerancePct', { weight: 'asked', failing: 'note', why: 'measure this one first' }),
    stated('technology', 'asked'),
    noted(
      'technology',
      (o: string, w: string) => w === 'fusible' && o !== 'fusible',
      'Made as: a fusible one is there to open; no other is put for it.',
      'does-not',
    ),
    noted(
      'technology',
      (o: string, w: string) => o === 'fusible' && w !== 'fusible',
      'Made as: a fusible one opens under less; it will not last everywhere.',
      'first-start',
    ),
    noted('technology', (o: string, w: string) => (o === 'network') !== (w === 'network'), 'Made as: one is a network, the other is not.', 'does-not'),
    noted('technology', (o: string, w: string) => o === 'wirewound' && w !== o, 'Made as: wound wire is a coil too; not where the signal is fast.'),
    noted('technology', (o: string, w: string) => w === 'composition' && o === 'film', 'Made as: film bears less of a surge than composition.'),
    same('pins', { weight: 'asked' }),
    same('circuit', { weight: 'asked' }),
    same('package', { weight: 'looks', failing: 'note', why: 'hold it against the holes' }),
  ],
}

/** A live tab on earthed metal is a short. */
const tab: Rule = (wanted, offered) => {
  if (offered.insulatedTab === true || wanted.insulatedTab === undefined) return undefined
  if (offered.insulatedTab === undefined) return say('insulatedTab', 'not-known', 'Insulated tab: not stated of this one.')
  return wanted.insulatedTab ? say('insulatedTab', 'does-not', 'Insulated tab: its tab is live, and what is wanted sits on metal without a washer.') : undefined
}
const cooler: Rule = (wanted, offered) =>
  offered.insulatedTab === true && wanted.insulatedTab === false
    ? say('insulatedTab', 'note', 'Insulated tab: it gives its heat away less well than a bare one; look at its temperature.')
    : undefined

export const regulator: PartKind = {
  title: 'Regulator',
  fields: {
    outputV: figure('Output', 1000),
    sign: choice('Sign', { positive: 'Positive', negative: 'Negative' }),
    currentA: figure('Current', 100),
    dropOutV: figure('Drop-out', 20),
    inputMostV: figure('Highest input', 1000),
    way: choice('Works as', { linear: 'Linear', switching: 'Switching module' }),
    pinOrder: words('Order of its pins'),
    package: words('Package'),
    insulatedTab: flag('Insulated tab'),
  },
  rules: [
    compared('outputV', (o: number, w: number) => Math.abs(Math.abs(o) - Math.abs(w)) <= Math.abs(w) * 0.01),
    same('sign'),
    atLeast('currentA'),
    atMost('dropOutV', { weight: 'asked', why: 'what comes in must lie higher: measure it' }),
    atLeast('inputMostV', { weight: 'asked' }),
    same('pinOrder', { why: 'leads in another order are the end of what hangs on it' }),
    same('package', { weight: 'looks', failing: 'note', why: 'hold it against its place and its heat sink' }),
    tab,
    cooler,
    stated('way', 'asked'),
    noted(
      'way',
      (o: string, w: string) => o === 'switching' && w === 'linear',
      'Works as: a switching module runs cool and is not quiet; not for sound or video without a look.',
    ),
    noted('way', (o: string, w: string) => o === 'linear' && w === 'switching', 'Works as: a linear one turns the difference into heat.', 'first-start'),
  ],
}

export const transistor: PartKind = {
  title: 'Transistor or diode',
  fields: {
    type: choice('Type', {
      npn: 'NPN',
      pnp: 'PNP',
      nmos: 'N-channel',
      pmos: 'P-channel',
      diode: 'Diode',
      schottky: 'Schottky diode',
      zener: 'Zener diode',
      bridge: 'Bridge',
    }),
    voltageV: figure('Voltage', 100_000),
    currentA: figure('Current', 10_000),
    powerW: figure('Power, in W', 10_000),
    gain: figure('Current gain, at least', 100_000),
    zenerV: figure('Zener voltage', 1000),
    recoveryNs: figure('Recovery time, in ns', 1e6),
    frequencyMHz: figure('Transit frequency, in MHz', 1e6),
    pinOrder: words('Order of its pins'),
    package: words('Package'),
  },
  rules: [
    compared('type', (o: string, w: string) => o === w || (w === 'diode' && o === 'schottky')),
    noted('type', (o: string, w: string) => w === 'diode' && o === 'schottky', 'Type: a Schottky diode drops less and leaks more when it is hot.'),
    atLeast('voltageV'),
    atLeast('currentA'),
    atLeast('powerW', { weight: 'asked' }),
    atLeast('gain', { weight: 'asked' }),
    compared('zenerV', (o: number, w: number) => Math.abs(o / w - 1) <= 0.05, { weight: 'asked' }),
    atMost('recoveryNs', { weight: 'asked', why: 'too slow, it grows hot' }),
    atLeast('frequencyMHz', { weight: 'asked' }),
    same('pinOrder', { weight: 'asked', failing: 'note', why: 'its leads are crossed over, in sleeving' }),
    same('package', { weight: 'looks', failing: 'note', why: 'hold it against its place' }),
  ],
}
