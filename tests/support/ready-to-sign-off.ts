import type { SignOffInput } from '../../core/retest/sign-off'

/** A whole machine against which nothing stands; each test says what it takes from that. */
export const ready: SignOffInput = {
  gate: 'clear-to-run',
  rails: 'good',
  underLoad: true,
  stepsUndone: 0,
  openFaults: [],
  runningWaits: [],
  whole: true,
  soaks: [],
  notSoaked: [],
  buildUp: null,
  testSheet: { done: true, left: [], failed: [] },
}
