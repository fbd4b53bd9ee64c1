/** A list of s-expressions with the line on which it begins; what stands in it are words and lists. */
export interface Listed {
  line: number
  items: (string | Listed)[]
}

/** Deeper than this no file of a board goes. */
const deepest = 200

/**
 * Reads s-expressions with their lines. Of general packages none keeps the lines that messages need, nor goes on after a fault.
 * A missing bracket at the end closes there, one too many is passed over; both are told.
 */
export function readListed(text: string, wrong: (line: number, message: string) => void): Listed {
  const root: Listed = { line: 1, items: [] }
  const open: Listed[] = [root]
  let line = 1
  for (let i = 0; i < text.length; i++) {
    const c = text[i]!
    if (c === '\n') line++
    else if (c === '(') {
      const list: Listed = { line, items: [] }
      if (open.length > deepest) {
        wrong(line, `Brackets deeper than ${deepest}; what follows is left out.`)
        break
      }
      open.at(-1)!.items.push(list)
      open.push(list)
    } else if (c === ')') {
      if (open.length > 1) open.pop()
      else wrong(line, 'A closing bracket too many.')
    } else if (c === '"') {
      const began = line
      let word = ''
      for (i++; i < text.length && text[i] !== '"'; i++) {
        if (text[i] === '\\') i++
        if (text[i] === '\n') line++
        word += text[i] ?? ''
      }
      if (i >= text.length) wrong(began, 'A quotation mark that is never closed.')
      open.at(-1)!.items.push(word)
    } else if (c > ' ') {
      const from = i
      while (i + 1 < text.length && !'()" \n\r\t'.includes(text[i + 1]!)) i++
      open.at(-1)!.items.push(text.slice(from, i + 1))
    }
  }
  if (open.length > 1) wrong(open.at(-1)!.line, `${open.length - 1} brackets are never closed; the first that is open begins here. The file may be cut off.`)
  return root
}

export const headOf = (item: string | Listed) => (typeof item === 'string' ? undefined : typeof item.items[0] === 'string' ? item.items[0] : undefined)
/** The lists within a list that begin with a word. */
export const listsOf = (list: Listed, head: string): Listed[] => list.items.filter((i): i is Listed => headOf(i) === head)
/** The word that stands second in the first list of that name, as in `(ref "U7")`. */
export const wordOf = (list: Listed, head: string): string | undefined => {
  const second = listsOf(list, head)[0]?.items[1]
  return typeof second === 'string' ? second : undefined
}
