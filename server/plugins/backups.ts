import { useBackups } from '../utils/backups'

const lookEveryMs = 10 * 60_000
/** A server that has just started has other things to do. */
const firstAfterMs = 60_000

/** Makes backups by themselves, as often as is set. */
export default defineNitroPlugin(nitro => {
  const look = () => void useBackups().look()
  const first = setTimeout(look, firstAfterMs)
  const clock = setInterval(look, lookEveryMs)
  nitro.hooks.hook('close', () => {
    clearTimeout(first)
    clearInterval(clock)
  })
})
