import { afterAll, beforeAll, expect, it } from 'vitest'
import { type Application, startApplication } from '../support/application'
import { Visitor } from '../support/visitor'

let application: Application
let reader: Visitor
beforeAll(async () => {
  application = await startApplication()
  // Twice as large as usual, as somebody sets them who reads badly in poor light.
  reader = await Visitor.arrivesWithLetters(application.address, 32)
  await reader.comesIn(await application.cookieOf('ilka'))
})
afterAll(async () => {
  await reader.leaves()
  await application.stop()
})

/** What reaches over the right edge of the page, but for what is moved sideways in a frame of its own. */
const overTheEdge = `const width = document.documentElement.clientWidth
  const framed = e => { for (let p = e.parentElement; p; p = p.parentElement) if (getComputedStyle(p).overflowX !== 'visible' && p.getBoundingClientRect().right <= width + 1) return true; return false }
  return [...document.querySelectorAll('main *, header *')]
    .filter(e => e.checkVisibility() && e.getBoundingClientRect().right > width + 1 && getComputedStyle(e).position !== 'fixed' && !framed(e))
    .map(e => e.tagName + ' ' + (e.innerText || '').replace(/\\s+/g, ' ').slice(0, 40)).slice(0, 5)`

/** Words of the bar at the bottom that reach out of their own key. */
const overPrinted = `return [...document.querySelectorAll('.bar a, .bar button')].filter(e => e.checkVisibility() && e.scrollWidth > e.clientWidth + 1).map(e => e.innerText.trim())`

it.each([
  [1280, 800],
  [390, 844],
])('with letters twice as large nothing runs over the edge of a page %i wide', async (width, height) => {
  await reader.size(width, height)
  const tag = await application.tagOf('Harbour office')
  const stages = ['arrive', 'look', 'make-safe', 'clean', 'mend', 'prove', 'home'].map(stage => `/m/${tag}?stage=${stage}`)
  const over: Record<string, string[]> = {}
  for (const path of [
    ...stages,
    `/m/${tag}/start`,
    '/',
    '/store',
    '/parts',
    '/parts?side=held',
    '/parts?side=give',
    '/plan',
    '/workshop',
    '/models',
    '/tools',
    '/settings',
  ]) {
    await reader.open(path)
    await reader.driver.wait(() => reader.driver.executeScript(`return document.querySelector('h1') && !document.body.innerText.includes('Fetching')`), 20_000)
    expect(await reader.driver.executeScript('return parseFloat(getComputedStyle(document.body).fontSize)'), path).toBe(32)
    const found = await reader.driver.executeScript<string[]>(overTheEdge)
    const printedOver = await reader.driver.executeScript<string[]>(overPrinted)
    if (found.length + printedOver.length) over[path] = [...found, ...printedOver]
  }
  expect(over).toEqual({})
})
