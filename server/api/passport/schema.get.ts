import { passportSchema } from '../../chapters/sharing/index'

/** JSON Schema of a passport. */
export default defineAnswer(() => passportSchema())
