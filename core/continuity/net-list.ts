import { type BoardPin, isNoNet, mostPins, pinName } from './board'

/** What was read of a file with nets. */
export interface NetList {
  format: 'ipc-d-356' | 'board' | 'net list' | 'table'
  pins: BoardPin[]
  /** What could not be read, with its line from 1; the others are not lost by it. */
  problems: { line: number; message: string }[]
  /** Pins that belong to no net, and were left out. */
  unconnected: number
}
/** More lines than this nobody reads. */
const mostProblems = 100

/** Gathers pins and problems while a file is read, and sees that no pin stands in two nets. */
export class Gathering {
  readonly pins: BoardPin[] = []
  readonly problems: NetList['problems'] = []
  unconnected = 0
  private readonly seen = new Map<string, string>()
  private full = false

  wrong(line: number, message: string): void {
    if (this.problems.length < mostProblems) this.problems.push({ line, message })
  }

  /** The net that a pin stands in by now. */
  stands = (part: string, pin: string) => this.seen.get(pinName({ part, pin }))

  /** @param line where it stands, for what there is to say of it */
  add(line: number, pin: BoardPin): void {
    if (isNoNet(pin.net)) return void this.unconnected++
    const name = pinName(pin)
    const before = this.seen.get(name)
    if (before === pin.net) return
    if (before !== undefined) return this.wrong(line, `${name} stands in ${before} already, and here in ${pin.net}; the first is kept.`)
    if (this.pins.length >= mostPins) {
      if (!this.full) this.wrong(line, `More than ${mostPins} pins; the rest is left out.`)
      this.full = true
      return
    }
    this.seen.set(name, pin.net)
    this.pins.push(pin)
  }

  as(format: NetList['format']): NetList {
    return { format, pins: this.pins, problems: this.problems, unconnected: this.unconnected }
  }
}
