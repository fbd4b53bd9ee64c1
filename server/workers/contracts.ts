import { type CommandName, readCommandInput } from '#shared/chapters/index'
import type { ErrorAnswer } from '#shared/kernel/answers'
import { chapters } from '../chapters/index'
import { badInputAnswer, jsonOf } from '../kernel/bad-input'
import { giveWay } from '../kernel/turns/give-way'

giveWay()

/** What a thread is given: a command by its name, and the body of the request as it came. */
export interface ContractTask {
  name: CommandName
  body: string
}
export type ContractDone = { input: unknown } | { refused: ErrorAnswer }

/** Reads a request, checks it by the contract of its command and prepares it for whoever carries it out, beside the request loop. */
export default function check({ name, body }: ContractTask): ContractDone {
  try {
    const input = readCommandInput(name, jsonOf(body))
    return { input: chapters.preparations[name]?.(input as never) ?? input }
  } catch (error) {
    const refused = badInputAnswer(error)
    if (refused) return { refused }
    throw error
  }
}
