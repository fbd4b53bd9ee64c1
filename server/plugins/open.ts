import { useBench } from '../utils/bench'

/** Opens the database before the first request, so that a refusal is seen at once and not by a visitor. */
export default defineNitroPlugin((nitro) => {
  try {
    const { db } = useBench()
    nitro.hooks.hook('close', () => void db.$client.close())
  }
  catch (error) {
    console.error(error instanceof Error ? error.message : error)
    process.exit(1)
  }
})
