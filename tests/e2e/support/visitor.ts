import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Builder, Key, type WebDriver, type WebElement } from 'selenium-webdriver'
import chrome from 'selenium-webdriver/chrome.js'
import { people } from '../../../demo/people'

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
/** Where the driver has Enter and its like: a part of Unicode that nobody writes in. */
const specialKeys = /[\ue000-\uf8ff]/
const patienceMs = 45_000
/** How often a page is looked at while something is waited for. */
const lookEveryMs = 100
/** What the driver says of a question to a page that was left before it had answered. */
const leftMeanwhile = /JavascriptError|NoSuchWindowError|context was destroyed|Cannot find (default execution )?context|navigated or closed/i
function unlessLeft(error: Error) {
  if (!leftMeanwhile.test(`${error.name} ${error.message}`)) throw error
  return null
}
const written = (value: unknown) => JSON.stringify(value) ?? 'undefined'

/** What is offered to be undone repeats a sentence before the page itself says it: whoever waits for the page waits for more than that. */
const pageText = `(() => {
  const plain = e => (e?.innerText ?? '').replace(/\\s+/g, ' ').trim()
  const told = plain([...document.querySelectorAll('[role=status] button')].find(b => plain(b) === 'Undo')?.closest('[role=status]'))
  return told ? plain(document.body).replace(told, '') : plain(document.body)
})()`
/** Letters alone, of what stands in the page whether or not it is seen: asked first, for what is seen takes the whole page being laid out. */
const letters = `const letters = t => (t || '').replace(/\\s+/g, '').toLowerCase()`
const mayBeSeen = `(() => { ${letters}; return letters(document.body.textContent).includes(letters(arguments[0])) })()`

export type SignInName = (typeof people)[number]['signInName']

/** Finds what a person would: a control by its visible label, a button or link by its words, within a form or card of that name. */
const finder = `
  const [kind, name, within] = arguments
  ${letters}
  const wanted = letters(name)
  const maybe = e => letters(e.getAttribute('aria-label')).includes(wanted) || letters(e.textContent).includes(wanted)
  const words = e => (e.getAttribute('aria-label') || e.innerText || e.textContent || '').replace(/\\s+/g, ' ').trim()
  const seen = e => e.getClientRects().length > 0 && e.checkVisibility()
  const called = e => e.getAttribute('aria-label') || (e.tagName === 'FIELDSET' && words(e.querySelector('legend'))) || words(document.getElementById(e.getAttribute('aria-labelledby') || '') || document.createElement('i'))
  const scopes = within ? [...document.querySelectorAll('form, section, article, fieldset, [role=dialog], nav, li')].filter(e => seen(e) && (called(e) === within)) : [document]
  const all = (selector, likely = () => true) => scopes.flatMap(s => [...s.querySelectorAll(selector)]).filter(likely).filter(seen)
  if (kind === 'field') {
    const label = all('label', maybe).find(l => words(l) === name && l.control)
    return (label && label.control) || all('input, textarea, select').find(e => e.getAttribute('aria-label') === name) || null
  }
  if (kind === 'switch') { const label = all('label', maybe).find(l => words(l) === name); return label ? label.parentElement.querySelector('[role=switch]') : null }
  if (kind.startsWith('choice:')) {
    const group = all('[role=radiogroup]').find(g => called(g) === kind.slice(7))
    return group ? [...group.querySelectorAll('[role=radio]')].find(r => words(r) === name) || null : null
  }
  if (kind === 'list') { const label = all('label', maybe).find(l => words(l) === name); return label ? label.parentElement.querySelector('[aria-haspopup=listbox]') : null }
  if (kind === 'option') return all('[role=option]', maybe).find(o => words(o) === name) || null
  if (kind === 'press') return all('button, a, summary', maybe).find(e => words(e) === name && !e.disabled) || null
  return null`

/** A script of the page that waits for what another gives, as long as it is told to: by looking again after each change, and now and then without one. */
const watching = (script: string) => `
  const done = arguments[arguments.length - 1], [patience, ...args] = [...arguments].slice(0, -1)
  const look = function () { ${script} }
  let over = false, planned
  const end = found => { over = true; watcher.disconnect(); clearInterval(beat); clearTimeout(last); done(found) }
  const again = () => { planned = undefined; if (over) return; const found = look(...args); if (found) end(found) }
  const watcher = new MutationObserver(() => { planned ??= setTimeout(again, 20) })
  const beat = setInterval(again, 400), last = setTimeout(() => over || end(null), patience)
  watcher.observe(document, { subtree: true, childList: true, attributes: true, characterData: true })
  again()`

