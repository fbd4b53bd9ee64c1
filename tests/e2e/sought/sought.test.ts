import { expect, it } from 'vitest'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka, rua, outsider],
} = atTheBench(['ilka', 'rua', null])

it('somebody outside answers the public list without an account; it is looked over, taken up, and promised in the ledger', async () => {
  await outsider.open('/sought')
  await outsider.sees(
    'Skerrow Head Signal Museum',
    'For Halgarth Spindrift',
    'Video card for the Spindrift',
    'Monochrome card with 50 pins (no colour)',
    'Can be spared',
  )
  await outsider.seesNoMore('Ferry accounts')
  expect(await outsider.violations()).toEqual([])
  await outsider.press('I have one, or know of one Video card for the Spindrift')
  await outsider.sees('Sought: Video card for the Spindrift')
  await outsider.fill('What you have to say', 'One in the attic, with its lead.')
  await outsider.press('Send')
  await outsider.sees('Nothing was sent yet.', 'Your name', 'How we reach you')
  expect(await outsider.valueOf('What you have to say')).toBe('One in the attic, with its lead.')
  expect(await outsider.violations()).toEqual([])
  await outsider.fill('Your name', 'Marit Oskarsen')
  await outsider.fill('How we reach you', 'marit@post.example')
  await outsider.press('Send')
  await outsider.sees('Thank you', 'It has been kept, and a person will read it.')

  await ilka.open('/')
  await ilka.sees('4 offers of parts wait to be looked over.')
  await ilka.open('/parts?side=offers')
  await ilka.sees('One in the attic, with its lead.', 'Marit Oskarsen; marit@post.example')
  expect(await ilka.violations()).toEqual([])
  await ilka.press('Take up Marit Oskarsen’s offer')
  await ilka.choose('How it comes', 'Lent', 'Take up Marit Oskarsen’s offer')
  await ilka.press('Take it up')
  await ilka.sees('Back to them by: choose a day')
  await ilka.choose('How it comes', 'Given', 'Take up Marit Oskarsen’s offer')
  await ilka.press('Take it up')
  await ilka.sees('Done with: forget it')
  // Whoever works by keys is left on the card, though the form went with its offer.
  expect(await ilka.driver.executeScript('return document.activeElement.innerText')).toBe('Offers')
  await ilka.open('/parts?side=buy')
  await ilka.sees('Promised to us; from Marit Oskarsen', 'Offered for')
  await ilka.open('/parts?side=offers')
  await ilka.press('Turn down and forget 80 mm fan, 12 V, Kerbrat, harbour electrician')
  await ilka.seesNoMore('The chandlery had a box of them')
})

it('the house sees the list first, and closes it; whoever reads it outside sees nothing then', async () => {
  await rua.open('/parts')
  await rua.press(`I have one, or know of one Membrane for the Gannet for ${await application.tagOf('Quay desk')}`)
  await rua.fill('What you have, or know', 'My aunt has a Gannet in her shop.', 'About Membrane for the Gannet')
  await rua.choose('What you can do', 'I know somebody', 'About Membrane for the Gannet')
  await rua.press('Tell the coordinators')
  await rua.sees('The coordinators know of it now.')
  await ilka.open('/parts?side=offers')
  await ilka.sees('My aunt has a Gannet in her shop.', 'Rua Tamihana, of the house')
  await ilka.press('Change the public list')
  await ilka.flip('Anybody may read it', 'The public list')
  await ilka.press('Save', 'The public list')
  await ilka.sees('It is closed: nobody outside reads it.')
  await outsider.open('/sought')
  await outsider.sees('No list here')
  for (const path of ['list.csv', 'feed.atom', 'feed.json', 'offers', 'w1/picture'])
    expect((await application.ask(`/api/sought/${path}`)).status).toBe(path === 'offers' ? 401 : 404)
})
