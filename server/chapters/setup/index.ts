import { serverChapter } from '../../kernel/chapter'
import { changeSetting, describeSetting, dropSetting, noteSettings, putBackSetting } from './carry-out'
import { rows } from './rows'
import * as schema from './schema'
import { setupView } from './view'

/** How a machine was set up when it was found: what can be done, and what is loaded with it. */
export const setupChapter = serverChapter({
  name: 'setup',
  schema,
  view: setupView,
  onMachine: {
    'note-settings': noteSettings,
    'describe-setting': describeSetting,
    'change-setting': changeSetting,
    'put-back-setting': putBackSetting,
    'drop-setting': dropSetting,
  },
  rows,
})
export * from './schema'
