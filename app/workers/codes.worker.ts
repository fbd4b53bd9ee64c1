import { expose } from 'comlink'
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader'
import wasmUrl from 'zxing-wasm/reader/zxing_reader.wasm?url'

prepareZXingModule({ overrides: { locateFile: (path: string, prefix: string) => (path.endsWith('.wasm') ? wasmUrl : prefix + path) } })

/** Reads codes in pictures beside the page (ISO/IEC 18004), in whatever light they were taken. */
const worker = {
  async read(picture: Blob | ImageData): Promise<string[]> {
    const found = await readBarcodes(picture, { formats: ['QRCode'], tryHarder: true, maxNumberOfSymbols: 4 })
    return found.filter(code => code.isValid && code.text).map(code => code.text)
  },
}
export type CodeBench = typeof worker
expose(worker)
