import { v7 as uuidv7 } from 'uuid'
import { type FileKept, largestPhotographBytes } from '#shared/chapters/look/index'
import type { ErrorAnswer } from '#shared/kernel/answers'

export interface Upload {
  key: number
  name: string
  share: number
  state: 'waiting' | 'sending' | 'working' | 'kept' | 'later' | 'refused' | 'left'
  message: string
  file: File
}

const atOnce = 2

/** Sends one file, and says how far it is. The browser's older request object is used for its progress while sending. */
const transferred = (request: XMLHttpRequest, upload: Upload) =>
  new Promise<FileKept>((kept, refused) => {
    request.open('POST', '/api/files')
    request.setRequestHeader('content-type', 'application/octet-stream')
    request.responseType = 'json'
    request.upload.onprogress = ({ loaded, total }) => {
      upload.share = loaded / total
      if (loaded === total) upload.state = 'working'
    }
    request.onload = () =>
      request.status < 300
        ? kept(request.response as FileKept)
        : refused(new Error((request.response as ErrorAnswer | null)?.error.message ?? 'The server did not take it. Try again.'))
    request.onerror = () => refused(new ApiError(0, { code: 'unreachable', message: 'The bench cannot be reached just now. Try again in a moment.' }))
    request.onabort = () => refused(new Error('Left.'))
    request.send(upload.file)
  })

/** Sends photographs of a machine, a few at a time: each with its progress, each refused, left or tried again alone. @param kept hears of each that was kept */
export function useUploads(tag: MaybeRefOrGetter<string>, kept: (photographId: number) => void = () => {}) {
  const api = useApi()
  const changes = useChanges()
  const outbox = useOutbox()
  const uploads = ref<Upload[]>([])
  const requests = new Map<number, XMLHttpRequest>()
  let keys = 0

  function add(files: Iterable<File>, assemblyId: number | null = null) {
    for (const file of files) {
      const tooLarge = file.size > largestPhotographBytes
      uploads.value.push({
        key: ++keys,
        name: file.name,
        share: 0,
        state: tooLarge ? 'refused' : 'waiting',
        message: tooLarge ? `Larger than ${largestPhotographBytes / 1e6} MB. Send a smaller copy.` : '',
        file,
      })
    }
    assembly = assemblyId
    next()
  }
  let assembly: number | null = null

  function next() {
    const busy = uploads.value.filter(u => u.state === 'sending' || u.state === 'working').length
    uploads.value
      .filter(u => u.state === 'waiting')
      .slice(0, atOnce - busy)
      .forEach(upload => void send(upload))
  }

  async function send(upload: Upload) {
    upload.state = 'sending'
    upload.message = ''
    const id = uuidv7()
    const command = { name: upload.name, assemblyId: assembly }
    try {
      const request = new XMLHttpRequest()
      requests.set(upload.key, request)
      const { hash } = await transferred(request, upload)
      const { change, result } = await api.command('add-photograph', { hash, ...command }, toValue(tag), id)
      upload.state = 'kept'
      if (change) await changes.take(change)
      kept((result as { photographId: number }).photographId)
    } catch (error) {
      // Leaving it is no failure, and has said so already.
      if ((upload.state as string) === 'left') return
      const unreachable = error instanceof ApiError && error.status === 0
      if (unreachable && outbox.put('add-photograph', { id, tag: toValue(tag), input: command, file: upload.file }))
        Object.assign(upload, { state: 'later', message: waitsHere })
      else Object.assign(upload, { state: 'refused', message: (error as Error).message })
    } finally {
      requests.delete(upload.key)
      next()
    }
  }

  function leave(upload: Upload) {
    upload.state = 'left'
    requests.get(upload.key)?.abort()
    next()
  }
  function again(upload: Upload) {
    Object.assign(upload, { state: 'waiting', share: 0, message: '' })
    next()
  }
  const clear = () => (uploads.value = uploads.value.filter(u => ['waiting', 'sending', 'working'].includes(u.state)))

  return { uploads, add, leave, again, clear }
}
