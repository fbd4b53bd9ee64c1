import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [baraka],
} = atTheBench(['baraka'])

it('a machine is dated chip by chip, and an outlier in a socket is left out with its reason', async () => {
  await baraka.open(`/m/${await application.tagOf('Schoolroom A')}?stage=arrive`)
  await baraka.sees('Made between 13 Jan 1986', 'It rests on 2 parts.')
  await baraka.press('Read a date code')
  const read = async (code: string, part: string, ...flags: string[]) => {
    await baraka.fill('Marking', code, 'Read a date code')
    await baraka.fill('On which part', part, 'Read a date code')
    for (const flag of flags) await baraka.flip(flag, 'Read a date code')
    await baraka.press('Save code')
    await baraka.sees(`Date code ${code} on ${part}`)
  }
  await read('8601', 'processor')
  await read('8810', 'video chip', 'In a socket')
  await baraka.sees('In a socket, and more than a year younger than every other part: changed later.', '1986 Q1')
  expect(await baraka.text()).not.toContain('It rests on')
  const strip = await baraka.driver.executeScript<string>('return document.querySelector("figure[role=img]").getAttribute("aria-label")')
  expect(strip).toContain('3 codes that count and 1 left out')
})

it('a claim is judged by what was found, and the source’s record shows on every sheet of theirs', async () => {
  await baraka.open(`/m/${await application.tagOf('Schoolroom B')}?stage=arrive`)
  await baraka.press('Say what you found about “Worked when stored”')
  await baraka.choose('The claim is', 'Refuted')
  await baraka.press('Save', 'Judge the claim')
  await baraka.sees('Because of: type something here.')
  await baraka.fill('Because of', 'Capacitor leaked long before 1999')
  await baraka.press('Save', 'Judge the claim')
  await baraka.sees('Claim “Worked when stored”: refuted.')
  await baraka.open(`/m/${await application.tagOf('Schoolroom A')}?stage=arrive`)
  await baraka.sees('Of what the island school claimed, over all machines: 1 refuted.')
})

it('what is missing of the usual kit becomes a part wanted in one press', async () => {
  const tag = await application.tagOf('Schoolroom B')
  await baraka.open(`/m/${tag}?stage=arrive`)
  await baraka.sees('Missing from the usual kit')
  await baraka.press('Needed, but starts without Cassette lead')
  await baraka.sees('Cassette lead on the list of parts wanted')
  await baraka.open('/parts')
  await baraka.sees('Cassette lead')
  await baraka.open(`/m/${await application.tagOf('Weather club')}?stage=arrive`)
  await baraka.sees('Original media.', 'Nothing original goes into a drive')
})

it('heavy machines say how many people they need', async () => {
  await baraka.open(`/m/${await application.tagOf('Outer bank')}?stage=arrive`)
  await baraka.sees('Too heavy to be lifted by hand this way.')
  await baraka.open('/tools/safety/lift')
  await baraka.fill('Weight in kg', 'a lot')
  await baraka.sees('“a lot” is not a number')
  await baraka.fill('Weight in kg', '26')
  // Nobody said who lifts: the most cautious figure holds.
  await baraka.show('More than the 15 kg that anybody may be asked to lift')
  await baraka.sees('Who lifts was not said')
  await baraka.select('Who lifts, if they like to say', 'A man of 20 to 45')
  await baraka.sees('4 people are needed.', 'More than the 25 kg that a man of 20 to 45 should lift')
})

it('a code read on an assembly while looking at it feeds the dating', async () => {
  const tag = await application.tagOf('Ferry accounts')
  await baraka.open(`/m/${tag}?stage=look`)
  await baraka.press('Look at Main board')
  await baraka.press('Read a date code', 'Date codes of Main board')
  await baraka.fill('Marking', '8814', 'Read a date code')
  expect(await baraka.valueOf('On which part', 'Read a date code')).toBe('Main board, ')
  await baraka.press('Save code')
  await baraka.sees('Date code 8814 on Main board', 'week 14 of 1988')
  await baraka.open(`/m/${tag}?stage=arrive`)
  await baraka.sees('Made between 4 Apr 1988')
})
