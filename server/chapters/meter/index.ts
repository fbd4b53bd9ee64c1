import { serverChapter } from '../../kernel/chapter'
import { setMeter } from './carry-out'

/** The one meter of the bench: where it answers. Asking it is `desk`. */
export const meterChapter = serverChapter({ name: 'meter', onCollection: { 'set-meter': setMeter } })
export * from './desk'
export * from './simulation'
