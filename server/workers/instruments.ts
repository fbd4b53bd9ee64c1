import { toolById } from '#shared/tools/index'
import { readToolInput } from '#shared/tools/tool'
import { hands } from '../files/hands'
import { badInputAnswer, jsonOf } from '../kernel/bad-input'
import { giveWay } from '../kernel/turns/give-way'

giveWay()

/** What a thread is given: the instrument, and the body of the request as it came. */
export interface InstrumentTask {
  id: string
  body: string
}
/** What it hands back: the answer as JSON, made here so that nobody waits for that either. */
export interface InstrumentDone {
  status: 200 | 422
  json: string
}

/** Reads, checks and runs one instrument, in a thread of its own. */
export default async function run({ id, body }: InstrumentTask): Promise<InstrumentDone> {
  const tool = toolById(id)!
  try {
    const input = readToolInput(tool.input, jsonOf(body))
    return { status: 200, json: JSON.stringify({ result: 'work' in tool ? await tool.work(input, hands) : tool.run(input) }) }
  } catch (error) {
    const answer = badInputAnswer(error)
    if (!answer) throw error
    return { status: 422, json: JSON.stringify(answer) }
  }
}
