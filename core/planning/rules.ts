import { discipline } from '../kernel/discipline'
import { move } from '../kernel/move'
import { step } from '../kernel/step'

/** What a machine comes to in the end: a life is chosen for it, and it goes there. */
export const home = discipline({
  name: 'home',
  about: 'where it goes',
  facts: () => ({}),
  unknown: {},
  steps: { home: m => [step('Its life chosen', m.life !== null), step('In its place', m.stage === 'home')] },
  moves: m =>
    m.signedOff && !m.life ? [move('life', 'life', 'home', { says: 'Choose its life', why: 'It is signed off and has no place yet.', coordinator: true })] : [],
})
