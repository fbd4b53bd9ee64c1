import { FetchError, type FetchResponse } from 'ofetch'
import { v7 as uuidv7 } from 'uuid'
import type { CommandName, CommandRequest } from '#shared/chapters/index'
import { type CommandAnswer, type ErrorAnswer, commandIdHeader, commandWaitedHeader, serverTimeHeader } from '#shared/kernel/answers'

/** A request that was refused or did not get through, with what the server said of it. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly answer: ErrorAnswer['error'],
  ) {
    super(answer.message)
  }
}

/** Talks to the server: questions by path, changes by the name of a command. */
export function useApi() {
  const clock = useClock()

  /** The session was ended elsewhere: what was typed is kept, and whoever signs in again comes back to it. */
  async function signedOut() {
    const session = useSession()
    if (!session.person) return
    await session.load()
    if (!session.person) await navigateTo({ path: '/sign-in', query: { then: useRouter().currentRoute.value.fullPath, ended: 'yes' } })
  }

  async function asked<T>(
    path: string,
    options: { method?: 'GET' | 'POST' | 'DELETE'; query?: object; body?: object; headers?: Record<string, string>; signal?: AbortSignal },
  ): Promise<T> {
    try {
      // The routes' own types would be worked out anew for every path; the caller says what it expects.
      const response = (await ($fetch.raw as (path: string, options: object) => Promise<FetchResponse<T>>)(path, options)) as FetchResponse<T>
      clock.heard(response.headers.get(serverTimeHeader))
      return response._data as T
    } catch (error) {
      // Whoever ended it knows of it, and is told nothing else.
      options.signal?.throwIfAborted()
      const answer = error instanceof FetchError ? (error.data as ErrorAnswer | undefined)?.error : undefined
      if (answer && error instanceof FetchError) {
        if (answer.code === 'not-signed-in') void signedOut()
        throw new ApiError(error.status ?? 500, answer)
      }
      throw new ApiError(0, { code: 'unreachable', message: 'The bench cannot be reached just now. What you typed is still here; try again in a moment.' })
    }
  }

  return {
    /** @param signal ends the request, and what is worked out for it */
    get: <T>(path: string, query?: object, signal?: AbortSignal) => asked<T>(path, { query, signal }),
    send: <T>(path: string, body: unknown, { method = 'POST', signal }: { method?: 'POST' | 'DELETE'; signal?: AbortSignal } = {}) =>
      asked<T>(path, { method, body: body as object, signal }),
    /** A file as it is. */
    sendFile: <T>(path: string, body: Blob) => asked<T>(path, { method: 'POST', body, headers: { 'content-type': 'application/octet-stream' } }),
    /**
     * Commands on a machine need its tag; the others are on the collection.
     * @param id its own: the same command sent twice under one id is carried out once
     * @param waitedMs for how long it could not be sent
     */
    command: <N extends CommandName>(name: N, input: CommandRequest<N>, tag?: string, id: string = uuidv7(), waitedMs = 0) => {
      const path = tag === undefined ? `/api/collection/${name}` : `/api/machines/${encodeURIComponent(tag)}/${name}`
      return asked<CommandAnswer>(path, {
        method: 'POST',
        body: input as object,
        headers: { [commandIdHeader]: id, ...(waitedMs > 0 ? { [commandWaitedHeader]: String(Math.round(waitedMs)) } : {}) },
      })
    },
  }
}
