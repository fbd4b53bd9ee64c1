/** Reads the tests anew for each wrong turn and runs those that come past it, in the order that it is told, until one notices. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { Script } from 'node:vm'

const bundle = process.argv[2]!
const script = new Script(`(function (require, module, exports, wrongTurn) {${readFileSync(bundle, 'utf8')}\n})`, { filename: bundle })
const require = createRequire(bundle)

interface Test {
  name: string
  folder: string
  run: () => unknown
}
function read(wrongTurn: (n: number) => boolean): Test[] {
  const module = { exports: {} as { registered: Test[] } }
  ;(script.runInThisContext() as (...args: unknown[]) => void)(require, module, module.exports, wrongTurn)
  return module.exports.registered
}

export interface Passed {
  /** Which tests come past each turn; *all* where it is passed while the files are read. */
  by: Record<number, number[] | 'all'>
  milliseconds: number[]
  folders: string[]
  failed: string[]
}

/** Runs all tests as they stand, and notes what each comes past. */
async function lookAround(): Promise<Passed> {
  const by: Record<number, Set<number> | 'all'> = {}
  let now: number | undefined
  const tests = read(n => {
    if (now === undefined) by[n] = 'all'
    else {
      const past = (by[n] ??= new Set())
      if (past !== 'all') past.add(now)
    }
    return false
  })
  const milliseconds: number[] = []
  const failed: string[] = []
  for (const [nth, test] of tests.entries()) {
    now = nth
    const began = performance.now()
    try {
      await test.run()
    } catch (error) {
      failed.push(`${test.name}: ${String(error)}`)
    }
    milliseconds.push(performance.now() - began)
  }
  return {
    by: Object.fromEntries(Object.entries(by).map(([n, which]) => [n, which === 'all' ? which : [...which]])),
    milliseconds,
    folders: tests.map(t => t.folder),
    failed,
  }
}

/** The name of a test that notices this turn. */
async function noticedBy(turn: number, order: readonly number[]): Promise<string | undefined> {
  let tests: Test[]
  try {
    tests = read(n => n === turn)
  } catch {
    return 'reading the files'
  }
  for (const nth of order) {
    try {
      await tests[nth]!.run()
    } catch {
      return tests[nth]!.name
    }
  }
  return undefined
}

process.on('message', (asked: { turn: number; order: number[] } | 'look around') => {
  if (asked === 'look around') void lookAround().then(passed => process.send!(passed))
  else void noticedBy(asked.turn, asked.order).then(name => process.send!({ turn: asked.turn, by: name }))
})
