import { settingKinds } from '#core/identify/settings/settings'
import { keysOf, oneOf } from '../../kernel/fields'

export const settingKind = oneOf(keysOf(settingKinds), 'What it is')
