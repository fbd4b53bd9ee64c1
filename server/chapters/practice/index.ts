import { serverChapter } from '../../kernel/chapter'
import { confirmClock, setMeter, setPractice } from './carry-out'

/** The practice: what can be done, with its rules in the core. */
export const practiceChapter = serverChapter({ onCollection: { 'set-practice': setPractice, 'set-meter': setMeter, 'confirm-clock': confirmClock } })
export * from './carry-out'
export * from './schema'
