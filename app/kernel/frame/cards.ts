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
  'mend': { 'Faults': ['symptom', 'theory', 'repair', 'swap'], 'Probing': ['trace', 'patch', 'continuity', 'net'], 'Parts wanted': ['need', 'spare', 'order'] },
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
    'As found, as released': ['outcome', 'before and after', 'passport', 'label inside'],
  },
}
