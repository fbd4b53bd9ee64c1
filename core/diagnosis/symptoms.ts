/** Words that symptoms are found again by; what does not fit stays in plain words beside them. Common practice, no source. */
export const symptomGroups = {
  screen: {
    name: 'Screen',
    words: {
      'no-picture': 'no picture',
      'black': 'black, but lit',
      'rolling': 'rolls or tears',
      'steady-rubbish': 'steady rubbish',
      'random-characters': 'good characters in random places',
      'wrong-colours': 'colours wrong',
      'no-cursor': 'no cursor',
      'dim': 'dim or blurred',
    },
  },
  sound: { name: 'Sound', words: { 'no-sound': 'no sound', 'hum': 'hums', 'clicks': 'clicks', 'beeps': 'beeps at the start' } },
  lamps: { name: 'Lamps', words: { 'no-lamp': 'no lamp', 'lamps-frozen': 'lamps frozen' } },
  keys: {
    name: 'Keys',
    words: { 'keys-dead': 'keys dead', 'column-dead': 'row or column dead', 'keys-stick': 'keys stick or repeat', 'keys-slow': 'keys slow' },
  },
  drives: { name: 'Drives', words: { 'not-ready': 'drive not ready', 'read-errors': 'read errors', 'seek-errors': 'seek errors', 'no-spin': 'does not spin' } },
  ports: { name: 'Ports', words: { 'port-dead': 'port dead', 'rubbish-sent': 'rubbish sent or received' } },
  memory: { name: 'Memory', words: { 'memory-test': 'memory test fails', 'less-memory': 'less memory than fitted' } },
  smell: { name: 'Smell and smoke', words: { smoke: 'smoke', smell: 'smell' } },
  heat: { name: 'Heat', words: { 'hot': 'something hot', 'warm-only': 'only when warm', 'cold-only': 'only when cold' } },
  timing: { name: 'When', words: { 'dead': 'never starts', 'hangs': 'hangs', 'restarts': 'starts over by itself', 'drops-out': 'drops out' } },
  often: { name: 'How often', words: { always: 'always', sometimes: 'sometimes', once: 'once so far' } },
} as const
export const symptomNames: Record<string, string> = Object.assign({}, ...Object.values(symptomGroups).map(g => g.words)) as Record<string, string>
export type SymptomWord = string

const comingAndGoing: readonly SymptomWord[] = ['sometimes', 'once', 'drops-out']
/** Whether a fault comes and goes, by what was said of it, or by what a test of it showed. */
export const comesAndGoes = (symptoms: readonly SymptomWord[], outcomes: readonly (string | undefined)[]): boolean =>
  symptoms.some(word => comingAndGoing.includes(word)) || outcomes.includes('sometimes')
export const symptomWords = Object.keys(symptomNames)
