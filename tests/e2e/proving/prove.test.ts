import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [joaquim, maeve],
} = atTheBench(['joaquim', 'maeve'])

/** A command sent by a program, as somebody who did it at the bench before. */
async function did(tag: string, command: string, body: object, who: 'joaquim' | 'maeve' | 'teodor' | 'ilka' = 'joaquim') {
  const answer = await application.ask(`/api/machines/${tag}/${command}`, { method: 'POST', body, cookie: await application.cookieOf(who) })
  expect(answer.status, `${command}: ${await answer.clone().text()}`).toBe(200)
}
const toGround = async (tag: string) => {
  for (const rail of ['+5 V', '+12 V'])
    await did(tag, 'measure-off-state', { rail, ohm: 300, reversedOhm: 400, leadsOhm: 0.2, loadAttached: false, rising: false })
}
const top = (v: typeof joaquim) => v.driver.executeScript('window.scrollTo(0, 0)')

it('a build-up fails at its third step, goes back over a reload, and what is connected follows each press', async () => {
  const tag = await application.tagOf('Ticket hall 2')
  const prove = `/m/${tag}?stage=prove`
  await joaquim.open(prove)
  await joaquim.unfold('Build-up')
  await joaquim.press('Plan a build-up')
  await joaquim.sees('1 of 5: begin with Supply', 'Connected like this, the rails to ground come first.')
  await joaquim.press('As expected')
  await joaquim.sees('nobody can have seen it run')
  await toGround(tag)
  await joaquim.seesNoMore('Connected like this')
  await joaquim.fill('+5 V', '6.2', 'What step 1 showed')
  await joaquim.press('As expected')
  await joaquim.sees('that is not as expected')
  await joaquim.fill('+5 V', '5.02', 'What step 1 showed')
  await joaquim.press('As expected')
  await joaquim.sees('2 of 5: put in Main board', 'No fault yet, for it is not there:')
  await toGround(tag)
  await joaquim.press('As expected')
  await joaquim.sees('3 of 5: put in')
  await joaquim.tick('It is not as expected')
  await joaquim.press('It failed: go back')
  await joaquim.sees('What was seen: say it in a few words.')
  await joaquim.fill('What was seen instead', 'The tube stays dark', 'What step 3 showed')
  await joaquim.press('It failed: go back')
  await joaquim.sees('2 of 5: back to Main board', 'Go back: off at the switch')
  await joaquim.open(prove)
  await joaquim.sees('2 of 5: back to Main board', 'Guarded start', 'Some of it out')
  await top(joaquim)
  expect(await joaquim.violations()).toEqual([])
})

