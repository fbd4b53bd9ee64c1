import { beforeAll, describe, expect, it } from 'vitest'
import { stages } from '#core/planning/stages'
import type { MachineSheet } from '#shared/chapters/index'
import { atTheBench } from '../support/bench'

const {
  application,
  visitors: [ilka],
} = atTheBench([null])
let cookie: string

beforeAll(async () => {
  cookie = await application.cookieOf('ilka')
})

describe('axe finds nothing', () => {
  /** Every rule on the light surface; on the dark one, which differs in its colours alone, contrast. */
  const cleanInLight = async (path: string, ...seen: string[]) => {
    await ilka.open(path)
    await ilka.sees(...seen)
    expect(await ilka.violations(), path).toEqual([])
  }
  const clean = async (path: string, ...seen: string[]) => {
    await cleanInLight(path, ...seen)
    await ilka.driver.executeScript('document.documentElement.dataset.theme = "dark"')
    expect(await ilka.violations('contrast'), `${path}, dark`).toEqual([])
  }

  it('signed out', async () => {
    await ilka.open('/')
    await ilka.driver.manage().deleteAllCookies()
    await clean('/sign-in', 'Demo: come in as')
    await clean('/tools', 'Every instrument on its own')
    await clean('/tools/cautions', 'Peroxide')
    const { passport } = (await (await application.ask(`/api/machines/${await application.tagOf('Weather club')}`, { cookie })).json()) as {
      passport: { path: string }
    }
    await clean(passport.path, 'machine passport')
  })

  it('in every place', async () => {
    await ilka.signIn('ilka')
    await clean('/', 'Urgent', 'Next moves')
    await clean('/store', '24 machines')
    await clean('/parts', 'A start depends on them')
    await clean('/settings', 'People')
    await clean('/book-in', 'What it is')
    await cleanInLight('/book-in/lot', 'The same for all')
    await cleanInLight('/models', 'Petrel 8S')
    await clean('/workshop', 'On the shelf')
    await clean('/models/1', 'Kept here')
    for (const [id, seen] of [
      ['identify/date-code', 'Readings'],
      ['power/rails', 'Add a rail'],
      ['safety/gate', 'What would open it'],
      ['condition/triage', 'is best supported'],
      ['condition/corrosion-area', 'Choose a picture'],
      ['cleaning/methods', 'Suited'],
      ['cleaning/whitening-forecast', 'Had it enough'],
      ['cleaning/colour-match', 'Side by side'],
      ['continuity/probe-plan', 'Checks for'],
      ['continuity/patch-plan', 'Wire to cut'],
    ] as const)
      // Their faces share their colours; one of them stands for all on the dark surface.
      await (id === 'power/rails' ? clean : cleanInLight)(`/tools/${id}`, seen)
  })

  it('where machines are examined', async () => {
    const [examined, lent] = [await application.tagOf('Schoolroom A'), await application.tagOf('Outer bank')]
    await clean(`/m/${examined}?stage=look`, 'Opening record', 'Board as found')
    await clean(`/m/${lent}?stage=look`, 'What would change the order')
    await clean(`/m/${lent}?stage=arrive`, 'Consent of its owner')
    const {
      photographs: [photograph, other],
    } = (await (await application.ask(`/api/machines/${examined}`, { cookie })).json()) as MachineSheet
    await clean(`/m/${examined}/photo/${photograph!.id}`, 'Draw a mark')
    await clean(`/m/${examined}/compare?a=${photograph!.id}&b=${other!.id}`, 'Sliding divider')
    await clean(`/m/${lent}/letter/1`, 'We need your answer to')
  })

  it('on every stage of a sheet, and on the label', async () => {
    const tag = await application.tagOf('Harbour office')
    for (const stage of stages) await clean(`/m/${tag}?stage=${stage}`, 'Harbour office', 'Next moves')
    await clean(`/m/${await application.tagOf('Two-tone')}?stage=clean`, 'Whitening: bezel', 'Go on')
    await clean(`/m/${await application.tagOf('Lifeboat house')}?stage=clean`, 'Still drying', 'Looked at again: gone')
    await clean(`/m/${tag}/label`, 'Replaced and repaired')
    await clean(`/m/${await application.tagOf('Slipway')}?stage=make-safe`, 'Before the switch', 'Starts there were')
    await clean(`/m/${tag}/start`, 'No start of this machine is running')
  })
})