/** Nobody goes on while what they pressed last is on its way: the form it stood in may close, and the next press falls elsewhere. */
const answeredFirst = `if (document.querySelector('[data-saving]')) return null`

/**
 * A script that gives where to press what another finds: its middle, in sight and with nothing over it. What is pressed instead,
 * because the page moved meanwhile, is kept from hearing of it; \`besideIt\` says so, and whether the page moved between down and up.
 */
const pressing = (script: string) => `
  ${answeredFirst}
  const target = (function () { ${script} })(...arguments)
  if (!target) return null
  target.scrollIntoView({ block: 'center', behavior: 'instant' })
  const box = target.getClientRects()[0]
  if (!box) return null
  const at = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  if (!target.contains(document.elementFromPoint(at.x, at.y))) return null
  const kinds = ['pointerdown', 'mousedown', 'pointerup', 'mouseup', 'click']
  let beside, pressed = false
  const guard = event => {
    if (event.type === 'pointerdown') beside = !target.contains(event.target)
    if (event.type === 'click') pressed ||= target.contains(event.target)
    if (!beside) return
    event.stopImmediatePropagation()
    event.preventDefault()
  }
  window.besideIt?.()
  window.besideIt = () => { kinds.forEach(kind => removeEventListener(kind, guard, true)); return !pressed && (beside || target.isConnected) }
  kinds.forEach(kind => addEventListener(kind, guard, true))
  return at`

interface Browser {
  driver: WebDriver
  profile: string
}
/** Browsers that nobody sits at just now: starting one takes a slow machine longer than many a journey. */
const free: Browser[] = []
const profiles: string[] = []
process.once('exit', () => profiles.forEach(endBrowser))
process.once('SIGTERM', () => process.exit())

/**
 * The browser that was started with this profile, and its driver, by the ids that were written down then.
 * A worker that is ended in haste leaves them to whoever began the run.
 */
export function endBrowser(profile: string) {
  for (const of of ['browser-id', 'driver-id'])
    try {
      process.kill(Number(readFileSync(join(profile, of), 'utf8')), 'SIGKILL')
    } catch {
      // It has ended by itself.
    }
  try {
    rmSync(profile, { recursive: true, force: true, maxRetries: 5 })
  } catch {
    // What ends just now may still write; a folder left in the system's own for such is no harm.
  }
}

async function startBrowser(lettersPx?: number): Promise<Browser> {
  const profile = mkdtempSync(join(process.env.JOLLY_BROWSERS ?? tmpdir(), 'jolly-bench-chromium-'))
  const options = new chrome.Options()
  options.addArguments(
    '--headless=new',
    '--no-sandbox',
    '--disable-gpu',
    // Nobody looks at most of these pages: drawn coarsely and at rest, they take a sixth less work.
    ...(lettersPx ? [] : ['--force-device-scale-factor=0.25']),
    '--disable-software-rasterizer',
    '--force-prefers-reduced-motion',
    '--disable-extensions',
    '--disable-features=SpareRendererForSitePerProcess,Translate,MediaRouter,OptimizationHints',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    // A page that is looked at by nobody is a page of these journeys all the same.
    '--disable-background-timer-throttling',
    '--disable-backgrounding-occluded-windows',
    '--disable-renderer-backgrounding',
    '--window-size=1280,800',
    `--user-data-dir=${profile}`,
  )
  if (lettersPx) options.setUserPreferences({ webkit: { webprefs: { default_font_size: lettersPx } } })
  options.setBinaryPath('/usr/bin/chromium')
  const driver = await new Builder().forBrowser('chrome').setChromeOptions(options).setChromeService(new chrome.ServiceBuilder('/usr/bin/chromedriver')).build()
  const id = String((await driver.getCapabilities()).get('goog:processID'))
  writeFileSync(join(profile, 'browser-id'), id)
  // A browser is started by its driver: the second figure after its name says which process that is.
  const [, driverId = ''] = readFileSync(`/proc/${id}/stat`, 'utf8').split(') ').at(-1)!.split(' ')
  writeFileSync(join(profile, 'driver-id'), driverId)
  profiles.push(profile)
  return { driver, profile }
}

