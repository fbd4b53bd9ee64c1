import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** The one meter of the bench, or its stand-in: where it answers, and what it reads. */
export const meter = chapter({ name: 'meter', onCollection, entries })
export * from './view'
