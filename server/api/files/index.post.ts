import { getHeader } from 'h3'
import { InputError } from '#core/kernel/input-error'
import { type FileKept, largestPhotographBytes } from '#shared/chapters/look/index'
import { keepImage } from '../../files/image-file'
import { rememberFile } from '../../chapters/look/index'

/** Takes in the file of a photograph, as the body of the request. What is shown where is said by a command afterwards. */
export default defineAnswer(async (event): Promise<FileKept> => {
  const person = await requireLeave(event, 'add-photograph')
  if (Number(getHeader(event, 'content-length') ?? 0) > largestPhotographBytes)
    throw new InputError('file', 'too large', `Larger than ${largestPhotographBytes / 1e6} MB. Send a smaller copy.`)
  const { db, now } = useBench()
  const { mime, ...file } = await keepImage(dataFolder(), event.node.req, { whose: `person ${person.id}`, gone: leaving(event) })
  rememberFile(db, { mime, ...file }, now())
  return file
})
