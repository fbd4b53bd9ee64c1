import { FetchError } from 'ofetch'
import { type CommandName, type CommandRequest, type MachineCommandName, machineCommands } from '#shared/contracts/commands'
import type { ErrorAnswer } from '#shared/contracts/views'

/** A request that was refused or did not get through, with what the server said of it. */
export class ApiError extends Error {
  constructor(readonly status: number, readonly answer: ErrorAnswer['error']) {
    super(answer.message)
  }
}

async function asked<T>(request: Promise<T>): Promise<T> {
  try {
    return await request
  }
  catch (error) {
    const answer = error instanceof FetchError ? (error.data as ErrorAnswer | undefined)?.error : undefined
    if (answer && error instanceof FetchError) throw new ApiError(error.status ?? 500, answer)
    throw new ApiError(0, { code: 'unreachable', message: 'The bench cannot be reached just now. What you typed is still here; try again in a moment.' })
  }
}

/** Talks to the server: questions by path, changes by the name of a command. */
export function useApi() {
  return {
    get: <T>(path: string, query?: Record<string, string>) => asked($fetch<T>(path, { query })),
    send: <T>(path: string, body: unknown, method: 'POST' | 'DELETE' = 'POST') => asked($fetch<T>(path, { method, body: body as Record<string, unknown> })),
    /** Commands on a machine need its tag. */
    command: <N extends CommandName>(name: N, input: CommandRequest<N>, tag?: string) => {
      const path = name in machineCommands ? `/api/machines/${encodeURIComponent(tag ?? '')}/${name as MachineCommandName}` : `/api/collection/${name}`
      return asked($fetch<{ result: unknown }>(path, { method: 'POST', body: input as Record<string, unknown> }))
    },
  }
}
