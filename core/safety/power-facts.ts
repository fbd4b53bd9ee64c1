import type { Attributes, Level } from '../kernel/finding'
import type { Skill } from '../kernel/skills'

/**
 * The facts that decide whether a machine may be energised, with every value they can take.
 * One row a value: what it means for the gate, why, and what would change it. The gate reads this table, and so does the form.
 * Source of all rows: common practice, no source, unless a row says otherwise.
 */
export const schools = ['caps-first', 'baseline-first'] as const
export type School = (typeof schools)[number]

export const schoolNames: Record<School, { title: string; means: string }> = {
  'caps-first': { title: 'Caps first', means: 'Nothing is energised until the mains line-filter capacitors are replaced.' },
  'baseline-first': { title: 'Baseline first', means: 'Inspect, then one attended, limited start to know where you stand. Never with a cracked capacitor.' },
}

export interface FactValue {
  /** As offered in the form. */
  label: string
  level: Level
  /** What the gate says of it. */
  says: string
  because: string
  /** What would take this reason away; present wherever the level is `stop` or `care`. */
  open?: string
  /** What saying this takes; a danger can be reported by anybody. */
  takes?: Skill
  /** What opens it further is an attended start. */
  pair?: true
}

export interface FactKind extends Pick<Attributes, 'concerns' | 'when'> {
  title: string
  /** How to find out. */
  look: string
  values: Record<string, FactValue>
}

const fine = (label: string, says: string, because: string, takes?: Skill): FactValue => ({ label, level: 'fine', says, because, ...(takes ? { takes } : {}) })
const note = (label: string, says: string, because: string): FactValue => ({ label, level: 'note', says, because })
const care = (label: string, says: string, because: string, open: string): FactValue => ({ label, level: 'care', says, because, open })
const stop = (label: string, says: string, because: string, open: string): FactValue => ({ label, level: 'stop', says, because, open })