/** As after a start: one empty page, nothing that was kept of the address; but what was compiled of its scripts stays. */
async function cleared({ driver }: Browser, address: string) {
  const tools = driver as chrome.Driver
  await tools.sendDevToolsCommand('Storage.clearDataForOrigin', { origin: address, storageTypes: 'cookies,local_storage,indexeddb,service_workers' })
  await tools.sendDevToolsCommand('Network.clearBrowserCookies', {})
  const old = await driver.getAllWindowHandles()
  await driver.switchTo().newWindow('tab')
  const fresh = await driver.getWindowHandle()
  for (const handle of old) {
    await driver.switchTo().window(handle)
    await driver.close()
  }
  await driver.switchTo().window(fresh)
}

/** One person at one browser. */
export class Visitor {
  private constructor(
    private readonly browser: Browser,
    private readonly address: string,
    private readonly ownBrowser = false,
  ) {}

  get driver(): WebDriver {
    return this.browser.driver
  }

  static async arrives(address: string): Promise<Visitor> {
    return new Visitor(free.pop() ?? (await startBrowser()), address)
  }

  /**
   * Somebody whose browser is set to letters of this size, 16 px being usual. It is a browser of their own, which draws finely, for whoever looks at
   * the page, and ends with them.
   */
  static async arrivesWithLetters(address: string, lettersPx: number): Promise<Visitor> {
    return new Visitor(await startBrowser(lettersPx), address, true)
  }

  async leaves() {
    if (this.ownBrowser) return endBrowser(this.browser.profile)
    await cleared(this.browser, this.address)
    free.push(this.browser)
  }

  async open(path: string) {
    await this.until(`${answeredFirst}; return true`, [], 'what was pressed last was not answered')
    await this.driver.get(this.address + path)
  }

  size = (width: number, height: number) =>
    (this.driver as chrome.Driver).sendDevToolsCommand('Emulation.setDeviceMetricsOverride', { width, height, deviceScaleFactor: 1, mobile: false })

  /** Is signed in already, as somebody who opens the bench a second time that day. */
  async comesIn(cookie: string) {
    const [name = '', ...value] = cookie.split('=')
    await (this.driver as chrome.Driver).sendDevToolsCommand('Network.setCookie', { url: this.address, name, value: value.join('='), httpOnly: true })
  }

  async signIn(signInName: SignInName) {
    const { password, name } = people.find(p => p.signInName === signInName)!
    await this.open('/sign-in')
    await this.fill('Sign-in name', signInName)
    await this.fill('Password', password)
    await this.press('Sign in', 'Sign in')
    // The sign-in page of the demo names everybody, so it has to be gone first.
    await this.seesNoMore('Demo: come in as')
    await this.sees(name)
  }

  /** What a script of the page gives, waited for where it promises it: asked for at once, since the driver's own way takes six questions for one. */
  private async evaluate<T>(expression: string): Promise<T> {
    const { result, exceptionDetails } = (await (this.driver as chrome.Driver).sendAndGetDevToolsCommand('Runtime.evaluate', {
      expression,
      awaitPromise: true,
      returnByValue: true,
    })) as unknown as { result: { value: T }; exceptionDetails?: { exception?: { description?: string } } }
    if (exceptionDetails) throw Object.assign(new Error(exceptionDetails.exception?.description), { name: 'JavascriptError' })
    return result.value
  }

  /**
   * Waits in the page itself until a script gives something: it is asked again whenever the page changes, and not ten times a second by the driver,
   * which costs a slow machine more than the page does. A page that is left meanwhile is asked anew.
   */
  private async until<T>(script: string, args: readonly unknown[], trouble: string): Promise<T> {
    const end = Date.now() + patienceMs
    for (;;) {
      const left = end - Date.now()
      if (left <= 0) throw new Error(trouble)
      try {
        const found = await this.evaluate<T | null>(`new Promise(done => (function () { ${watching(script)} })(${[left, ...args].map(written)}, done))`)
        if (found !== null) return found
      } catch (error) {
        unlessLeft(error as Error)
        await new Promise(done => setTimeout(done, lookEveryMs))
      }
    }
  }

  /** What a person would find, as the driver's own element: for what only the driver can do with one. */
  private async find(kind: string, name: string, within?: string): Promise<WebElement> {
    return await this.untilElement(finder, [kind, name, within], `${kind} “${name}”${within ? ` in ${within}` : ''} was not found`)
  }

  private async untilElement(script: string, args: readonly unknown[], trouble: string): Promise<WebElement> {
    await this.until(`window.foundByVisitor = (function () { ${script} })(...arguments); return window.foundByVisitor ? true : null`, args, trouble)
    return await this.driver.executeScript<WebElement>('return window.foundByVisitor')
  }

