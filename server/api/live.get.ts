import { createEventStream } from 'h3'
import { listen } from '../live/hub'

const pingSeconds = 20

/** Server-sent events: one message for every change. */
export default defineAnswer(async (event) => {
  await requirePerson(event)
  const stream = createEventStream(event)
  const stop = listen(change => void stream.push({ event: 'change', data: JSON.stringify(change) }))
  const ping = setInterval(() => void stream.push({ event: 'ping', data: '' }), pingSeconds * 1000)
  stream.onClosed(async () => {
    stop()
    clearInterval(ping)
    await stream.close()
  })
  void stream.push({ event: 'ping', data: '', retry: 1000 })
  return stream.send()
})
