import type { Facet } from '../facet.ts'
import { FACETS } from '../facets.ts'

/** What has a value: the picture as a whole; its one figure; or any thing of which something is said. */
export type Bearer = 'picture' | 'figure' | 'thing'

/** One thing that a picture, or a figure in it, can be in only one way: its hour, its season, how near it is seen. */
export interface Dimension {
  /** As it is said in a reason: “two hours of the day”. */
  name: string
  of: Bearer
  /** Where a single word says something of it; elsewhere the same word means another thing. Several words mean the same anywhere. */
  facets: readonly Facet[]
  /** What says each value: the terms that name it, and those that only go with it (a starry sky with the night). */
  values: ReadonlyMap<string, { names: readonly string[]; goesWith: readonly string[] }>
  /** Whether two values cannot both show. */
  clash: (a: string, b: string) => boolean
  /** Values whose terms are of one sort and yet not the same: frost and a blizzard are both of the snow. */
  broad: ReadonlySet<string>
}

export const ANYWHERE: readonly Facet[] = FACETS.filter((facet) => facet !== 'lettering' && facet !== 'medium')
export const NOT_THE_FIGURE: readonly Facet[] = ANYWHERE.filter((facet) => facet !== 'subject' && facet !== 'action')

/** The terms of a list: separated by commas or line ends. */
export const termsOf = (list: string): string[] =>
  list
    .split(/[,\n]/)
    .map((term) => term.trim())
    .filter(Boolean)

/**
 * A dimension from a table: by value its terms (term.ts), separated by commas; after “//” those that only go with it. `clashes`
 * lists pairs of values, or tells of two whether they exclude each other; `broad` lists values whose terms do not say the same as one another.
 */
export function dimension(name: string, of: Bearer, facets: readonly Facet[], values: Readonly<Record<string, string>>, clashes: string | ((a: string, b: string) => boolean), broad = ''): Dimension {
  const pairs = new Set(typeof clashes === 'string' ? clashes.split(',').flatMap((pair) => { const [a = '', b = ''] = pair.trim().split(/\s+/); return [`${a} ${b}`, `${b} ${a}`] }) : [])
  return {
    name,
    of,
    facets,
    broad: new Set(broad.split(' ').filter(Boolean)),
    values: new Map(
      Object.entries(values).map(([value, list]) => {
        const [names = '', goesWith = ''] = list.split('//')
        return [value, { names: termsOf(names), goesWith: termsOf(goesWith) }]
      }),
    ),
    clash: typeof clashes === 'string' ? (a, b) => pairs.has(`${a} ${b}`) : clashes,
  }
}