  async fill(label: string, text: string, within?: string) {
    const field = ['field', label, within]
    // A page that is drawn anew between the cursor and the text takes the text from neither; then it is typed again.
    for (let tries = 0; tries < 3; tries++) {
      const takes = await this.until<'parts' | 'text'>(
        `${answeredFirst}
         const e = (function () { ${finder} })(...arguments); if (!e) return null
         e.focus(); e.scrollIntoView({ block: 'center' }); if (/^(date|time|datetime-local|month|week)$/.test(e.type)) return 'parts'; e.select(); return 'text'`,
        field,
        `field “${label}”${within ? ` in ${within}` : ''} was not found`,
      )
      // The text comes at once, as by a paste; keys that are no letters go as keys, and days and times have parts of their own.
      if (takes !== 'text' || !text || specialKeys.test(text))
        return await this.driver.switchTo().activeElement().sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE, text)
      await (this.driver as chrome.Driver).sendDevToolsCommand('Input.insertText', { text })
      const stands = await this.evaluate<boolean | null>(`(function () { ${finder} })(${field.map(written)})?.value === ${written(text)}`).catch(unlessLeft)
      if (stands !== false) return
    }
  }

  /** Chooses files for a file field, as the browser's own picker does. */
  async giveFiles(label: string, ...paths: string[]) {
    const field = await this.untilElement(
      `const label = [...document.querySelectorAll('label')].find(l => l.textContent.trim() === arguments[0]); return label && label.control`,
      [label],
      `file field “${label}” was not found`,
    )
    await field.sendKeys(paths.join('\n'))
  }

  /** Ticks a box by the words beside it. */
  async tick(label: string, within?: string) {
    await this.hit('field', label, within)
  }

  async valueOf(label: string, within?: string) {
    const { value } = await this.until<{ value: string }>(
      `const e = (function () { ${finder} })(...arguments); return e && { value: e.value }`,
      ['field', label, within],
      `field “${label}” was not found`,
    )
    return value
  }

  /** Chooses one of a few; where the answer that stands is folded to a line, that line is pressed first. */
  async choose(group: string, option: string, within?: string) {
    await this.until(
      `const found = (function () { ${finder} })(...arguments)
       if (!found) [...document.querySelectorAll('ul[aria-label=Answered] button')].find(b => b.innerText.startsWith(arguments[0].slice(7) + ':'))?.click()
       return Boolean(found) || null`,
      [`choice:${group}`, option, within],
      `${group}: “${option}” was not found`,
    )
    await this.hit(`choice:${group}`, option, within)
  }

  async select(label: string, option: string) {
    const choice = await this.untilElement(
      `const list = (function () { ${finder} })('field', arguments[0]); return list && [...list.options].find(o => o.text.trim() === arguments[1])`,
      [label, option],
      `${option} is not in ${label}`,
    )
    await choice.click()
  }

  /** Chooses from a list that opens, by its label. */
  async pick(label: string, option: string, within?: string) {
    await this.hit('list', label, within)
    await this.hit('option', option)
  }

  async flip(label: string, within?: string) {
    await this.hit('switch', label, within)
  }

  press = (words: string, within?: string) => this.hit('press', words, within)

  /**
   * Moves the mouse to a control and presses it. The driver's own click does the same for ten times the work, a third of a whole run;
   * as with it, what lies under something else cannot be pressed, and what is drawn anew meanwhile is found again.
   */
  private async hit(kind: string, words: string, within?: string) {
    const page = this.driver as chrome.Driver
    for (;;) {
      const at = await this.until<{ x: number; y: number }>(
        pressing(finder),
        [kind, words, within],
        `${kind} “${words}”${within ? ` in ${within}` : ''} was not found, or something lies over it`,
      )
      const button = { ...at, button: 'left', clickCount: 1 }
      await page.sendDevToolsCommand('Input.dispatchMouseEvent', { type: 'mouseMoved', ...at })
      await page.sendDevToolsCommand('Input.dispatchMouseEvent', { type: 'mousePressed', ...button })
      await page.sendDevToolsCommand('Input.dispatchMouseEvent', { type: 'mouseReleased', ...button })
      // A page that was left by it knows nothing of it any more.
      if (!(await this.evaluate<boolean | null>('window.besideIt?.() ?? null').catch(unlessLeft))) return
    }
  }

  /** Unfolds a card of a stage, where it is folded. */
  async unfold(title: string) {
    const card = await this.find('press', title, title)
    if ((await card.getAttribute('aria-expanded')) === 'false') await this.press(title, title)
  }

  /** Opens what is folded under a line that begins with these words. */
  async show(words: string) {
    await this.until(
      `const summary = [...document.querySelectorAll('summary')].find(s => s.getClientRects().length && s.innerText.replace(/\\s+/g, ' ').trim().startsWith(arguments[0]))
       if (summary && !summary.parentElement.open) summary.click()
       return summary ? true : null`,
      [words],
      `“${words}” was not found to be opened`,
    )
  }

  /** What has the cursor: its words or its label, and whether it is ticked. */
  private focused = () =>
    this.driver.executeScript<{ words: string; ticked: boolean | null }>(`
    const e = document.activeElement, plain = t => (t || '').replace(/\\s+/g, ' ').trim()
    const label = e.labels?.[0] ?? (e.getAttribute('aria-haspopup') === 'listbox' ? e.closest('div')?.parentElement?.querySelector('label') : null)
    return { words: plain(e.getAttribute('aria-label') || label?.innerText || e.innerText), ticked: e.type === 'checkbox' ? e.checked : null }`)

  /** Goes on with the Tab key until something of that name has the cursor, ticking what is passed where `ticks` says so. */
  async tabTo(words: string, ticks = false) {
    const passed: string[] = []
    for (let presses = 0; presses < 150; presses++) {
      const at = await this.focused()
      if (at.words === words) return
      if (ticks && at.ticked === false) await this.keys(Key.SPACE)
      passed.push(at.words)
      await this.keys(Key.TAB)
    }
    throw new Error(`“${words}” was not reached by Tab; passed: ${[...new Set(passed)].join(' · ')}`)
  }
  keys = (...keys: string[]) =>
    this.driver
      .actions()
      .sendKeys(...keys)
      .perform()

  text = () => this.evaluate<string>(pageText)

  async sees(...texts: string[]) {
    for (const text of texts) await this.until(`return ${mayBeSeen} && ${pageText}.includes(arguments[0])`, [text], `“${text}” was not seen`)
  }

  /** What was just done is told, with the press that takes it back: the same words may stand in a history long since. */
  async mayUndo(text: string) {
    await this.until(
      `return [...document.querySelectorAll('[role=status]')].some(told => told.innerText.includes(arguments[0]) && [...told.querySelectorAll('button')].some(b => b.innerText.trim() === 'Undo' && !b.disabled))`,
      [text],
      `“${text}” was not told with an Undo`,
    )
  }

  async seesNoMore(text: string) {
    await this.until(`return !(${mayBeSeen} && ${pageText}.includes(arguments[0]))`, [text], `“${text}” is still seen`)
  }

  /** Something can be pressed no more, once the page has heard of what was done. */
  async offersNoMore(words: string, within?: string) {
    await this.until(`return !(function () { ${finder} })(...arguments)`, ['press', words, within], `“${words}” is still offered`)
  }

  /** Whether something can be pressed right now. */
  offers = async (words: string, within?: string) =>
    await this.evaluate<boolean>(`(function () { ${finder} })(${['press', words, within].map(written)}) !== null`)

  /** The page as the printer gets it, on A4: a PDF. */
  async print(): Promise<Buffer> {
    const paper = { paperWidth: 8.27, paperHeight: 11.69, preferCSSPageSize: true }
    const printed = (await (this.driver as chrome.Driver).sendAndGetDevToolsCommand('Page.printToPDF', paper)) as unknown as { data: string }
    return Buffer.from(printed.data, 'base64')
  }

  /** Violations that axe finds on the page, each with where: of every rule, or of contrast alone. */
  async violations(of: 'every rule' | 'contrast' = 'every rule'): Promise<string[]> {
    const rules = of === 'contrast' ? ['color-contrast', 'link-in-text-block'] : ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
    // The checker is half a megabyte of script: a page takes it once.
    if (!(await this.evaluate('"axe" in window'))) await this.evaluate(`{${axeSource}\n}undefined`)
    return await this.evaluate<string[]>(
      `axe.run(document, { resultTypes: ["violations"], elementRef: false, iframes: false, preload: false, runOnly: ${JSON.stringify(rules)} })
        .then(r => r.violations.flatMap(v => v.nodes.map(n => v.id + ': ' + n.target + ' ' + (n.any[0]?.message || n.failureSummary || ''))))`,
    )
  }
}
