import { counted } from '../../kernel/figure'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../../kernel/finding'
import { InputError } from '../../kernel/input-error'
import { type InventoryJudged, judgeInventory } from './judge-inventory'
import { readInventory } from './read-inventory'

export interface InventoryByList extends InventoryJudged {
  wrong: { line: number; says: string }[]
}

/**
 * What an inventory comes to as it was typed, against what was said of it. A line that cannot be read may hold what is missing: then a claim is not
 * refuted. @param claim what was said of it, such as `48K of memory` @param published sizes that the model was sold with, a line each
 * @throws InputError where nothing could be read
 */
export function inventoryByList({ typed, claim, published }: { typed: string; claim: string; published: string }): InventoryByList {
  const { lines, wrong } = readInventory(typed)
  if (!lines.length)
    throw new InputError(
      'typed',
      typed,
      wrong[0] ? `The list: line ${wrong[0].line}: ${wrong[0].says}` : 'The list: a line for what is alike, such as U7 4116 15x.',
    )
  const judged = judgeInventory({
    lines,
    notSeen: wrong.length,
    claims: claim.trim() ? [{ says: claim }] : [],
    published: published
      .split('\n')
      .map(line => line.trim())
      .filter(Boolean),
  })
  const unread: Finding[] = wrong.length
    ? [
        finding(
          'care',
          'inventory.unread',
          `${counted(wrong.length, 'line')} could not be read, and may hold more.`,
          wrong.map(one => `Line ${one.line}: ${one.says}`),
          commonPractice,
        ),
      ]
    : []
  return {
    ...judged,
    wrong: wrong.map(({ line, says }) => ({ line, says })),
    findings: mostPressingFirst([...unread, ...judged.findings.filter(f => f.code !== 'inventory.not-seen')]),
  }
}
