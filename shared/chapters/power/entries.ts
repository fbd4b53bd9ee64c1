import { z } from 'zod'
import { word } from '../../kernel/fields'
import { type BatteryState, type Chemistry, type Replacement, batteryStateNames, chemistries, replacements } from '#core/power/battery'
import { type OffVerdict, offVerdictWords } from '#core/power/off-state'
import { type RailVerdict, loadWords, railVerdictWords, shownRail, volts } from '#core/power/rails'
import { type WarmPart, warmParts } from '#core/power/temperature'
import { configurationWords } from '#core/safety/configuration'
import { gateWords } from '#core/safety/gate-words'
import { type HazardKind, type HazardState, hazardKinds, hazardStateNames } from '#core/safety/hazards'
import { type PowerFactName, factValue, powerFacts, schoolNames } from '#core/safety/power-facts'
import { closed, ending, entry, observed, quote, shown } from '../../kernel/contract'
import { Battery, ConfigurationShape } from './shapes'

const s = z.string()
const n = z.number()
const b = z.boolean()

export const entries = {
  'power.assessed': entry(
    z.object({ changes: z.array(z.object({ fact: word<PowerFactName>(), to: s.nullable() })), inspected: b }),
    d =>
      `${d.inspected ? 'Inspected for power' : 'Facts for power noted'}. ${d.changes.map(c => `${powerFacts[c.fact].title}: ${factValue(c.fact, c.to ?? undefined)?.label.toLowerCase() ?? 'not looked at'}`).join('; ')}${d.changes.length ? '.' : 'Nothing changed.'}`,
    shown,
  ),
  'school.chosen': entry(
    z.object({ school: word<keyof typeof schoolNames>().nullable() }),
    d => (d.school ? `For this machine: ${schoolNames[d.school].title.toLowerCase()}.` : 'For this machine: the school of the collection.'),
    shown,
  ),
  'saying.settled': entry(
    z.object({ kind: word<HazardKind>(), sentence: s, is: b, found: s }),
    d => `${quote(d.sentence)} ${d.is ? 'is' : 'is not'} ${hazardKinds[d.kind].title.toLowerCase()}.${d.found && ` ${ending(d.found)}`}`,
    closed,
  ),
  'hazard.settled': entry(
    z.object({ kind: word<HazardKind>(), state: word<HazardState>(), evidence: s }),
    d => `Hazard, ${hazardKinds[d.kind].title.toLowerCase()}: ${hazardStateNames[d.state].toLowerCase()}. ${ending(d.evidence)}`,
    shown,
  ),
  'gate.changed': entry(
    z.object({ from: word<keyof typeof gateWords>(), to: word<keyof typeof gateWords>(), why: s }),
    d => `The gate went from ${gateWords[d.from].title} to ${gateWords[d.to].title}${d.why && `: ${ending(d.why)}`}`,
    shown,
  ),
  'configuration.set': entry(
    z.object({ configuration: ConfigurationShape, bench: z.array(z.object({ feeds: s, voltageV: n, limitA: n, polarityChecked: b })).optional() }),
    d =>
      [
        `What is connected: ${ending(configurationWords(d.configuration))}`,
        ...(d.bench ?? []).map(
          o => `${shownRail(o.feeds)} from the bench supply: ${volts(o.voltageV)}, limited to ${o.limitA} A${o.polarityChecked ? ', polarity checked' : ''}.`,
        ),
      ].join(' '),
    shown,
  ),
  'battery.recorded': entry(
    z.object(Battery.said),
    d => `Battery, ${d.where}, ${chemistries[d.chemistry].title.toLowerCase()}: ${batteryStateNames[d.state].toLowerCase()}, ${d.fitted ? 'still in' : 'out'}.`,
    observed,
  ),
  'battery.changed': entry(
    z.object(Battery.said),
    d => `Battery, ${d.where}: now ${batteryStateNames[d.state].toLowerCase()}, ${d.fitted ? 'still in' : 'out'}.`,
    shown,
  ),
  'battery.replaced': entry(
    z.object({ where: s, how: word<Replacement>(), chemistry: word<Chemistry>(), diode: b }),
    d =>
      `In place of the battery, ${d.where}: ${replacements[d.how].title.toLowerCase()}${d.how === 'none' ? '' : `, ${chemistries[d.chemistry].title.toLowerCase()}${d.diode ? ' behind a diode' : ''}`}.`,
    shown,
  ),
  'battery.stepped': entry(
    z.object({ where: s, step: word<BatteryState>() }),
    d => `Battery, ${d.where}, clean-up: ${batteryStateNames[d.step].toLowerCase()}.`,
    shown,
  ),
  'alarm.explained': entry(z.object({ alarm: s, says: s }), d => `Explained: ${ending(d.alarm)} ${ending(d.says)}`, shown),
  'inlet.expected': entry(z.object({ says: s }), d => `Its inlet needs ${ending(d.says)}`, shown),
  'supply.assigned': entry(
    z.object({ name: s, says: s }),
    d => (d.name ? `Runs from supply ${d.name}: ${ending(d.says)}` : 'Runs from no supply of the collection.'),
    shown,
  ),
  'temperature.taken': entry(
    z.object({ part: word<WarmPart>(), where: s, celsius: n, readings: n, says: s }),
    d =>
      `${warmParts[d.part].title}${d.where && ` (${d.where})`}: ${d.readings > 1 ? `${d.readings} readings, up to ` : ''}${d.celsius.toFixed(1)} °C. ${ending(d.says)}`,
    observed,
  ),
  'gate.overruled': entry(
    z.object({ computed: word<keyof typeof gateWords>(), verdict: word<keyof typeof gateWords>(), reason: s }),
    d => `Gate overruled from ${gateWords[d.computed].title} to ${gateWords[d.verdict].title}: ${ending(d.reason)}`,
    closed,
  ),
  'gate.overrule-ended': entry(z.object({ why: s }), d => `Overrule of the gate ended: ${ending(d.why)}`, closed),
  'rails.expected': entry(
    z.object({ rails: z.array(z.object({ name: s, nominalV: n })) }),
    d => `Rails expected: ${d.rails.map(r => shownRail(r.name)).join(', ')}.`,
    shown,
  ),
  'reading.taken': entry(
    z.object({ rail: s, valueV: n, load: word<keyof typeof loadWords>(), verdict: word<RailVerdict>(), keptOff: b.optional() }),
    d =>
      `Read ${shownRail(d.rail)}: ${volts(d.valueV)} ${loadWords[d.load]}; ${railVerdictWords[d.verdict]}.${d.keptOff ? ' It was on while it was to be kept off.' : ''}`,
    observed,
  ),
  'off-state.measured': entry(
    z.object({ rail: s, ohm: n.nullable(), verdict: word<OffVerdict>() }),
    d => `Measured ${shownRail(d.rail)} to ground with the power off: ${d.ohm === null ? 'open' : `${d.ohm} Ω`}; ${offVerdictWords[d.verdict].toLowerCase()}.`,
    observed,
  ),
} as const
