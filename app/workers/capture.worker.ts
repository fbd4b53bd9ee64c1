import { expose, transfer } from 'comlink'
import { judgeLines } from '#core/signals/judge-lines'
import { readCapture } from '#core/signals/read-capture'

/** Reads captures and judges their lines beside the page; the changes are handed over, not copied. */
const worker = {
  read(text: string) {
    const capture = readCapture(text)
    const result = judgeLines(capture)
    return transfer(
      { capture, result },
      capture.lines.flatMap(l => [l.atS.buffer, l.levels.buffer]),
    )
  },
}
export type CaptureBench = typeof worker
expose(worker)
