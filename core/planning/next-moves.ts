import { judgeSignOff } from '../retest/sign-off'
import { gateWords } from '../safety/gate'
import type { Skill } from '../safety/skills'
import { type MachineState, lookedAt } from './machine-state'
import { type Stage, stageNames, stages } from './stages'

export interface NextMove { code: string, says: string, why: string, who: string, skill?: Skill, stage: Stage }

type Rule = (m: MachineState) => NextMove[]

const move = (code: string, stage: Stage, says: string, why: string, who = 'a bench volunteer', skill?: Skill): NextMove => ({ code, stage, says, why, who, ...(skill ? { skill } : {}) })
const quoted = (names: string[]) => names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', ')

/** The rules in the order of the work: harm first, then what blocks, then what brings the machine on. */
const rules: Rule[] = [
  // A battery still in a machine whose sisters' leaked is the move that saves a board.
  m => m.facts.battery === undefined && (m.sistersWithLeakedBattery > 0 || m.modelBatteryLeaks)
    ? [move('battery-sister', 'make-safe', 'Open it and take the battery out', m.sistersWithLeakedBattery ? `${m.sistersWithLeakedBattery} of the same model had a leaking battery.` : 'The batteries of this model are known to leak.')]
    : [],
  m => m.fixingsMissing.map(f => move('fixing-missing', 'look', f.says, `${f.where} A loose screw shorts what it lies on.`)),
  m => m.consentWanted ? [move('consent', 'arrive', 'Ask its owner what may be done', 'It belongs to somebody else, and no consent has been recorded.', 'the coordinator')] : [],
  m => m.waits.filter(w => w.over).map(w => move('wait-over', 'clean', `Go on: ${w.what}`, 'The wait is over.')),
  m => m.gateInForce === 'keep-off'
    ? m.gate.toOpen.filter(o => m.gate.findings.some(f => f.code === o.code && f.level === 'stop')).map(o => move(o.code, 'make-safe', o.do, m.gate.findings.find(f => f.code === o.code)?.says ?? '', o.who, o.skill))
    : [],
  (m) => {
    const unseen = m.assemblies.filter(a => !lookedAt(a)).map(a => a.name)
    return unseen.length ? [move('look', 'look', `Look at: ${quoted(unseen)}`, `${unseen.length} of ${m.assemblies.length} assemblies have no grade yet.`)] : []
  },
  (m) => {
    const open = m.checks.filter(c => !c.done)
    return open.length ? [move('checks', 'look', open.length === 1 ? open[0]!.says : `${open[0]!.says}, and ${open.length - 1} more checks`, open[0]!.why)] : []
  },
  m => m.interventionsOpen ? [move('interventions', 'look', `Understand what was done to it before: ${m.interventionsOpen}`, 'Nothing of it is undone before somebody knows why it was done.')] : [],
  m => !m.pathChosen && ['look', 'make-safe'].includes(m.stage) && m.assemblies.length > 0 && m.assemblies.every(lookedAt) ? [move('path', 'look', 'Choose its path', 'Every assembly has been looked at.', 'the coordinator')] : [],
  (m) => {
    const unknown = m.gate.findings.filter(f => f.code.endsWith('.not-looked') || f.code === 'gate.not-inspected')
    return unknown.length ? [move('assess', 'make-safe', 'Assess the gate', `${unknown.length === 1 ? 'One answer is' : `${unknown.length} answers are`} missing before anybody may start it.`)] : []
  },
  m => m.hazardsSuspected.length && m.gateInForce !== 'clear-to-run' ? [move('hazards', 'make-safe', `Confirm or rule out: ${quoted(m.hazardsSuspected.map(h => h.title.toLowerCase()))}`, m.hazardsSuspected[0]!.evidence)] : [],
  m => m.gateInForce === 'guarded-start'
    ? m.gate.toOpen.filter(o => m.gate.findings.some(f => f.code === o.code && f.level === 'care')).map(o => move(o.code, o.code.startsWith('gate.rails') && o.code !== 'gate.rails.unread' ? 'prove' : 'make-safe', o.do, `${gateWords['guarded-start'].title}: ${m.gate.findings.find(f => f.code === o.code)?.says ?? ''}`, o.who, o.skill))
    : [],
  m => m.batteriesToReplace.map(b => move('battery-replace', 'make-safe', `Settle what goes in the place of the battery, ${b.where}`, `By the practice here: ${b.by}.`)),
  m => m.wantedParts.filter(p => p.stopsStart).map(p => move('part', 'mend', `Find ${p.name}`, 'It cannot be started without it.', 'the coordinator')),
  m => m.faults.filter(f => f.open && f.observations === 0).map(f => move('fault-new', 'mend', `Look into: ${f.symptom}`, 'Nobody has observed anything about it yet.')),
  m => m.faults.filter(f => f.open && f.observations > 0).map(f => move('fault-open', 'mend', `Go on with: ${f.symptom}`, f.repairs ? 'A repair did not close it.' : 'Observed, not repaired yet.')),
  m => m.signedOff || stages.indexOf(m.stage) < stages.indexOf('prove') ? [] : readiness(m),
  m => m.signedOff && !m.life ? [move('life', 'home', 'Choose its life', 'It is signed off and has no place yet.', 'the coordinator')] : [],
  m => m.life === 'store' && m.stage === 'home' && !m.signedOff ? [move('retest', 'prove', 'Test it before it leaves the store', 'Machines fail in storage.')] : [],
]

function readiness(m: MachineState): NextMove[] {
  const { allowed } = judgeSignOff({
    gate: m.gateInForce, rails: m.railsVerdict,
    openFaults: m.faults.filter(f => f.open), runningWaits: m.waits.filter(w => !w.over).map(w => w.what), whole: m.whole,
  })
  return allowed ? [move('sign-off', 'prove', 'Sign it off', 'Nothing stands in the way.', 'somebody who tested it')] : []
}

/**
 * What to do next with one machine, most pressing first, each with its reason and who can do it.
 * When nothing else is left, the move is on to the next stage.
 */
export function nextMoves(machine: MachineState): NextMove[] {
  const moves = rules.flatMap(rule => rule(machine))
  const next = stages[stages.indexOf(machine.stage) + 1]
  if (!moves.length && next && !machine.waits.length) return [move('move-on', next, `Move on to ${stageNames[next]}`, `Nothing is left to do in ${stageNames[machine.stage]}.`)]
  return moves
}
