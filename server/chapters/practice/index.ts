import { serverChapter } from '../../kernel/chapter'
import { setMeter, setPractice } from './carry-out'

/** The practice: what can be done, with its rules in the core. */
export const practiceChapter = serverChapter({ onCollection: { 'set-practice': setPractice, 'set-meter': setMeter } })
export * from './carry-out'
export * from './schema'
