import type { CommandName } from '#shared/contracts/commands'
import type { Role } from '#shared/contracts/vocabulary'

const everyoneAtTheBench: Role[] = ['coordinator', 'volunteer']
const coordinator: Role[] = ['coordinator']

/** Who may do what. Reading the collection needs any role; the passport, the instruments and the health page need none. */
export const mayDo: Record<CommandName, Role[]> = {
  'book-in': everyoneAtTheBench,
  'book-in-lot': everyoneAtTheBench,
  'add-model': everyoneAtTheBench,
  'change-model': everyoneAtTheBench,
  'correct-identity': everyoneAtTheBench,
  'add-claim': everyoneAtTheBench,
  'judge-claim': everyoneAtTheBench,
  'note-accessory': everyoneAtTheBench,
  'read-date-code': everyoneAtTheBench,
  'move-to-stage': everyoneAtTheBench,
  'put-on-bench': everyoneAtTheBench,

  'add-assembly': everyoneAtTheBench,
  'grade-assembly': everyoneAtTheBench,
  'record-damage': everyoneAtTheBench,
  'change-damage': everyoneAtTheBench,
  'settle-check': everyoneAtTheBench,
  'add-photograph': everyoneAtTheBench,
  'describe-photograph': everyoneAtTheBench,
  'set-scale': everyoneAtTheBench,
  'keep-corrosion': everyoneAtTheBench,
  'record-opening-step': everyoneAtTheBench,
  'change-opening-step': everyoneAtTheBench,
  'reuse-opening': everyoneAtTheBench,
  'count-back': everyoneAtTheBench,
  'log-intervention': everyoneAtTheBench,
  'settle-intervention': everyoneAtTheBench,

  'record-consent': coordinator,
  'record-spending': everyoneAtTheBench,
  'appraise': everyoneAtTheBench,
  'choose-path': coordinator,
  'write-to-owner': coordinator,

  'assess-power': everyoneAtTheBench,
  'settle-hazard': everyoneAtTheBench,
  'set-configuration': everyoneAtTheBench,
  'record-battery': everyoneAtTheBench,
  'change-battery': everyoneAtTheBench,
  'expect-inlet': everyoneAtTheBench,
  'assign-supply': everyoneAtTheBench,
  'take-temperature': everyoneAtTheBench,
  'import-temperatures': everyoneAtTheBench,
  'begin-start': everyoneAtTheBench,
  'end-start': everyoneAtTheBench,
  'choose-school': coordinator,
  'overrule-gate': coordinator,
  'withdraw-overrule': coordinator,

  'record-cleaning': everyoneAtTheBench,
  'start-wait': everyoneAtTheBench,
  'end-wait': everyoneAtTheBench,

  'report-fault': everyoneAtTheBench,
  'change-fault': everyoneAtTheBench,
  'observe-fault': everyoneAtTheBench,
  'repair-fault': everyoneAtTheBench,
  'want-part': everyoneAtTheBench,
  'settle-part': everyoneAtTheBench,

  'expect-rails': everyoneAtTheBench,
  'take-reading': everyoneAtTheBench,
  'measure-off-state': everyoneAtTheBench,
  'sign-off': everyoneAtTheBench,

  'choose-life': coordinator,
  'ask-question': everyoneAtTheBench,
  'settle-question': everyoneAtTheBench,
  'switch-passport': coordinator,
  'pin-result': everyoneAtTheBench,
  'strike-entry': everyoneAtTheBench,

  'set-practice': coordinator,
  'set-meter': coordinator,
  'add-supply': everyoneAtTheBench,
  'change-supply': everyoneAtTheBench,
  'grant-skills': coordinator,
  'add-person': coordinator,
  'change-person': coordinator,
  'set-password': coordinator,
}

export const may = (role: Role | undefined, command: CommandName): boolean => role !== undefined && mayDo[command].includes(role)

/** The commands a role may use, for the interface to offer no others. */
export const commandsOf = (role: Role): CommandName[] => (Object.keys(mayDo) as CommandName[]).filter(name => may(role, name))
