import { type Attributes, type Finding, commonPractice, finding, mostPressingFirst, orderOf } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type Configuration, configurationKinds, configurationWords, isConnected, whole } from './configuration'
import { type Heard, type Opening, leavesUnassessed, toldApart } from '../kernel/heard'
import { type Hazard, aboutFact, hazardReasons } from './hazards'
import {
  type FactKind,
  type FactValue,
  type PowerFactName,
  type PowerFacts,
  type School,
  factValue,
  powerFactNames,
  powerFacts,
  schoolNames,
} from './power-facts'
import { type Skill, skills } from '../kernel/skills'
import type { GateVerdict } from './gate-words'
import { inWorkingOrder } from './working-order'

export interface GateInput {
  school: School
  facts: PowerFacts
  inspectedBy?: string
  hazards?: readonly Hazard[]
  /** What is connected; everything, where it is left out. */
  configuration?: Configuration
  /** What other parts of its record say of power. */
  heard?: readonly Heard[]
}

export interface GateResult {
  verdict: GateVerdict
  school: School
  findings: Finding[]
  toOpen: Opening[]
}

/** Facts whose repair belongs to someone with experience of mains or of tubes. */
const skilled = (skill: Skill) => ({ who: skills[skill].who, skill })
const whoClears: Partial<Record<PowerFactName, { who: string; skill?: Skill }>> = {
  filterCapacitors: skilled('mains'),
  mainsLead: skilled('mains'),
  supply: skilled('mains'),
  burntTrace: skilled('fine-rework'),
  shortedRail: { who: 'a bench volunteer with a meter' },
  rails: { who: 'two people, one at the switch' },
  pictureTube: skilled('picture-tube'),
}
const anyone = { who: 'a bench volunteer' }
/** Who may give the answer to a fact with which nothing keeps the machine off any more. */
const takenBy = (name: PowerFactName) => {
  const takes = Object.values<FactValue>(powerFacts[name].values).find(v => v.level === 'fine' && v.takes)?.takes
  return takes ? skilled(takes) : null
}

/**
 * Computes whether a machine may be energised.
 *
 * Any reason to stop keeps it off. Otherwise, while a fact is missing, an answer stands against a record or nobody has inspected it,
 * it is not yet assessed.
 * Otherwise any reason for care allows only a guarded start: attended, limited, a hand at the switch. Otherwise it is clear to run.
 * Under *caps first*, old line-filter capacitors are a reason to stop, not for care.
 * What is not connected in the configuration does not count, and what the verdict says nothing of is named.
 * The verdict never says that a machine is safe; its findings say what was looked at.
 *
 * @param input the school, the facts found so far (left out: not looked at), who inspected it, the hazards on its register, what is connected,
 *   and what was found elsewhere
 * @returns verdict, findings with the most pressing first, and what would open the gate in an order that can be worked through
 * @throws InputError for an unknown school, an unknown fact, or a value the fact does not have
 * Source: common practice, no source; the table in `power-facts.ts`.
 */
export function assessGate({ school, facts, inspectedBy, hazards = [], configuration = whole, heard = [] }: GateInput): GateResult {
  check(school, facts)
  const findings: Finding[] = []
  const toOpen: Opening[] = []
  const reason = (found: Finding, open?: Opening) => {
    findings.push(found)
    if (open) toOpen.push(open)
  }

  for (const name of powerFactNames) {
    const kind: FactKind = powerFacts[name]
    const means: Attributes = { fact: name, ...orderOf(kind) }
    if (!isConnected('facts', name, configuration)) {
      reason(
        finding(
          'note',
          `gate.${name}.not-connected`,
          `${kind.title}: gets no power in this configuration, so it does not count.`,
          configurationKinds[configuration.kind].means,
          commonPractice,
        ),
      )
      continue
    }
    const value = factValue(name, facts[name])
    if (!value) {
      const code = `gate.${name}.not-looked`
      reason(finding('note', code, `${kind.title}: not looked at yet.`, kind.look, commonPractice, { ...means, open: 'not-looked' }), {
        code,
        do: `${kind.title}: find out. ${kind.look}`,
        // Anybody may look and report; the answer that opens it may take more.
        ...(takenBy(name) ?? anyone),
      })
      continue
    }
    const code = `gate.${name}.${facts[name]}`
    const level = levelUnder(school, name, value, facts[name])
    const because = level === value.level ? [value.because] : [value.because, `${schoolNames[school].title}: ${schoolNames[school].means}`]
    reason(
      finding(level, code, value.says, because, commonPractice, means),
      value.open ? { code, do: value.open, ...(whoClears[name] ?? anyone), ...aboutFact(name), ...(value.pair ? { pair: true as const } : {}) } : undefined,
    )
  }
  for (const { finding: found, open } of [...hazardReasons(hazards, { facts, configuration, school }), ...toldApart(heard)]) reason(found, open)
  if (configuration.kind !== 'whole')
    reason(
      finding(
        'note',
        'gate.configuration',
        `This holds for one configuration: ${configurationWords(configuration)}.`,
        'It says nothing about what is out. Whatever goes back in is inspected, and its rails are read again.',
        commonPractice,
      ),
    )
  if (!inspectedBy?.trim()) {
    reason(
      finding(
        'note',
        'gate.not-inspected',
        'Nobody has signed for the inspection.',
        'The facts above count once somebody says that they looked.',
        commonPractice,
        { open: 'not-signed' },
      ),
      { code: 'gate.not-inspected', do: 'Inspect the machine and put your name to it.', ...skilled('inspection') },
    )
  }

  const ordered = mostPressingFirst(findings)
  return { verdict: verdictOf(ordered), school, findings: ordered, toOpen: inWorkingOrder(ordered, toOpen) }
}

function check(school: School, facts: PowerFacts) {
  if (!schoolNames[school]) throw new InputError('school', school, `There is no school “${school}”. Choose ${Object.keys(schoolNames).join(' or ')}.`)
  for (const [name, value] of Object.entries(facts)) {
    const kind = powerFacts[name as PowerFactName]
    if (!kind) throw new InputError(`facts.${name}`, value, `There is no fact “${name}”. Known are ${powerFactNames.join(', ')}.`)
    if (value !== undefined && !factValue(name as PowerFactName, value))
      throw new InputError(`facts.${name}`, value, `“${value}” will not do. Choose ${Object.keys(kind.values).join(', ')}, or leave it out.`)
  }
}

function levelUnder(school: School, name: PowerFactName, value: FactValue, given: string | undefined): Finding['level'] {
  return school === 'caps-first' && name === 'filterCapacitors' && given === 'sound' ? 'stop' : value.level
}

function verdictOf(findings: Finding[]): GateVerdict {
  if (findings.some(f => f.level === 'stop')) return 'keep-off'
  if (findings.some(leavesUnassessed)) return 'not-yet-assessed'
  return findings.some(f => f.level === 'care') ? 'guarded-start' : 'clear-to-run'
}
