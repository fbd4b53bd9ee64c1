import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fillDemo } from './application'

/** The demo is filled once for all browser tests; each file works on a copy of its own. */
export default async function fillOnce() {
  // Whoever runs all tests has filled it already.
  if (process.env.JOLLY_DEMO_TEMPLATE) return
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-template-'))
  await fillDemo(folder)
  process.env.JOLLY_DEMO_TEMPLATE = folder
  return () => rmSync(folder, { recursive: true })
}
