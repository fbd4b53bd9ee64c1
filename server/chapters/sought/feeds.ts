import { Feed } from 'feed'
import { needs } from '#core/parts/needs'
import { partConditions } from '#core/parts/ledger'
import type { SoughtView } from '#shared/chapters/sought/index'

/** What no XML may hold, whoever typed it (XML 1.0, production 2). */
const outside = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g
const asHtml = (text: string) => text.replace(outside, '').replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

/**
 * The list as a feed, an item a part.
 * @param origin where it is read, such as https://bench.example.org
 * @param as what it is written as: Atom (RFC 4287), whose texts are HTML, or JSON Feed 1.1, whose texts are plain
 */
export function soughtFeed({ collection, updated, wanted, spared }: SoughtView, origin: string, as: 'atom' | 'json'): string {
  const typed = as === 'atom' ? asHtml : (text: string) => text
  const at = (since: string) => new Date(since || 0)
  const page = `${origin}/sought`
  const feed = new Feed({
    id: page,
    link: page,
    title: typed(`${collection}: parts sought and spared`),
    description: 'What its machines want, and what it can spare.',
    copyright: typed(collection),
    updated: at(updated),
    feedLinks: { json: `${origin}/api/sought/feed.json`, atom: `${origin}/api/sought/feed.atom` },
  })
  for (const part of wanted) {
    const link = `${page}/${part.key}`
    const says = [
      `${part.count} × ${part.name}, for ${part.model}`,
      part.like,
      needs[part.stops].says,
      ...part.wouldDo.map(one => `Would do${one.firstStart ? ' for a first start' : ''}: ${one.name}, ${one.limit || 'its limit is not known'}`),
      part.says,
    ]
    feed.addItem({
      id: link,
      link,
      title: typed(`Sought: ${part.name}, for ${part.model}`),
      date: at(part.since),
      description: typed(says.filter(Boolean).join('. ')),
      ...(part.picture ? { image: `${origin}/api/sought/${part.key}/picture` } : {}),
    })
  }
  for (const part of spared) {
    const link = `${page}/${part.key}`
    feed.addItem({
      id: link,
      link,
      title: typed(`Spared: ${part.name}`),
      date: at(part.since),
      description: typed([`${part.count} × ${part.name}`, part.like, partConditions[part.condition]].filter(Boolean).join('. ')),
    })
  }
  return as === 'atom' ? feed.atom1() : feed.json1()
}
