import { createEventStream, getQuery } from 'h3'
import { listen } from '../live/hub'
import { openStream } from '../live/streams'
import { watch } from '../chapters/starts/running'

const pingSeconds = 20

/** Server-sent events: one message for every change; with `?start=<tag>` also every picture of a start of that machine. */
export default defineAnswer(async event => {
  const gone = leaving(event)
  const { id, role } = await requirePerson(event)
  // Whoever left while they were asked who they are hears of nothing, and leaves nobody listening for them.
  if (gone.aborted) return
  const stream = createEventStream(event)
  const push = (name: string, what: unknown) => void stream.push({ event: name, data: JSON.stringify(what) })
  const closeUnlessAsBefore = async () => {
    const person = await personOf(event)
    if (person?.id !== id || person.role !== role) await stream.close()
  }
  const { start } = getQuery(event)
  const time = () => useBench().now().toISOString()
  const ping = setInterval(() => void stream.push({ event: 'ping', data: time() }), pingSeconds * 1000)
  const stops = [
    openStream(id, () => void stream.close()),
    () => clearInterval(ping),
    listen(change => {
      push('change', change)
      // A page whose session was ended, or who got another role, hears of it, and of nothing more under the old one.
      if (change.kinds.some(kind => /^(session|person)\./.test(kind))) void closeUnlessAsBefore()
    }),
    ...(typeof start === 'string' ? [watch(start, frame => push('start', frame), useBench().now().getTime())] : []),
  ]
  const stop = () => stops.splice(0).forEach(stop => stop())
  gone.addEventListener('abort', stop, { once: true })
  stream.onClosed(async () => {
    stop()
    await stream.close()
  })
  void stream.push({ event: 'ping', data: time(), retry: 1000 })
  return stream.send()
})