export const powerFacts = {
  filterCapacitors: {
    title: 'Line-filter capacitors',
    concerns: 'line-filter',
    look: 'Look where the mains comes in, often behind the switch: mostly a large and a small one, in clear or amber resin.',
    values: {
      'none-fitted': fine('None fitted', 'No line-filter capacitors are fitted.', 'There is none that could fail.'),
      'sound': care(
        'Seen, not cracked',
        'The line-filter capacitors are the old ones, not cracked.',
        'Old metallised-paper types fail with smoke, often within minutes.',
        'Replace the line-filter capacitors with new safety-rated ones.',
      ),
      'cracked': stop(
        'Cracked or bulging',
        'A line-filter capacitor is cracked or bulging.',
        'Damp gets in through the crack; it will fail with smoke. Every school agrees: never with a cracked one.',
        'Replace the line-filter capacitors with new safety-rated ones.',
      ),
      'replaced': fine('Replaced', 'The line-filter capacitors have been replaced.', 'New safety-rated ones are fitted.', 'mains'),
    },
  },
  battery: {
    title: 'Battery',
    concerns: 'battery',
    look: 'Look for a barrel, a block or a coin cell on the main board and on cards.',
    values: {
      'none-fitted': fine('None fitted', 'No battery is fitted.', 'There is none that could leak.'),
      'in': care(
        'Still in',
        'The battery is still in.',
        'Nickel barrels leak alkali over the traces; a charging circuit would charge an old cell.',
        'Take the battery out.',
      ),
      'leaking': stop(
        'Leaking',
        'The battery has leaked.',
        'The residue conducts and eats traces; current makes it worse.',
        'Take the battery out, neutralise and clean what it touched.',
      ),
      'residue': stop(
        'Out, residue in place',
        'The battery is out, but its residue is still there.',
        'The residue conducts and eats traces; current makes it worse.',
        'Neutralise, rinse and dry what the battery touched.',
      ),
      'unlooked': care(
        'Out, not looked under',
        'The battery was bulging or furry when it came out, and nobody has looked under it.',
        'What it leaked may have crept along the traces.',
        'Look under it and along the traces, and say what was found.',
      ),
      'out': fine('Out, nothing left behind', 'The battery is out, and no residue was seen.', 'It can no longer leak or be charged.'),
      'replaced': fine('Replaced', 'A replacement is fitted that the circuit does not harm.', 'What it is, and how it is fitted, is written down.'),
      'mischarged': stop(
        'Replaced, would be charged',
        'A cell that must not be charged sits on a charging circuit.',
        'Charged, such a cell vents, leaks or bursts.',
        'Take the cell out, or fit a blocking diode.',
      ),
    },
  },
  liquidOrDirt: {
    title: 'Liquid or heavy dirt',
    concerns: 'wet',
    when: 'dry',
    look: 'Tide lines, damp, mud, thick dust, insects, conductive soot.',
    values: {
      no: fine('No', 'No liquid and no heavy dirt was seen.', 'Nothing was seen that would conduct where it should not.'),
      yes: stop(
        'Yes',
        'There is liquid or heavy dirt inside.',
        'Water, salt and soot conduct; across mains they burn.',
        'Clean the inside, dry it through, and look again.',
      ),
      dried: fine(
        'Was wet: dried and looked at again',
        'Liquid got in once; it was rinsed, dried through and looked for again.',
        'Each step is in the history.',
      ),
      cleaned: fine('Was dirty: cleaned and looked at again', 'Heavy dirt was cleaned out, and looked for again.', 'Each step is in the history.'),
    },
  },
  burntTrace: {
    title: 'Burnt trace or part',
    concerns: 'burnt',
    look: 'Dark spots, lifted copper, a discoloured chip, the smell.',
    values: {
      no: fine('None seen', 'No burnt trace or part was seen.', 'Nothing was seen that has been overloaded.'),
      yes: stop(
        'Yes',
        'A trace or part is burnt.',
        'It shows which supply line was overloaded; what did it may still be there.',
        'Find what burnt the trace, repair it, and measure before power.',
      ),
    },
  },
  shortedRail: {
    title: 'Short on a rail',
    look: 'Resistance of every rail to ground, off and discharged. A short reads near zero. Drives used as load too.',
    values: {
      no: fine('Measured, none', 'No rail measured as a short to ground.', 'Every rail was measured with the machine off.'),
      yes: stop(
        'Yes',
        'A rail is shorted to ground.',
        'The supply would feed the short until something burns.',
        'Find and clear the short, and measure again.',
      ),
    },
  },
  mainsLead: {
    title: 'Mains lead',
    concerns: 'mains',
    look: 'Plug, sheath, strain relief, fuse; earth continuity where there is an earth.',
    values: {
      'sound': fine('Sound', 'The mains lead was found whole.', 'Plug, sheath and strain relief were looked at.', 'mains'),
      'not-used': fine('Not used: external supply', 'The machine takes no mains itself.', 'It runs from an external low-voltage supply.'),
      'missing': care('Missing', 'There is no mains lead.', 'An unsuitable lead is a hazard of its own.', 'Find a suitable lead and check it.'),
      'cut': stop(
        'Cut or damaged',
        'The mains lead is cut or damaged.',
        'Bare conductors at mains voltage; somebody may also have cut it as a warning.',
        'Fit a sound lead, and find out why it was cut.',
      ),
    },
  },
  supply: {
    title: 'Power supply',
    concerns: 'supply',
    look: 'Is it the right one, and is it known what it gives: voltage, AC or DC, polarity, current.',
    values: {
      known: fine('Known', 'The supply is known to be the right one.', 'Its type and what it should give are known.'),
      doubtful: stop(
        'Not known to be right',
        'It is not known whether the supply is the right one.',
        'Wrong voltage or polarity destroys a board at once.',
        'Identify the supply, or use a bench supply with a current limit.',
      ),
      missing: stop(
        'Missing',
        'The supply is missing.',
        'There is nothing suitable to run it from.',
        'Find the right supply, or use a bench supply with a current limit.',
      ),
    },
  },
  fan: {
    title: 'Fan',
    look: 'Present, turning freely, connected.',
    values: {
      'none-fitted': fine('None by design', 'The machine has no fan by design.', 'Nothing depends on one.'),
      'present': fine('Present and free', 'The fan is present and turns freely.', 'It was turned by hand.'),
      'missing': care('Missing or stuck', 'The fan is missing or stuck.', 'A machine without its fan is only run briefly.', 'Free or replace the fan.'),
    },
  },
  pictureTube: {
    title: 'Picture tube',
    look: 'Is there one in the case, and is its back open to touch?',
    values: {
      none: fine('None', 'There is no picture tube.', 'The display is separate or absent.'),
      enclosed: note('Enclosed', 'There is a picture tube behind its covers.', 'It keeps a high charge. Leave tube work to people trained in it.'),
      open: care(
        'Open to touch',
        'The back of the picture tube is open to touch.',
        'It keeps a high charge, switched off too. Leave tube work to people trained in it.',
        'Close the covers, or have someone trained in it take over.',
      ),
    },
  },
  wiring: {
    title: 'Wiring',
    concerns: 'mains',
    look: 'Anything added, cut, unplugged or leading nowhere.',
    values: {
      known: fine('As built, or understood', 'No wiring was seen that is not understood.', 'Added and cut wires were looked for.'),
      doubtful: stop(
        'Something not understood',
        'There is wiring that nobody understands.',
        'A wire to nowhere may carry mains or tie two rails together.',
        'Trace the wiring and write down what it does.',
      ),
    },
  },
  smoke: {
    title: 'Smoke or smell reported',
    concerns: 'smoke',
    look: 'Ask the person who powered it last.',
    values: {
      no: fine('No', 'No smoke was reported.', 'The person who brought it was asked, or nobody has powered it.'),
      yes: stop(
        'Yes, cause not found',
        'Smoke was reported, and its cause has not been found.',
        'What smoked once will do it again.',
        'Find what smoked, and replace or clear it.',
      ),
      traced: fine('Yes, cause found and cleared', 'Smoke was reported; its cause was found and cleared.', 'The cause is written down.'),
    },
  },
  rails: {
    title: 'Rails at the first start',
    when: 'powered',
    look: 'Readings of every rail at an attended, limited start.',
    values: {
      unread: {
        ...care(
          'Not read yet',
          'The rails have not been read yet.',
          'Until then, every start is attended and limited.',
          'Make one attended, limited start and read every rail.',
        ),
        pair: true,
      },
      reread: care(
        'Low without load',
        'A rail was low without a load.',
        'It has to be read again under load before anybody leaves the machine alone.',
        'Attach a load and read the rail again.',
      ),
      out: care(
        'Out of limits',
        'A rail was out of limits.',
        'Start only attended and limited, with what the rail feeds detached.',
        'Repair the supply and read every rail again.',
      ),
      good: fine('All within limits', 'Every rail was read within limits.', 'The readings are in the history.'),
    },
  },
} as const satisfies Record<string, FactKind>

