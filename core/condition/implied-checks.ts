import { commonPractice } from '../kernel/finding'
import type { DamageKind, Severity } from './damage'

/** Damage as the rules see it. `where` is what somebody wrote of the place. */
export interface DamageSeen {
  kind: DamageKind
  severity: Severity
  assembly: string
  where: string
}

/** Something to look at because of damage seen elsewhere. */
export interface ImpliedCheck {
  /** The rule that asks for it, and what it says without the assembly. */
  rule: string
  look: string
  /** Stable: the rule and the assembly that it comes from. */
  code: string
  says: string
  why: string
  source: string
}

interface Rule {
  code: string
  kinds: DamageKind[]
  /** Words that must stand in the place or the assembly; any place where left out. */
  near?: RegExp
  checks: string[]
  why: string
}

/** What damage of one kind is known to bring along. Common practice, no source. */
export const rules: Rule[] = [
  {
    code: 'alkali',
    kinds: ['crust', 'stain', 'growth'],
    near: /batter|barrel|cell|clock/i,
    checks: [
      'Look under the keyboard connector',
      'Look under every socket near the battery',
      'Look at the other side of the board',
      'Test the clock chip and whatever is next to the battery',
      'Look along the traces for dark spots under the mask',
    ],
    why: 'Battery alkali creeps under connectors, sockets and mask, through vias to the other side, and kills the chip beside it.',
  },
  {
    code: 'crust',
    kinds: ['crust'],
    checks: ['Look under the mask at the edge of the crust', 'Buzz the traces that run through the crust'],
    why: 'What is eaten goes further than what can be seen; an eaten trace may show only at a slant.',
  },
  {
    code: 'water',
    kinds: ['tide-line'],
    checks: [
      'Look at everything below the water line',
      'Look inside the supply and its transformer',
      'Look inside connectors and sockets below the line',
      'Ask whether the water was salt',
    ],
    why: 'Everything below a tide line has been wet, and salt goes on working after it has dried.',
  },
  {
    code: 'burn',
    kinds: ['burn'],
    checks: ['Find out which rail the burnt trace belongs to', 'Measure that rail to ground in both directions', 'Test the transistor or regulator at its end'],
    why: 'A burnt trace tells which rail was overloaded; what overloaded it may still be there.',
  },
  {
    code: 'bulge',
    kinds: ['bulge'],
    checks: ['Look at the other capacitors of the same make and age', 'Look under the capacitor for residue'],
    why: 'Capacitors of one batch age together, and leak downwards.',
  },
  {
    code: 'crack-filter',
    kinds: ['crack'],
    near: /filter|mains|supply|capacitor/i,
    checks: ['Replace the line-filter capacitors before any power', 'Look for a second, smaller one'],
    why: 'Cracked paper capacitors fail with smoke; a large and a small one are typical.',
  },
  {
    code: 'crack-board',
    kinds: ['crack', 'break'],
    near: /board|trace|standoff|card/i,
    checks: ['Buzz the traces across the crack', 'Look at the standoffs and whether the board is bent'],
    why: 'A cracked trace closes under the pressure of a probe; test from points on either side.',
  },
  {
    code: 'rust',
    kinds: ['rust'],
    checks: ['Look at the screws and standoffs around it', 'Look for where the damp came in'],
    why: 'Rust on one part means damp around all of them.',
  },
  {
    code: 'growth',
    kinds: ['growth'],
    checks: ['Put on a mask before going further', 'Look at foam, paper and belts nearby'],
    why: 'Mould lives on damp and feeds on paper, glue and foam.',
  },
  {
    code: 'altered',
    kinds: ['altered', 'missing'],
    checks: ['Log who was here before: lifted legs, added wires, cut leads', 'Look for flux residue and odd screws'],
    why: 'One change seldom comes alone.',
  },
]

const slug = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')

/**
 * The checks that damage implies, each once for every assembly it comes from, severe damage first.
 * @param damages what was seen, with its place in words
 * @returns checks with the reason and the damage that each rests on
 */
export function impliedChecks(damages: DamageSeen[]): ImpliedCheck[] {
  const rank: Record<Severity, number> = { severe: 0, clear: 1, slight: 2 }
  const byCode = new Map<string, ImpliedCheck>()
  for (const damage of [...damages].sort((a, b) => rank[a.severity] - rank[b.severity])) {
    for (const rule of rules) {
      if (!rule.kinds.includes(damage.kind) || (rule.near && !rule.near.test(`${damage.assembly} ${damage.where}`))) continue
      rule.checks.forEach((look, i) => {
        const code = `${rule.code}.${i}.${slug(damage.assembly) || 'machine'}`
        if (!byCode.has(code))
          byCode.set(code, {
            code,
            rule: rule.code,
            look,
            says: damage.assembly ? `${damage.assembly}: ${look.charAt(0).toLowerCase()}${look.slice(1)}` : look,
            why: `${rule.why} Seen: ${damage.kind.replace('-', ' ')}, ${damage.where}.`,
            source: commonPractice,
          })
      })
    }
  }
  return [...byCode.values()]
}
