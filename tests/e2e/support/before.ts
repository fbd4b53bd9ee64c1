import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fillDemo } from './application'
import { endBrowser } from './visitor'

/** What all browser tests share: the demo, filled once, of which each file copies its own, and a folder for the browsers, so that none outlives the run. */
export default async function before() {
  const browsers = (process.env.JOLLY_BROWSERS = mkdtempSync(join(tmpdir(), 'jolly-bench-browsers-')))
  // Whoever runs all tests has filled the demo already.
  const template = process.env.JOLLY_DEMO_TEMPLATE ? undefined : (process.env.JOLLY_DEMO_TEMPLATE = mkdtempSync(join(tmpdir(), 'jolly-bench-template-')))
  if (template) await fillDemo(template)
  return () => {
    for (const profile of readdirSync(browsers)) endBrowser(join(browsers, profile))
    for (const folder of [browsers, template]) if (folder) rmSync(folder, { recursive: true, maxRetries: 5 })
  }
}