it('a sign-off is refused for many reasons, to whoever repaired it too, and given by somebody else once each has been seen to', async () => {
  const tag = await application.tagOf('Ticket hall 2')
  await did(tag, 'report-fault', { symptom: 'Hum from the tube', stopsMachine: true })
  await did(tag, 'start-wait', { what: 'a fuse in the post', until: new Date(Date.now() + 864e5).toISOString() })
  await did(tag, 'begin-soak', { what: 'Ticket run', seenFailures: 1, seenPasses: 20, confidencePct: 95, secondsAPass: null })
  await maeve.open(`/m/${tag}?stage=prove`)
  await maeve.sees(
    'The gate says: guarded start.',
    'Open fault that stops it: Hum from the tube.',
    'Still waiting: a fuse in the post.',
    'Soak not finished: Ticket run.',
    'It is not whole.',
    'The build-up is not done',
    'Not tested yet:',
  )
  await maeve.fill('What was tested', 'Everything', 'Sign off')
  await maeve.press('Sign it off', 'Sign off')
  await maeve.sees('It cannot be signed off yet.')
  const sheet = async () =>
    (await (await application.ask(`/api/machines/${tag}`, { cookie: await application.cookieOf('maeve') })).json()) as {
      buildUp: { id: number; version: number }
      power: { version: number }
      waits: { id: number }[]
      faults: { id: number; symptom: string; version: number }[]
      soaks: { id: number }[]
      testSheet: { id: number; lines: { kind: string; from: number | null }[] }
    }
  const now = await sheet()
  await did(tag, 'end-build-up', { buildUpId: now.buildUp.id, version: now.buildUp.version, note: 'The lead of the tube was off' })
  await did(tag, 'set-configuration', { version: (await sheet()).power.version, kind: 'whole', out: [], bench: [] })
  for (const fault of (await sheet()).faults) await did(tag, 'repair-fault', { faultId: fault.id, did: 'Put the lead on', closes: true })
  for (const wait of now.waits) await did(tag, 'end-wait', { waitId: wait.id })
  // The refusal stays in sight until it is tried again, or the page is opened anew.
  await maeve.open(`/m/${tag}?stage=prove`)
  await maeve.seesNoMore('Still waiting')
  await maeve.sees('Repaired by Joaquim Serrao: somebody else signs.')

  // Figures are noted, what failed becomes a fault in one press, and a night is not slept through in a minute.
  await maeve.fill('A period program, min', '30', 'A period program')
  await maeve.press('Save', 'A period program')
  await maeve.sees('Test failed: A period program.')
  await maeve.press('Report as a fault', 'A period program')
  await maeve.sees('Open fault that stops it: Test failed: A period program; 30 min.')
  await maeve.fill('A period program, min', '90', 'A period program')
  await maeve.press('Save', 'A period program')
  await maeve.seesNoMore('Test failed: A period program.')
  await maeve.press('Left alone now', 'Clock and settings')
  await maeve.press('Passed', 'Clock and settings')
  await maeve.sees('8 hours are not over yet')
  await maeve.press('Passed', 'Picture')
  for (const fault of (await sheet()).faults.filter(f => f.symptom.startsWith('Test failed')))
    await did(tag, 'repair-fault', { faultId: fault.id, did: 'It had been stopped by hand', closes: true })
  await maeve.seesNoMore('Open fault that stops it')

  // What only long use would show is passed over for demonstration, attended and within limits.
  await joaquim.open(`/m/${tag}?stage=prove`)
  for (const visitor of [joaquim, maeve]) {
    await visitor.tick('For demonstration alone, with limits')
    await visitor.fill('What was tested', 'Keys, ports, picture, a program for an hour and a half', 'Sign off')
    await visitor.press('Sign it off', 'Sign off')
    if (visitor === joaquim) await visitor.sees('Whoever repaired it does not sign it off.')
  }
  await maeve.sees('Signed off, for demonstration: attended, up to 2 h a day, no original media by Maeve Corrigan')
  await top(maeve)
  expect(await maeve.violations()).toEqual([])
})

it('a test program’s log is read in, and one posts its passes itself', async () => {
  const tag = await application.tagOf('Ticket hall 2')
  await joaquim.open(`/m/${tag}?stage=prove`)
  await joaquim.unfold('Soak')
  await joaquim.press('From a test program')
  await joaquim.press('Let a program post')
  await joaquim.sees('Shown once.')
  const secret = /Bearer (\S+)'/.exec(await joaquim.text())![1]!
  const post = (body: string, authorization = `Bearer ${secret}`) =>
    fetch(`${application.address}/api/soaks/log`, { method: 'POST', body, headers: { 'content-type': 'text/plain', authorization } })
  expect([(await post('pass 1: ok', 'Bearer x')).status, await (await post('pass 1: ok\npass 2: 0 errors\nhello')).json()]).toEqual([
    404,
    { passes: 2, failures: 0, unread: [], stopped: { line: 3, text: 'hello' } },
  ])
  await joaquim.sees('Go on: 378 clean passes are left.')
  // What a line of this program means a person says; its file and what it posts are read so.
  await joaquim.press('Say how to read them')
  await joaquim.fill('A pass has in it', 'green')
  await joaquim.fill('A failure has in it', 'amber')
  await joaquim.press('Save how to read it')
  await joaquim.sees('A line with “green” is a pass, one with “amber” a failure.')
  const file = join(application.folder, 'rounds.txt')
  writeFileSync(file, 'checker 2\nround 1 green\nround 2 amber')
  await joaquim.giveFiles('The log of a test program', file)
  await joaquim.sees('2 passes, 1 of them failed', 'Taken for a pass: line 2, “round 1 green”.', 'Taken for a failure: line 3, “round 2 amber”.')
  expect(await (await post('round 3 green')).json()).toMatchObject({ passes: 1, failures: 0, stopped: null })
  expect((await post('round 4 amber')).status).toBe(200)
  await joaquim.sees('Not cured.')
  await joaquim.press('Use the usual words again')
  await joaquim.sees('Its lines are read by the usual words.')
})
