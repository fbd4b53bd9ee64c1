import type { StartFrame } from '#shared/chapters/starts/index'

/** Watches a start as an open page does, without a browser: every picture of it, as the server sends them. @returns how to stop */
export async function watchStart(address: string, cookie: string, tag: string, told: (frame: StartFrame) => void): Promise<() => void> {
  const ended = new AbortController()
  const answer = await fetch(`${address}/api/live?start=${encodeURIComponent(tag)}`, { headers: { cookie }, signal: ended.signal })
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader()
  const read = async () => {
    for (let rest = '', piece = await reader.read(); !piece.done; piece = await reader.read()) {
      const messages = (rest + piece.value).split('\n\n')
      rest = messages.pop() ?? ''
      for (const message of messages) if (message.includes('event: start')) told(JSON.parse(/^data: (.*)$/m.exec(message)![1]!) as StartFrame)
    }
  }
  // Being stopped is how every watch ends.
  read().catch((error: Error) => {
    if (error.name !== 'AbortError') throw error
  })
  return () => ended.abort()
}
