import { FACETS } from '../facets.ts'
import type { Facet } from '../facet.ts'
import type { WritingStyleBody, StyleFacet } from './writing-style.ts'

const SEPARATORS: Readonly<Record<string, WritingStyleBody['separator']>> = { commas: ', ', semicolons: '; ', 'full stops': '. ', 'upright strokes': ' | ', 'line ends': '\n' }
const after = (told: string, lead: RegExp): string[] => (lead.exec(told)?.[1] ?? '').split(/[;,]\s*/u).map((one) => one.trim()).filter(Boolean)
const isFacet = (word: string): word is Facet => (FACETS as readonly string[]).includes(word)

/**
 * A writing style from words such as `styleInWords` tells it in, or a person wrote by hand; what is not told is as is usual. `facetOf` says
 * what a phrase is of.
 */
export function styleFromWords(told: string, facetOf: (phrase: string) => Facet): WritingStyleBody {
  const [, low = '10', high = '60', middle = ''] = /(\d+) to (\d+) words(?:, mostly about (\d+))?/iu.exec(told) ?? []
  const usual = after(told, /In this order: ([^\n.]*)/iu).filter(isFacet)
  const seldom = after(told, /Now and then also: ([^\n.]*)/iu).filter(isFacet)
  const order = [...new Set<Facet>([...usual, ...seldom])]
  const facets = (order.length ? order : [...FACETS]).map((facet): StyleFacet => ({ facet, share: seldom.includes(facet) ? 0.3 : 0.9, words: 3, joined: false, terms: after(told, new RegExp(`Favourite words for ${facet}: ([^\\n]*?)\\.?(?:\\n|$)`, 'iu')).slice(0, 40) }))
  return {
    name: 'Told in words',
    style: /whole sentences/iu.test(told) ? 'sentences' : 'list',
    facets,
    always: (/Always said, word for word: ([^\n]*?)\.?(?:\n|$)/iu.exec(told)?.[1] ?? '').split(/;\s*/u).map((text) => text.trim()).filter(Boolean).map((text) => ({ text, facet: facetOf(text) })),
    words: { low: Number(low), middle: Number(middle || Math.round((Number(low) + Number(high)) / 2)), high: Number(high) },
    separator: SEPARATORS[/with (commas|semicolons|full stops|upright strokes|line ends) between/iu.exec(told)?.[1]?.toLowerCase() ?? ''] ?? ', ',
    capital: /beginning with a capital/iu.test(told),
    stop: /ending with a full stop/iu.test(told),
    examples: [],
  }
}
