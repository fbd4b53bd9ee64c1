import type { Both } from '#core/kernel/both'
import type { MachineRecord } from '#core/kernel/machine'
import type { ChapterName } from '#shared/chapters/index'
import { assemble } from '../kernel/assembled'
import * as trunk from '../kernel/trunk'
import * as declared from './list'

/** Hands all chapters to the kernel; whatever opens the database imports this. */
export const chapters = assemble(Object.values(declared), trunk)

type Declared = (typeof declared)[keyof typeof declared]
type Told = Both<Declared extends infer C ? (C extends { facts?: (file: never) => infer F } ? F : never) : never>

/** Does not compile where a chapter of the contracts is missing here. */
export type Missing = Exclude<ChapterName, Declared['name']>
export const everyChapter: [Missing] extends [never] ? true : Missing = true
/** Does not compile where the chapters together tell the core less than it asks of a machine. */
export const tellsAll = (told: Told & Pick<MachineRecord, 'stage' | 'life' | 'bookedInAt'>): MachineRecord => told
