import { schemaNumber } from '../db/connection'
import { version } from '../../package.json'

export default defineAnswer(() => ({ ok: true, version, schema: schemaNumber(useBench().db) }))
