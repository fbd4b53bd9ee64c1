import type { Stage } from '#core/kernel/stages'

/** The cards of a stage as its index calls them, each with the words that people look for it by. */
export const cardsOf: Record<Stage, Record<string, readonly string[]>> = {
  'arrive': {
    'What it is': ['identity', 'serial', 'nickname', 'model'],
    'Claimed': ['claim', 'story', 'donor'],
    'Came with it': ['accessories', 'leads', 'manuals'],
    'Consent of its owner': ['owner', 'loan', 'letter'],
    'Spent on it': ['money', 'cost', 'budget'],
    'Photographs': ['pictures', 'camera'],
    'Lifting': ['weight', 'heavy', 'kg'],
    'Date codes': ['dating', 'year', 'markings'],
  },
  'look': {
    'Assemblies': ['condition', 'grade', 'boards'],
    'Damage': ['corrosion', 'crust', 'rust', 'marks'],
    'Inventory': ['chips', 'sockets', 'memory', 'parts', 'made of'],
    'Away from the house': ['home', 'lent', 'custody', 'volunteer'],
    'Settings as found': ['jumper', 'switch', 'trimmer', 'coil', 'termination', 'start-up page'],
    'Before us': ['repairs', 'interventions', 'changes'],
    'Checks': ['look under'],
    'Opening': ['screws', 'trays', 'reassembly', 'dismantle'],
    'Its path': ['appraise', 'significance', 'decide'],
    'Letters to its owner': ['write'],
  },
  'make-safe': {
    'Hazards': ['danger', 'smoke', 'mould', 'residue'],
    'Facts': ['inspect', 'gate', 'fuse', 'capacitors', 'mains'],
    'Batteries': ['leak', 'nickel', 'coin cell'],
    'Supply': ['brick', 'adapter', 'polarity', 'inlet'],
    'Rails off': ['short', 'ohm', 'resistance'],
    'First start': ['power up', 'switch on', 'start'],
    'Heat': ['temperature', 'hot', 'fan'],
  },
  'clean': {
    'What got in': ['liquid', 'wet', 'dirt', 'sea water'],
    'Plan': ['wash', 'steps', 'methods'],
    'Parts': ['plastic', 'material', 'soil'],
    'Tanks and ovens': ['book', 'bath', 'lamp', 'bake'],
    'Small parts': ['keycaps', 'count'],
    'Bare copper': ['varnish', 'mask', 'seal'],
    'Drying': ['weigh', 'mass', 'oven'],
    'Whitening': ['yellow', 'bleach', 'colour', 'peroxide'],
    'Waits': ['wait', 'curing', 'post'],
    'Beside the plan': ['cleaned'],
  },
  'mend': {
    'Faults': ['symptom', 'theory', 'repair', 'swap'],
    'Probing': ['trace', 'patch', 'continuity', 'net'],
    'Capacitors': ['recap', 'electrolytic', 'leak'],
    'Parts wanted': ['need', 'spare', 'order'],
    'Public list of parts': ['sought', 'board', 'outside'],
  },
  'prove': {
    'Build-up': ['stages', 'bare board'],
    'Rails': ['volts', 'under load'],
    'Test sheet': ['tests', 'functions'],
    'Soak': ['passes', 'intermittent', 'overnight'],
    'Sign-off': ['ready', 'approve'],
  },
  'home': {
    'Its life': ['gallery', 'store', 'handling'],
    'Before visitors': ['demonstration', 'hours'],
    'Originals kept': ['bags', 'removed parts'],
    'As found, as released': ['outcome', 'before and after'],
    'Label inside': ['print', 'label'],
    'Passport': ['public', 'qr'],
    'The record as a file': ['download', 'zip', 'archive'],
  },
}

/** The card where a next move is done, by its code; what would open the gate is answered under its facts, what takes two is a start. */
const cardOfMove: Record<string, string> = {
  'consent': 'Consent of its owner',
  'look': 'Assemblies',
  'grade-again': 'Assemblies',
  'look-decides': 'Damage',
  'corrosion-grows': 'Damage',
  'fixing-missing': 'Opening',
  'interventions': 'Before us',
  'checks': 'Checks',
  'path': 'Its path',
  'hazards': 'Hazards',
  'battery-home': 'Batteries',
  'battery-sister': 'Batteries',
  'battery-replace': 'Batteries',
  'rail-drift': 'Rails',
  'contamination': 'What got in',
  'wait.contamination': 'What got in',
  'cleaning-step': 'Plan',
  'count-parts-back': 'Small parts',
  'seal-copper': 'Bare copper',
  'booking-over': 'Tanks and ovens',
  'measure-colour': 'Whitening',
  'relook': 'Whitening',
  'wait-over': 'Waits',
  'weigh': 'Drying',
  'probe': 'Probing',
  'patch': 'Probing',
  'part': 'Parts wanted',
  'recap': 'Capacitors',
  'inventory.sockets': 'Parts wanted',
  'inventory.look': 'Inventory',
  'bulletin': 'Faults',
  'fault-new': 'Faults',
  'fault-basics': 'Faults',
  'fault-open': 'Faults',
  'sign-off': 'Sign-off',
  'life': 'Its life',
  'take-away': 'Its life',
}
const usualCard: Partial<Record<Stage, string>> = { 'make-safe': 'Facts', 'prove': 'Rails' }

/** Where a move is done, for an address: its stage, and its card where one is known. */
export function placeOf({ code, stage, pair }: { code: string; stage: Stage; pair?: boolean }): { stage: Stage; card?: string } {
  const card = cardOfMove[code] ?? (pair ? 'First start' : usualCard[stage])
  return card && card in cardsOf[stage] ? { stage, card } : { stage }
}
