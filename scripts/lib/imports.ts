import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { dirname, join, normalize } from 'node:path'
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

/** Files that import each other in a circle, the largest circle first. */
export const circlesIn = (graph: DirectedGraph): string[][] =>
  stronglyConnectedComponents(graph)
    .filter(c => c.length > 1)
    .map(c => c.sort())
    .sort((a, b) => b.length - a.length)
