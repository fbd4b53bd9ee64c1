import { type Server, type Socket, createServer } from 'node:net'
import { type BoardFault, type SimulatedNet, isBoardTrouble, simulatedBoard } from '#core/simulation/simulated-board'
import { type Manner, type ScenarioName, scenarioNames, scenarios, simulatedMachine } from './simulated-machine'

/**
 * A small multimeter over a TCP socket, for benches without one, for the demo and for tests. It answers to any ordinary SCPI client:
 * IEEE 488.2 common commands, CONFigure, READ?, MEASure, SYSTem:ERRor?. What it measures is a simulated machine, ordered by SIMulate.
 * Sources: SCPI-1999, IEEE 488.2, from memory.
 */
const identity = 'Jolly Bench,Stand-in meter,0,1.0'
/** Nets of one simulated board. */
const mostNets = 6000
const infinity = '9.90000000E+37'

const functions = {
  'VOLT:DC': 'dcV',
  'VOLT': 'dcV',
  'VOLT:AC': 'acV',
  'RES': 'ohm',
  'FRES': 'ohm',
  'CONT': 'ohm',
  'DIOD': 'diodeV',
  'CURR:DC': 'amps',
  'CURR': 'amps',
  'TEMP': 'celsius',
} as const
type FunctionName = keyof typeof functions

/** The long form of SCPI words, cut to their short form: SIMulate and SIM are the same. */
const shortened: [long: RegExp, short: string][] = [
  [/MEASURE/g, 'MEAS'],
  [/CONFIGURE/g, 'CONF'],
  [/SENSE/g, 'SENS'],
  [/VOLTAGE/g, 'VOLT'],
  [/CURRENT/g, 'CURR'],
  [/FRESISTANCE/g, 'FRES'],
  [/RESISTANCE/g, 'RES'],
  [/CONTINUITY/g, 'CONT'],
  [/DIODE/g, 'DIOD'],
  [/TEMPERATURE/g, 'TEMP'],
  [/SYSTEM/g, 'SYST'],
  [/ERROR/g, 'ERR'],
  [/:NEXT/g, ''],
  [/SIMULATE/g, 'SIM'],
  [/SCENARIO/g, 'SCEN'],
  [/CATALOG/g, 'CAT'],
  [/SWITCH/g, 'SWIT'],
  [/PROBE/g, 'PROB'],
  [/BOARD/g, 'BOAR'],
  [/CLEAR/g, 'CLE'],
  [/INITIATE/g, 'INIT'],
  [/FETCH/g, 'FETC'],
]
const short = (header: string) => shortened.reduce((word, [long, cut]) => word.replace(long, cut), header.toUpperCase().replace(/^:/, ''))

export interface StandIn {
  port: number
  scenario: (name: ScenarioName) => void
  switchOn: (on: boolean) => void
  /** What is wrong with the simulated board; nothing while there is none. */
  faults: () => readonly BoardFault[]
  unplug: () => void
  close: () => Promise<void>
}

