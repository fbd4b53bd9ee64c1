import type { CommandName } from '#shared/chapters/index'
import { prepareBoard } from './continuity/prepare-board'
import { prepareJudgement } from './record/judged'

/** The commands whose input is prepared in a thread, however small the request. */
const preparations: Partial<Record<CommandName, (input: never) => unknown>> = {
  'add-board': prepareBoard,
  'keep-judgement': prepareJudgement,
  'pin-result': prepareJudgement,
}
export const preparedInThread = (name: CommandName): boolean => name in preparations

/** @param input as its contract passed it */
export const prepare = (name: CommandName, input: unknown): unknown => preparations[name]?.(input as never) ?? input
