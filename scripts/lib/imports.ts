import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { basename, dirname, join, normalize } from 'node:path'
import { DirectedGraph } from 'graphology'
import { stronglyConnectedComponents } from 'graphology-components'
import ts from 'typescript'

const rooms = ['core', 'shared', 'server', 'app']
const scriptOf = (code: string) => [...code.matchAll(/<script[^>]*>([\s\S]*?)<\/script>/g)].map(m => m[1]).join('\n')

/** The file of ours that an import names; nothing for packages. */
function fileOf(from: string, named: string): string | null {
  const path = named.startsWith('#') ? named.slice(1) : named.startsWith('.') ? normalize(join(dirname(from), named)) : named.replace(/^(~~|@@)\//, '')
  return [path, `${path}.ts`, `${path}.vue`, `${path}/index.ts`].find(p => /\.(ts|vue)$/.test(p) && existsSync(p)) ?? null
}

/** What every file of the rooms imports of ours, types among it; tests left out. */
export function importGraph(): DirectedGraph {
  const graph = new DirectedGraph()
  const files = rooms
    .flatMap(room => readdirSync(room, { recursive: true, encoding: 'utf8' }).map(f => join(room, f)))
    .filter(f => /\.(ts|vue)$/.test(f) && !/\.(test|d)\.ts$/.test(f))
  for (const file of files) graph.mergeNode(file)
  for (const file of files) {
    const code = readFileSync(file, 'utf8')
    for (const { fileName } of ts.preProcessFile(file.endsWith('.vue') ? scriptOf(code) : code, true, true).importedFiles) {
      const to = fileOf(file, fileName)
      if (to && to !== file && graph.hasNode(to)) graph.mergeEdge(file, to)
    }
  }
  return graph
}

/** An import of values: what is named as a type alone leaves nothing behind. */
const ofValues = /^(?:import|export) (?!type\b)(?:(\{[^}]*\})|[^'{(=]*?) ?(?:from )?'([^']+)'/gm
const takesValues = (named = '') =>
  !named ||
  named
    .replace(/[{}]/g, '')
    .split(',')
    .some(one => one.trim() && !one.trim().startsWith('type '))

const exported = /^export (?:async )?(?:const|function\*?|class) ([A-Za-z_$][\w$]*)/gm
let found: Map<string, string> | undefined
/** What Nuxt finds by its name in the app, and in which file: components, and what folders of composables hand out. */
function byName(): Map<string, string> {
  if (found) return found
  found = new Map()
  for (const file of readdirSync('app', { recursive: true, encoding: 'utf8' }).map(f => join('app', f)))
    if (/^app\/(kernel|chapters|tools)\/.*\.vue$/.test(file)) found.set(basename(file, '.vue'), file)
    else if (/^app\/(kernel|chapters\/[a-z]+\/composables)\/.*(?<!\.test)\.ts$/.test(file))
      for (const [, name] of readFileSync(file, 'utf8').matchAll(exported)) found.set(name!, file)
  return found
}

/** What a file of the app runs with, of ours: what it imports, and what it names. */
export function runsWith(file: string): string[] {
  const code = readFileSync(file, 'utf8')
  const said = [...(file.endsWith('.vue') ? scriptOf(code) : code).matchAll(ofValues)].filter(([, named]) => takesValues(named))
  const named = file.startsWith('app/') ? [...new Set([...code.matchAll(/<([A-Z]\w+)|\b(\w+)\(/g)].map(m => (m[1] ?? m[2])!))] : []
  return [...new Set([...said.flatMap(([, , from]) => fileOf(file, from!) ?? []), ...named.flatMap(name => byName().get(name) ?? [])])].filter(
    to => to !== file,
  )
}

/** Files that import each other in a circle, the largest circle first. */
export const circlesIn = (graph: DirectedGraph): string[][] =>
  stronglyConnectedComponents(graph)
    .filter(c => c.length > 1)
    .map(c => c.sort())
    .sort((a, b) => b.length - a.length)

/**
 * What Nuxt finds by its name and no import tells: components and composables of one chapter that a file of another, or of the kernel, uses so.
 * @returns `file: name`
 */
export function unsaidUses(): string[] {
  const files = readdirSync('app', { recursive: true, encoding: 'utf8' }).map(f => join('app', f))
  const chapterOf = (file: string) => /^app\/(chapters\/[a-z]+|kernel)\//.exec(file)?.[1]
  const names = new Map<string, string>()
  for (const file of files.filter(f => f.startsWith('app/chapters/'))) {
    if (file.endsWith('.vue')) names.set(basename(file, '.vue'), file)
    else if (/composables\/[^/]+\.ts$/.test(file) && !file.endsWith('.test.ts'))
      for (const [, name] of readFileSync(file, 'utf8').matchAll(/export (?:async )?(?:const|function) (\w+)/g)) names.set(name!, file)
  }
  return files
    .filter(f => chapterOf(f) && /(?<!\.test)\.(ts|vue)$/.test(f))
    .flatMap(file => {
      const code = readFileSync(file, 'utf8')
      const imported = new Set([...code.matchAll(/import (?:type )?(?:\{([^}]*)\}|(\w+))/g)].flatMap(m => (m[1] ?? m[2]!).split(/[\s,]+/)))
      const used = new Set([...code.matchAll(/<([A-Z]\w+)|\b(\w+)\(/g)].map(m => (m[1] ?? m[2])!))
      return [...used].filter(name => names.has(name) && !imported.has(name) && chapterOf(names.get(name)!) !== chapterOf(file)).map(name => `${file}: ${name}`)
    })
}

const wordsOf = (code: string) => new Set(code.match(/[A-Za-z_$][\w$]*/g))

/**
 * What a file hands out and no other file names; a table of the database is found by whoever reads its schema, and a check by the compiler alone.
 * @returns `file: name`
 */
export function unaskedExports(): string[] {
  const files = [...rooms, 'demo', 'instruments', 'scripts', 'tests', 'nuxt.config.ts']
    .flatMap(room => (room.includes('.') ? [room] : readdirSync(room, { recursive: true, encoding: 'utf8' }).map(f => join(room, f))))
    .filter(f => /\.(ts|mts|mjs|vue)$/.test(f))
    .map(f => ({ f, code: readFileSync(f, 'utf8') }))
  const namedIn = new Map<string, number>()
  for (const { code } of files) for (const word of wordsOf(code)) namedIn.set(word, (namedIn.get(word) ?? 0) + 1)
  return files
    .filter(({ f }) => !f.endsWith('schema.ts') && f !== 'server/chapters/index.ts')
    .flatMap(({ f, code }) => [...code.matchAll(exported)].map(([, name = '']) => ({ f, name })))
    .filter(({ name }) => namedIn.get(name) === 1)
    .map(({ f, name }) => `${f}: ${name}`)
}
