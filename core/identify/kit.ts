/** What a model is usually complete with, against what came with one machine. Matching is by words: common practice, no source. */
export interface KitItem {
  name: string
  came: boolean
}

const wordsOf = (name: string) => new Set(name.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [])

/** Words that say how something came, not what it is. */
const telling = (words: Set<string>) => [...words].filter(word => !['a', 'the', 'of', 'one', 'two', 'three', 'box', 'original'].includes(word))

/** An item came when all its telling words stand in one thing that came; a plural counts as its singular. */
const covers = (came: string, item: string): boolean => {
  const there = wordsOf(came)
  return telling(wordsOf(item)).every(word => there.has(word) || there.has(`${word}s`) || there.has(word.replace(/s$/, '')))
}

/** The usual kit, each item with whether it came. */
export function compareKit(usual: readonly string[], came: readonly string[]): KitItem[] {
  return usual.map(name => ({ name, came: came.some(thing => covers(thing, name)) }))
}

const mediaWords = ['cassette', 'disk', 'disks', 'diskette', 'tape', 'tapes', 'cartridge', 'cassettes', 'cartridges', 'diskettes']

/** Whether a thing is recorded media, which may be the only copy there is. A lead or a player for it is not. */
export function isMedia(name: string): boolean {
  const words = wordsOf(name)
  return mediaWords.some(word => words.has(word)) && !['lead', 'player', 'drive', 'cable', 'cleaner'].some(word => words.has(word))
}
