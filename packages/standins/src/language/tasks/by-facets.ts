import { type Facet, FACETS } from '@idolon/core'
import { type Asked, linesOf } from '../asked.ts'
import { knowledge } from '../tables.ts'

/** A prompt's phrases by facet, in its own words: as they were read for it, else as this model reads them. */
export function byFacetsTask({ given }: Asked): Record<string, string | string[]> {
  const lines = linesOf(given('phrases')).flatMap((line): [Facet, string][] => {
    const [, facet = '', text = ''] = /^(\w+): (.+)$/.exec(line) ?? []
    return FACETS.includes(facet as Facet) ? [[facet as Facet, text]] : []
  })
  const own = lines.length ? lines : knowledge().reader.read(given('prompt')).phrases.map(({ facet, text }): [Facet, string] => [facet, text])
  const by = new Map<Facet, string[]>()
  for (const [facet, text] of own) by.set(facet, [...(by.get(facet) ?? []), text])
  if (!by.has('subject')) by.set('subject', [own[0]?.[1] ?? given('prompt').split(/[,.]/)[0] ?? ''])
  return Object.fromEntries(FACETS.flatMap((facet): [string, string | string[]][] => {
    const texts = by.get(facet)
    return texts ? [[facet, texts.length === 1 ? texts[0]! : texts]] : []
  }))
}
