import { beforeAll, describe, expect, it } from 'vitest'
import { stages } from '#core/kernel/stages'
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

describe('axe finds nothing, and a phone shows all of it,', () => {
  /** Nothing is wider than a phone, and whatever is pressed is as tall as a finger. */
  async function fitsAPhone(path: string) {
    await ilka.size(390, 844)
    // Charts take the new width a moment later.
    await ilka.driver.wait(() => ilka.driver.executeScript('return document.documentElement.scrollWidth <= 390'), 3000, `${path} is wider than a phone`, 50)
    const small = await ilka.driver.executeScript<string[]>(
      'return [...document.querySelectorAll("main .button, nav button")].filter(b => b.getClientRects().length && b.getBoundingClientRect().height < 43.5).map(b => b.innerText)',
    )
    expect(small, path).toEqual([])
    await ilka.size(1280, 800)
  }
  /** Every rule on the light surface; on the dark one, which differs in its colours alone, contrast. */
  const cleanInLight = async (path: string, ...seen: string[]) => {
    await ilka.open(path)
    await ilka.sees(...seen)
    expect(await ilka.violations(), path).toEqual([])
    await fitsAPhone(path)
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
    await cleanInLight('/tools', 'Every instrument on its own')
    await cleanInLight('/tools/cautions', 'Peroxide')
    const { passport } = (await (await application.ask(`/api/machines/${await application.tagOf('Weather club')}`, { cookie })).json()) as {
      passport: { path: string }
    }
    await clean(passport.path, 'machine passport')
  })

  it('in every place', async () => {
    await ilka.signIn('ilka')
    await clean('/', 'Urgent', 'Next moves')
    await clean('/store', '24 machines')
    await cleanInLight('/parts', 'A start depends on them')
    await clean('/parts?side=held', '14-pin double-wipe socket')
    await clean('/parts?side=give', 'What should be bought')
    await clean('/settings', 'People')
    await cleanInLight('/book-in', 'What it is')
    await cleanInLight('/book-in/lot', 'The same for all')
    await cleanInLight('/models', 'Petrel 8S')
    await cleanInLight('/store?view=run', 'Slipway')
    await clean('/store?view=wall', 'Slipway', 'No portrait chosen yet')
    await cleanInLight('/tools/cleaning/bath', 'Jolly Bench')
    await cleanInLight('/workshop', 'On the shelf')
    await cleanInLight('/models/1', 'In this collection')
    for (const [id, seen] of [
      ['power/rails', 'Add a rail'],
      ['safety/gate', 'What would open it'],
      ['condition/corrosion-area', 'Choose a picture'],
      ['cleaning/whitening-forecast', 'Had it enough'],
      ['continuity/patch-plan', 'Wire to cut'],
    ] as const)
      // Their faces share their colours; one of them stands for all on the dark surface.
      await (id === 'power/rails' ? clean : cleanInLight)(`/tools/${id}`, seen)
  })

  it('where machines are examined', async () => {
    const [examined, lent] = [await application.tagOf('Schoolroom A'), await application.tagOf('Outer bank')]
    await clean(`/m/${examined}?stage=look`, 'Opening record', 'Board as found')
    await cleanInLight(`/m/${lent}?stage=look`, 'What would change the order')
    await cleanInLight(`/m/${lent}?stage=arrive`, 'Consent of its owner')
    const {
      photographs: [photograph, other],
    } = (await (await application.ask(`/api/machines/${examined}`, { cookie })).json()) as MachineSheet
    await clean(`/m/${examined}/photo/${photograph!.id}`, 'Draw a mark')
    await clean(`/m/${examined}/compare?a=${photograph!.id}&b=${other!.id}`, 'Sliding divider')
    const { stewardship } = (await (await application.ask(`/api/machines/${lent}`, { cookie })).json()) as MachineSheet
    await clean(`/m/${lent}/letter/${stewardship.letters[0]!.id}`, 'We need your answer to')
  })

  it('on every stage of a sheet, and on the label', async () => {
    const tag = await application.tagOf('Harbour office')
    for (const stage of stages.filter(s => s !== 'clean')) await clean(`/m/${tag}?stage=${stage}`, 'Harbour office', 'Next moves')
    await clean(`/m/${await application.tagOf('Two-tone')}?stage=clean`, 'Whitening: bezel', 'Go on')
    await cleanInLight(`/m/${await application.tagOf('Lifeboat house')}?stage=clean`, 'Still drying', 'Looked at again: gone')
    await cleanInLight(`/m/${tag}/label`, 'Replaced and repaired')
    await cleanInLight(`/m/${tag}/bench`, 'In the trays')
    await cleanInLight(`/labels?tags=${tag}`, 'Do not plug in')
    await clean(`/m/${await application.tagOf('Sixty passes')}?stage=prove`, 'back to Main board')
    await clean(`/m/${await application.tagOf('Weather club')}?stage=home`, 'As found, as released')
    await clean(`/m/${await application.tagOf('Slipway')}?stage=make-safe`, 'Before the switch', 'Earlier starts')
    await clean(`/m/${tag}/start`, 'No start of this machine is running')
  })
})
