import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { Value } from '@sinclair/typebox/value'
import papaparse from 'papaparse'
import { FACETS } from '../src/facets.ts'
import type { Facet } from '../src/facet.ts'
import { GlossaryEntry } from '../src/glossary/entry.ts'

const FIELDS = ['term', 'also', 'does', 'broader', 'near', 'excludes', 'brings', 'instead'] as const
type Row = Partial<Record<(typeof FIELDS)[number], string>>
const split = (list = '') => list.split(',').map((one) => one.trim()).filter(Boolean)

function entryOf(row: Row, facet: Facet): GlossaryEntry {
  const lists: Partial<GlossaryEntry> = Object.fromEntries((['also', 'near', 'excludes', 'brings', 'instead'] as const).map((field) => [field, split(row[field])] as const).filter(([, list]) => list.length))
  return { term: row.term ?? '', facet, does: row.does ?? '', ...(row.broader ? { broader: row.broader } : {}), ...lists }
}

/** The entries of the files in a folder, `<facet>.txt` or `<facet>-<group>.txt`. @throws naming the file and the line that is wrong. */
export function readGlossary(folder: string): GlossaryEntry[] {
  const entries = readdirSync(folder)
    .filter((file) => file.endsWith('.txt'))
    .sort()
    .flatMap((file) => {
      const facet = file.split(/[-.]/)[0] as Facet
      const { data, errors, meta } = papaparse.parse<Row>(readFileSync(join(folder, file), 'utf8'), { delimiter: '|', header: true, skipEmptyLines: true, quoteChar: '\0' })
      const wrong = errors.find(({ code }) => code !== 'TooFewFields')
      if (wrong) throw new Error(`${file}, line ${(wrong.row ?? 0) + 2}: ${wrong.message}`)
      if (meta.fields?.join() !== FIELDS.join()) throw new Error(`${file}: the first line must be ${FIELDS.join('|')}.`)
      return data.map((row, i) => {
        const entry = entryOf(row, facet)
        const [error] = Value.Errors(GlossaryEntry, entry)
        if (error) throw new Error(`${file}, line ${i + 2}: ${error.path} ${error.message}`)
        return entry
      })
    })
  // A kin is named by its term or by another way to write it; what ships names it by its term.
  const termOf = new Map(entries.flatMap((entry) => (entry.also ?? []).map((name) => [name, entry.term] as const)))
  for (const { term } of entries) termOf.set(term, term)
  const kin = (of: GlossaryEntry, name: string) => {
    const found = termOf.get(name)
    if (found === undefined) throw new Error(`${of.facet}: “${of.term}” has “${name}” for kin, which is no term.`)
    return found
  }
  return entries.map((entry) => ({
    ...entry,
    ...(entry.broader ? { broader: kin(entry, entry.broader) } : {}),
    ...(entry.near ? { near: entry.near.map((name) => kin(entry, name)) } : {}),
  }))
}

/** What tells the reading a facet: every way to write a term, and the words in glossary/lists/cues that are no terms. */
export function termsByFacet(entries: readonly GlossaryEntry[], folder: string): Record<Facet, string[]> {
  const of = (facet: Facet) => [
    ...new Set([
      ...entries.filter((entry) => entry.facet === facet).flatMap(({ term, also = [] }) => [term, ...also]),
      ...readFileSync(join(folder, 'lists/cues', `${facet}.txt`), 'utf8').split('\n').filter(Boolean),
    ]),
  ]
  return Object.fromEntries(FACETS.map((facet) => [facet, of(facet)])) as Record<Facet, string[]>
}

/** The source of src/glossary/terms-by-facet.ts. */
export function termsSource(terms: Readonly<Record<Facet, readonly string[]>>): string {
  const lists = FACETS.map((facet) => `  ${facet}: split(\n    ${JSON.stringify(terms[facet].join(', ')).replace(/^"|"$/g, '`')},\n  ),`)
  return `import type { Facet } from '../facet.ts'

const split = (list: string): readonly string[] => list.split(', ')

/**
 * Terms by facet, for the reading: lower case, words separated by one space. A term may stand in several facets.
 * Made by ./idolon train glossary from the files in glossary/; change those.
 */
export const TERMS_BY_FACET: Readonly<Record<Facet, readonly string[]>> = {
${lists.join('\n')}
}
`
}
