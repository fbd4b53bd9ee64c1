import { type GateVerdict, gateVerdicts, gateWords } from '../safety/gate-words'

/** What an evening came to, counted from its history. Machines stand by the name they are called by. */
export interface EveningTold {
  people: string[]
  bookedIn: string[]
  done: { who: string; says: string; machine: string }[]
  handedOn: { says: string; machine: string; note: string }[]
  /** Verdicts as they stood at the end, of machines whose verdict changed. */
  gates: { machine: string; from: GateVerdict; to: GateVerdict }[]
  faultsReported: { machine: string; symptom: string }[]
  faultsClosed: { machine: string; symptom: string }[]
  signedOff: string[]
  readings: number
  photographs: number
  corrections: number
  /** All machines that anything was written of. */
  machines: string[]
}

const listed = (names: readonly string[]) => (names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`)
const counted = (n: number, one: string, many = `${one}s`) => (n === 1 ? `one ${one}` : `${n} ${many}`)
const low = (text: string) => text.replace(/^[A-Z](?![A-Z])/, c => c.toLowerCase()).replace(/\.$/, '')
const mostNamed = 6
const some = (lines: string[]) =>
  lines.length > mostNamed ? `${lines.slice(0, mostNamed).join('; ')}; and ${lines.length - mostNamed} more` : lines.join('; ')

/**
 * The story of an evening in a few sentences, from what was written down and nothing else; the machines nobody wrote about are not in it.
 * @returns one sentence a line, each said only where there is something to say
 */
export function eveningStory(told: EveningTold): string[] {
  const opened = told.gates.filter(g => order(g.to) > order(g.from))
  const closed = told.gates.filter(g => order(g.to) < order(g.from))
  const gateOf = ({ machine, from, to }: EveningTold['gates'][number]) =>
    `${machine} (${gateWords[from].title.toLowerCase()} to ${gateWords[to].title.toLowerCase()})`
  const measured = [
    told.readings && counted(told.readings, 'reading'),
    told.photographs && counted(told.photographs, 'photograph'),
    told.corrections && counted(told.corrections, 'correction'),
  ].filter(Boolean) as string[]
  return [
    told.people.length ? `${listed(told.people)} ${told.people.length === 1 ? 'was' : 'were'} here.` : '',
    told.bookedIn.length ? `Booked in: ${some(told.bookedIn)}.` : '',
    told.done.length ? `Done: ${some(told.done.map(d => `${low(d.says)}, ${d.machine} (${d.who})`))}.` : '',
    told.handedOn.length ? `Handed on: ${some(told.handedOn.map(h => `${low(h.says)}, ${h.machine} (“${h.note}”)`))}.` : '',
    opened.length ? `The gate opened further for ${some(opened.map(gateOf))}.` : '',
    closed.length ? `The gate closed further for ${some(closed.map(gateOf))}.` : '',
    told.faultsReported.length ? `New faults: ${some(told.faultsReported.map(f => `${low(f.symptom)}, ${f.machine}`))}.` : '',
    told.faultsClosed.length ? `Repairs closed: ${some(told.faultsClosed.map(f => `${low(f.symptom)}, ${f.machine}`))}.` : '',
    told.signedOff.length ? `Signed off: ${some(told.signedOff)}.` : '',
    told.machines.length || measured.length
      ? `${told.machines.length ? `Something was written of ${counted(told.machines.length, 'machine')}` : 'Written down'}${measured.length ? `: ${listed(measured)}` : ''}.`
      : 'Nothing was written down.',
  ].filter(Boolean)
}

const order = (verdict: GateVerdict) => gateVerdicts.indexOf(verdict)
