import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { SessionView } from '#shared/chapters/people/index'
import { dataFolder } from './bench'

/** The made-up people of the demo. The file lies only in a data folder that the demo filled. */
export function demoSignIns(): SessionView['demoSignIns'] {
  try {
    return JSON.parse(readFileSync(join(dataFolder(), 'demo-sign-ins.json'), 'utf8')) as SessionView['demoSignIns']
  } catch {
    return []
  }
}
