import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [teodor],
} = atTheBench(['teodor'])
const on = (instrument: string) => teodor.open(`/tools/${instrument}`)

it('stored charge: values as people write them, a resistor from the series, and the times', async () => {
  await on('power/discharge')
  await teodor.sees('do not touch before it has been measured', 'its bleeder brings it to 12 V')
  await teodor.press('Leave out')
  await teodor.fill('Capacitance', '10,000u')
  await teodor.sees('can be read in two ways: 10000 or 10.000')
  await teodor.fill('Capacitance', '10 pints')
  await teodor.sees('does not belong here')
  await teodor.fill('Capacitance', '10m')
  await teodor.fill('Voltage', '63')
  await teodor.fill('Resistor', '1k')
  await teodor.sees('19.8 J', '16.6 s', '63 mA')
})

it('supply match: the wrong polarity is a stop, and put right it suits', async () => {
  await on('power/supply-match')
  await teodor.sees('Does not suit', 'Plus and minus are the wrong way round.', 'The plug also fits the monitor inlet')
  await teodor.select('Polarity of the plug', 'Centre negative')
  await teodor.fill('Its volts', '')
  await teodor.sees('Suits', '0.3 A limit at the first start, then 1.2 A', 'Unloaded it gives more than the inlet is made for.')
  await teodor.select('It gives', 'AC')
  await teodor.sees('It gives AC, but the machine needs DC.')
})

it('off-state, junctions and traces say what they found and what to type', async () => {
  await on('power/off-state')
  await teodor.sees('Short', 'The rail is shorted to ground. Do not power it.')
  await teodor.fill('Red on the rail', 'OL')
  await teodor.fill('Black on the rail', '4k7')
  await teodor.sees('Plausible', 'No short to ground was found on this rail.')
  await teodor.fill('Red on the rail', '-5')
  await teodor.sees('something still holds a charge')

  await on('power/junction')
  await teodor.sees('Plausible NPN transistor', 'base on 2')
  await teodor.fill('Red on 1, black on 2', '0')
  await teodor.sees('Shorted', 'A short between 1 and 2.')
  await teodor.select('Legs', 'Two')
  await teodor.fill('Red on 1, black on 2', 'OL')
  await teodor.sees('Plausible diode', 'anode on 2')

  await on('power/trace')
  await teodor.fill('Width, mm', '0.3')
  await teodor.fill('Current, A', '12')
  await teodor.sees('12 A is far too much for it.', 'AWG')
  await teodor.fill('Width, mm', 'thin')
  await teodor.sees('“thin” is not a number')
})

it('a result is pinned to a machine, and programs get the same', async () => {
  const tag = await application.tagOf('Lamp store')
  await on('power/supply-match')
  await teodor.select('To which machine', `${tag} Lamp store`)
  await teodor.press('Pin it')
  await teodor.sees('Pinned to')
  await teodor.open(`/m/${tag}`)
  await teodor.sees('Supply match: Plus and minus are the wrong way round.')
  const answer = await application.ask('/api/tools/power/discharge', {
    method: 'POST',
    body: { capacitors: [{ capacitanceF: '10m', voltageV: 63 }], resistorOhm: '1k' },
  })
  expect(((await answer.json()) as { result: { totalEnergyJ: number } }).result.totalEnergyJ).toBeCloseTo(19.845, 3)
  const refused = await application.ask('/api/tools/power/discharge', { method: 'POST', body: { capacitors: [{ capacitanceF: 'much', voltageV: 63 }] } })
  expect([refused.status, ((await refused.json()) as { error: { field: string } }).error.field]).toEqual([422, 'capacitors.0.capacitanceF'])
})

it('rails are measured with the power off, judged as they are typed, and a short closes the gate', async () => {
  const tag = await application.tagOf('Harbour office')
  await teodor.open(`/m/${tag}?stage=make-safe`)
  await teodor.unfold('Rails with the power off')
  await teodor.sees('180 Ω, the other way 260 Ω')
  await teodor.press('Measure a rail')
  await teodor.choose('Rail', '+12 V', 'Measure a rail')
  await teodor.fill('Red on the rail', '0.5')
  await teodor.sees('The rail is shorted to ground. Do not power it.')
  await teodor.press('Save measurement')
  await teodor.sees('Measured +12 V to ground with the power off: 0.5 Ω; short.', 'Find and clear the short, and measure again.', 'Keep off')
})

it('a hazard is suspected from a claim, confirmed with evidence, and closes the gate', async () => {
  await teodor.open(`/m/${await application.tagOf('Crew mess')}?stage=make-safe`)
  await teodor.show('Liquid')
  await teodor.sees('Claimed: “It was fine until the coffee”.')
  await teodor.press('Add a hazard')
  await teodor.pick('Which', 'Old insulation')
  await teodor.press('Add')
  await teodor.sees('Evidence: type something here.')
  await teodor.fill('Evidence', 'The flex cracks when bent', 'Add a hazard')
  await teodor.press('Add')
  await teodor.sees('Hazard present: old insulation.', 'Replace wires whose insulation cracks or sticks.')
  await teodor.press('Say what you found of Old insulation')
  await teodor.choose('The hazard is', 'Dealt with', 'Say what you found')
  await teodor.fill('Evidence', 'New flex fitted', 'Say what you found')
  await teodor.press('Save', 'Say what you found')
  await teodor.sees('Hazard, old insulation: dealt with. New flex fitted.')
  await teodor.seesNoMore('Hazard present: old insulation.')
})
