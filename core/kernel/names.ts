/**
 * Names of people, for what somebody wrote is known by their name. Two names that look alike on a page count as one.
 * The look-alikes are the usual ones of Unicode Technical Standard 39 between Latin, Cyrillic and Greek, from memory, and those of common print
 * (l, 1 and I; 0 and o; rn and m).
 */
const lookAlikes: Readonly<Record<string, string>> = Object.fromEntries(
  (
    [
      ['a', 'аα'],
      ['b', 'ьβ'],
      ['c', 'сϲ'],
      ['d', 'ԁ'],
      ['e', 'её'],
      ['g', 'ց'],
      ['h', 'һհ'],
      ['i', 'іιıl1|!'],
      ['j', 'јϳ'],
      ['k', 'кκ'],
      ['m', 'мμ'],
      ['n', 'пη'],
      ['o', 'оοσ0'],
      ['p', 'рρ'],
      ['q', 'ԛ'],
      ['r', 'г'],
      ['s', 'ѕ'],
      ['t', 'тτ'],
      ['u', 'υս'],
      ['v', 'νѵ'],
      ['w', 'ѡω'],
      ['x', 'хχ'],
      ['y', 'уγү'],
      ['z', 'ᴢ'],
    ] as const
  ).flatMap(([letter, others]) => [...others].map(other => [other, letter])),
)

/** How a name looks: without case, accents, width, spacing and look-alikes. Two people of one look cannot be told apart on a page. */
export function lookOf(name: string): string {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[\p{M}\p{C}\p{Z}\p{P}]/gu, '')
  return [...plain]
    .map(letter => lookAlikes[letter] ?? letter)
    .join('')
    .replaceAll('rn', 'm')
    .replaceAll('vv', 'w')
}

/** What keeps a name from being read as it is written: signs that nobody sees, or that turn the direction of what follows. */
export const hasHiddenSigns = (name: string): boolean => /[\p{Cc}\p{Cf}\p{Co}\p{Cn}\u115F\u1160\u3164\uFFA0\u2800]/u.test(name)