/** Starts the stand-in on a port; 0 takes any that is free. */
export async function startStandIn({
  port = 5025,
  host = '127.0.0.1',
  scenario = 'healthy' as ScenarioName,
  seed = 1,
  now = () => Date.now(),
  answered = (_: string) => {},
} = {}): Promise<StandIn> {
  const machine = simulatedMachine(seed)
  const errors: string[] = []
  const sockets = new Set<Socket>()
  const set = { scenario, what: 'VOLT:DC' as FunctionName, nominalV: 5, lifted: false, loaded: false, onSince: null as number | null }
  /** A board under the probes, where there is one: its nets by name, and the two pins. */
  const board = { nets: new Map<string, SimulatedNet & { pins: string[] }>(), at: null as { a: string; b: string; beyond: boolean } | 'lifted' | null }
  let simulated: ReturnType<typeof simulatedBoard> | undefined
  const onBoard = () => (simulated ??= simulatedBoard([...board.nets.values()], isBoardTrouble(set.scenario) ? set.scenario : 'board-whole', seed))
  const onSeconds = () => (set.onSince === null ? null : (now() - set.onSince) / 1000)
  const figure = (value: number) =>
    value
      .toExponential(8)
      .replace(/e([+-])(\d)$/, 'E$10$2')
      .replace('e', 'E')
      .replace(/^(?=\d)/, '+')

  function reading(): { text: string; manner: Manner } {
    const manner = machine.manner(set.scenario, onSeconds())
    // While the machine is on, or another thing than ohms is asked, the probes are where they were for the rails.
    if (board.at && onSeconds() === null && functions[set.what] === 'ohm') {
      const ohm = board.at === 'lifted' ? null : onBoard().measure(board.at.a, board.at.b, board.at)
      return { manner, text: ohm === null ? infinity : figure(ohm) }
    }
    // Probes in the air see of a machine that is on what they see of one that is off.
    const seen = { nominalV: set.nominalV, onSeconds: set.lifted ? null : onSeconds(), loaded: set.loaded }
    const value = machine.see(set.scenario, seen)[functions[set.what]]
    // A rail that is on is no place for ohms: a real meter shows overload.
    const impossible = onSeconds() !== null && ['RES', 'FRES', 'CONT', 'DIOD'].includes(set.what)
    return { manner, text: manner === 'overload' || impossible ? infinity : manner === 'garbled' ? `+4.9${'\u00fe'}7,?E 3` : figure(value) }
  }

  const wrong = (code: number, words: string) => void errors.push(`${code},"${words}"`)
  const chosen = (argument: string, among: readonly string[]) => among.find(name => name.toUpperCase() === argument.toUpperCase())

  /** @returns the answer; nothing for what is not answered */
  function obey(command: string): string | undefined {
    const [header = '', argument = ''] = command.trim().split(/\s+(.*)/s)
    const word = short(header)
    const measured = /^(MEAS|CONF):(.+?)(\?)?$/.exec(word)
    if (measured) {
      const [, verb, what = '', asked] = measured
      if (!(what in functions)) return wrong(-113, 'Undefined header')
      set.what = what as FunctionName
      return verb === 'MEAS' && asked ? read() : undefined
    }
    switch (word) {
      case '*IDN?':
        return identity
      case '*RST':
        set.what = 'VOLT:DC'
        return
      case '*CLS':
        errors.length = 0
        return
      case '*OPC?':
        return '1'
      case '*OPC':
      case '*WAI':
      case '*ESE':
      case '*SRE':
        return
      case '*ESR?':
        return errors.length ? '32' : '0'
      case '*STB?':
      case '*TST?':
        return '0'
      case 'SYST:ERR?':
        return errors.shift() ?? '0,"No error"'
      case 'CONF?':
        return `"${set.what}"`
      case 'INIT':
        return
      case 'READ?':
      case 'FETC?':
        return read()
      case 'SIM:SCEN:CAT?':
        return scenarioNames.map(name => `${name}:${scenarios[name].says}`).join(';')
      case 'SIM:SCEN?':
        return set.scenario
      case 'SIM:SCEN': {
        const name = chosen(argument, scenarioNames)
        if (!name) return wrong(-224, 'Illegal parameter value')
        set.scenario = name as ScenarioName
        simulated = undefined
        return
      }
      case 'SIM:BOAR:CLE':
        board.nets.clear()
        board.at = null
        simulated = undefined
        return
      case 'SIM:BOAR:NET': {
        const [name, supply, ...pins] = argument.split(',')
        if (!name || !pins.length || board.nets.size > mostNets) return wrong(-224, 'Illegal parameter value')
        board.nets.set(name, { name, supply: supply === '1', pins: [...(board.nets.get(name)?.pins ?? []), ...pins] })
        simulated = undefined
        return
      }
      case 'SIM:BOAR:PROB': {
        const [a, b, beyond] = argument.split(',')
        if (argument === 'OFF') return void (board.at = 'lifted')
        if (!a || !b) return wrong(-224, 'Illegal parameter value')
        board.at = { a, b, beyond: beyond === '1' }
        return
      }
      case 'SIM:SWIT?':
        return set.onSince === null ? '0' : '1'
      case 'SIM:SWIT': {
        const on = chosen(argument, ['ON', 'OFF', '1', '0'])
        if (!on) return wrong(-224, 'Illegal parameter value')
        if (on === 'ON' || on === '1') set.onSince ??= now()
        else set.onSince = null
        return
      }
      case 'SIM:LOAD':
        set.loaded = /^(ON|1)$/i.test(argument)
        return
      case 'SIM:PROB': {
        set.lifted = argument === 'OFF'
        if (set.lifted) return
        const volts = Number(argument)
        if (!Number.isFinite(volts) || volts === 0) return wrong(-224, 'Illegal parameter value')
        set.nominalV = volts
        return
      }
      default:
        return wrong(-113, 'Undefined header')
    }
  }

  function read(): string | undefined {
    const { text, manner } = reading()
    if (manner === 'silent') return undefined
    answered(text)
    return text
  }

  const server: Server = createServer(socket => {
    sockets.add(socket.setNoDelay(true).setEncoding('latin1'))
    let typed = ''
    socket.on('data', chunk => {
      typed = (typed + String(chunk)).slice(-4096)
      const lines = typed.split('\n')
      typed = lines.pop() ?? ''
      for (const line of lines)
        for (const command of line.split(';').filter(c => c.trim())) {
          const answer = obey(command)
          if (answer !== undefined) socket.write(`${answer}\n`, 'latin1')
        }
    })
    socket.on('error', () => {})
    socket.on('close', () => sockets.delete(socket))
  })
  await new Promise<void>((done, failed) => server.once('error', failed).listen(port, host, done))
  const unplug = () => sockets.forEach(socket => socket.destroy())
  return {
    port: (server.address() as { port: number }).port,
    scenario: name => {
      set.scenario = name
      simulated = undefined
    },
    switchOn: on => {
      set.onSince = on ? now() : null
    },
    faults: () => (board.at ? onBoard().faults : []),
    unplug,
    close: () =>
      new Promise(done => {
        unplug()
        server.close(() => done())
      }),
  }
}
