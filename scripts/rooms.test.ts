import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { ESLint } from 'eslint'
import { expect, it } from 'vitest'
import type { Stage } from '#core/kernel/stages'
import { cardsOf, placeOf } from '../app/kernel/frame/cards'
import { circlesIn, importGraph, runsWith, unaskedExports, unsaidUses } from './lib/imports'
import { pieceOf } from './lib/pieces.mjs'

const eslint = new ESLint()
const complaints = async (filePath: string, code: string) => (await eslint.lintText(code, { filePath }))[0]!.messages.map(m => m.ruleId)

it.each([
  ['core/power/new.ts', '../../shared/chapters/index'],
  ['core/power/new.ts', '#shared/tools/index'],
  ['core/power/new.ts', 'node:fs'],
  ['core/power/new.ts', 'vue'],
  ['shared/tools/new.ts', '../../server/db/connection'],
  ['server/kernel/new.ts', '../../app/kernel/queries/session'],
  ['app/pages/new.ts', '~~/server/kernel/work'],
  ['app/pages/new.ts', '../../server/kernel/work'],
  // The kernel is handed the chapters.
  ['server/kernel/new.ts', '../chapters/power/index'],
  ['shared/kernel/new.ts', '../chapters/index'],
  // A chapter knows another by its index alone.
  ['server/chapters/power/new.ts', '../look/schema'],
  ['server/chapters/power/new.ts', '../look/carry-out'],
  ['shared/chapters/power/new.ts', '../supplies/shapes'],
  ['app/chapters/power/new.ts', '../look/composables/useDrawing'],
])('%s may not import %s', async (file, from) => {
  expect(await complaints(file, `import { x } from '${from}'\nexport const y = x\n`)).toContain('no-restricted-imports')
})

it.each([
  ['app/pages/new.ts', '#shared/chapters/index'],
  ['server/kernel/new.ts', '#core/power/rails'],
  ['shared/tools/new.ts', '#core/power/rails'],
  ['server/chapters/power/new.ts', '../look/index'],
  ['server/chapters/power/new.ts', './schema'],
  ['shared/chapters/power/new.ts', '../../kernel/fields'],
])('%s may import %s', async (file, from) => {
  expect(await complaints(file, `import { x } from '${from}'\nexport const y = x\n`)).toEqual([])
})

it('core has neither clock nor dice', async () => {
  expect(await complaints('core/power/new.ts', 'export const now = () => [new Date(), Date.now(), Math.random()]\n')).toEqual(
    expect.arrayContaining(['no-restricted-syntax', 'no-restricted-properties']),
  )
})

it('what comes with every page waits for no contract and no form, at whatever remove', () => {
  const pieceOfFile = (file: string) => pieceOf(join(process.cwd(), file))
  const kernel = importGraph().filterNodes(file => pieceOfFile(file) === 'kernel')
  expect(kernel.length).toBeGreaterThan(60)
  /** What comes along with a file: what goes with whoever asks for it; a piece of its own is judged as one. */
  const reachedFrom = (file: string) => {
    const [reached, ahead] = [new Set<string>(), [file]]
    for (let at = ahead.pop(); at !== undefined; at = ahead.pop())
      for (const to of runsWith(at))
        if (!reached.has(to)) {
          reached.add(to)
          if (pieceOfFile(to) === undefined) ahead.push(to)
        }
    return [...reached]
  }
  const contracts = importGraph().filterNodes(file => pieceOfFile(file) === 'contracts')
  // A file of the core that both ask for may be put into the contracts, and the kernel would wait for them all the same.
  const inContracts = new Set(contracts.flatMap(file => reachedFrom(file)).filter(to => to.startsWith('core/') && pieceOfFile(to) === undefined))
  const waits = kernel.flatMap(file =>
    reachedFrom(file)
      .filter(to => ['contracts', 'forms'].includes(pieceOfFile(to) ?? '') || inContracts.has(to))
      .map(to => `${file} waits for ${to}`),
  )
  expect(waits).toEqual([])
})

it('files hardly import each other in a circle, and no kernel knows what stands on it', () => {
  const graph = importGraph()
  expect(circlesIn(graph).filter(c => c.length > 5)).toEqual([])
  // What is imported when it is needed counts too; the lint does not see that.
  for (const room of ['core', 'shared', 'server', 'app'])
    expect(
      graph
        .filterNodes(f => f.startsWith(`${room}/kernel/`))
        .filter(f => graph.outNeighbors(f).some(to => to.startsWith(`${room}/`) && !to.startsWith(`${room}/kernel/`))),
    ).toEqual([])
})

it('what a chapter uses of another stands among its imports, though Nuxt would find it by its name', () => {
  expect(unsaidUses()).toEqual([])
})

it('nothing is handed out that nobody asks for', () => {
  expect(unaskedExports()).toEqual([])
})

it('the palette offers every card of a stage by its name, and no other', () => {
  const named = readdirSync('app/chapters', { recursive: true, encoding: 'utf8' })
    .filter(f => f.endsWith('Card.vue'))
    .flatMap(f => {
      const heads = [...readFileSync(join('app/chapters', f), 'utf8').matchAll(/<OneCard\b(.*?)(?<!=)>/gs)].map(([, head = '']) => head)
      // Without a state it is no part of a stage's index.
      return heads.filter(head => /\s:?state=/.test(head)).flatMap(head => /\sshort="([^"]+)"/.exec(head)?.[1] ?? /\stitle="([^"]+)"/.exec(head)?.[1] ?? [])
    })
  const offered = Object.values(cardsOf).flatMap(cards => Object.keys(cards))
  expect(named.length).toBeGreaterThan(35)
  expect([...new Set(named)].sort()).toEqual(offered.sort())
})

it('a next move opens at the card where it is done', () => {
  const moves = readdirSync('core', { recursive: true, encoding: 'utf8' })
    .filter(f => f.endsWith('rules.ts'))
    .flatMap(f => [...readFileSync(join('core', f), 'utf8').matchAll(/\bmove\(\s*'[a-z-]+',\s*'([a-z.-]+)',\s*'([a-z-]+)'/g)])
    .map(([, code = '', stage = '']) => ({ code, stage: stage as Stage }))
  expect(moves.length).toBeGreaterThan(25)
  expect(moves.filter(move => !placeOf(move).card)).toEqual([])
})
