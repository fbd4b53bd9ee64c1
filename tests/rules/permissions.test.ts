import { expect, it } from 'vitest'
import { commandNames, commandsOf, may } from '#shared/chapters/index'

/** What only a coordinator may send, written down once more: a command that moves from here to there does so on purpose. */
const coordinatorsAlone = [
  'accept-allocation',
  'accept-bulletin',
  'add-person',
  'change-person',
  'choose-capacitor-school',
  'choose-life',
  'choose-path',
  'choose-school',
  'clear-offer',
  'confirm-clock',
  'forget-person',
  'give-away',
  'grant-skills',
  'keep-capacitors',
  'overrule-gate',
  'pass-over-consent',
  'place-order',
  'record-consent',
  'set-board',
  'set-meter',
  'set-password',
  'set-practice',
  'set-prices',
  'set-printer',
  'show-before-after',
  'show-wants',
  'spare-part',
  'switch-passport',
  'take-up-offer',
  'withdraw-bulletin',
  'withdraw-overrule',
  'write-closing-letter',
  'write-off-loan',
  'write-to-owner',
]

it('a coordinator may send everything, a volunteer all but what is the coordinator’s, a reader what is their own', () => {
  expect(commandsOf('coordinator')).toEqual(commandNames)
  expect(commandNames.filter(name => !may('volunteer', name)).sort()).toEqual(coordinatorsAlone)
  expect(commandsOf('reader')).toEqual(['set-own-password', 'end-session', 'change-own-name'])
  expect(may(undefined, 'ask-question')).toBe(false)
})