export type PowerFactName = keyof typeof powerFacts
export const powerFactNames = Object.keys(powerFacts) as PowerFactName[]

/** Facts that people enter. `rails` follows from the readings. */
export type EnteredFactName = Exclude<PowerFactName, 'rails'>
export const enteredFactNames = powerFactNames.filter((name): name is EnteredFactName => name !== 'rails')

/** What was found of each fact; a fact that nobody has looked at is left out. */
export type PowerFacts = Partial<Record<PowerFactName, string>>

/** The table row of a fact's value; undefined while nobody has looked. */
export function factValue(name: PowerFactName, value: string | undefined): FactValue | undefined {
  return value === undefined ? undefined : (powerFacts[name].values as Record<string, FactValue>)[value]
}

/**
 * What was answered about its power, without what a board that was changed since makes old: that no rail is short is to be said anew. A short stays.
 * @param answeredAt, boardsChangedAt instants in UTC; nothing where no board was changed
 */
export function stillAnswered(entered: PowerFacts, answeredAt: Partial<Record<PowerFactName, string>>, boardsChangedAt: string | null): PowerFacts {
  if (boardsChangedAt === null || entered.shortedRail !== 'no' || (answeredAt.shortedRail ?? '') > boardsChangedAt) return entered
  return { ...entered, shortedRail: undefined }
}
