import { describe, expect, it } from 'vitest'
import { type Setting, compareSettings, guessedKind, judgeSettings, readSettings, wayBack } from './settings'

const setting = (name: string, more: Partial<Setting> = {}): Setting => ({
  assembly: 'Main board',
  name,
  kind: guessedKind(name),
  before: '1-2',
  beforeReading: '',
  pictured: false,
  now: null,
  turns: null,
  changedAt: null,
  ...more,
})

describe('settings as they are read off a board', () => {
  it('are a line each, with the kind that their name proposes', () => {
    expect(
      readSettings('JP1: 1-2\n# the back\nSW1 = 1 on, 2 off\nVR2: slot at two o’clock\nL5: flush\nTerminator: in\nset-up page 2: 9600: 8N1', false).map(s => [
        s.name,
        s.kind,
        s.stands,
      ]),
    ).toEqual([
      ['JP1', 'jumper', '1-2'],
      ['SW1', 'switch', '1 on, 2 off'],
      ['VR2', 'trimmer', 'slot at two o’clock'],
      ['L5', 'coil', 'flush'],
      ['Terminator', 'drive', 'in'],
      ['set-up page 2', 'page', '9600: 8N1'],
    ])
    expect(guessedKind('The odd one')).toBe('other')
  })

  it('need how they stand, unless a photograph shows it, and stand there once', () => {
    expect(() => readSettings('JP1: 1-2\nJP2', false)).toThrow('Line 2: how it stands is missing.')
    expect(readSettings('JP1\nJP2', true).map(s => s.stands)).toEqual(['', ''])
    expect(() => readSettings('JP1: 1-2\njp1: 2-3', false)).toThrow('stands there twice')
    expect(() => readSettings('# nothing', false)).toThrow('a line each')
    expect(() => readSettings('JP: x\n'.repeat(300), false)).toThrow('at most')
    expect(() => readSettings(`JP1: ${'x'.repeat(200)}`, false)).toThrow('up to 120')
  })
})

// Common practice, no source.
it('the way back undoes what was changed last first, with turns the other way and what it should read', () => {
  const all = [
    setting('JP1', { now: '2-3', changedAt: '2026-11-01T10:00:00.000Z' }),
    setting('JP2'),
    setting('VR1', { before: 'two o’clock', beforeReading: '5.02 V', now: 'three o’clock', turns: 0.25, changedAt: '2026-11-02T10:00:00.000Z' }),
    setting('L1', { before: '', pictured: true, now: 'deeper', turns: -1, changedAt: '2026-11-01T12:00:00.000Z' }),
  ]
  expect(wayBack(all).map(one => `${one.setting.name}: ${one.says}`)).toEqual([
    'VR1: back to two o’clock, 0.25 turns anticlockwise, until it reads 5.02 V',
    'L1: back to as its photograph shows, 1 turn clockwise',
    'JP1: back to 1-2',
  ])
  expect(judgeSettings(all).map(f => f.code)).toEqual(['settings.changed'])
  expect(judgeSettings([setting('VR1', { now: 'x', changedAt: 'x' })])[0]).toMatchObject({ level: 'care', code: 'settings.blind' })
  expect(judgeSettings([setting('JP1')])).toEqual([])
})

it('sisters’ settings are laid side by side as they stand now, where both are on record', () => {
  expect(
    compareSettings(
      [setting('JP1'), setting('JP2', { now: '2-3' }), setting('JP9')],
      [setting('jp1', { before: '1 - 2' }), setting('JP2'), setting('JP8')],
    ).map(s => [s.name, s.here, s.there, s.differs]),
  ).toEqual([
    ['JP2', '2-3', '1-2', true],
    ['JP1', '1-2', '1 - 2', false],
  ])
})
