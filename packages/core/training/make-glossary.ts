/**
 * `./idolon train glossary`: makes what ships of the glossary from its files: tables/glossary.json with the entries, and
 * src/glossary/terms-by-facet.ts with the words by facet that the reading knows terms by. A test holds the three together.
 */
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { termsByFacet, termsSource, readGlossary } from './glossary.ts'

const core = join(process.env['IDOLON_ROOT'] ?? process.cwd(), 'packages/core')
const folder = join(core, 'glossary')
const entries = readGlossary(folder)
writeFileSync(join(core, 'tables/glossary.json'), `${JSON.stringify(entries)}\n`)
writeFileSync(join(core, 'src/glossary/terms-by-facet.ts'), termsSource(termsByFacet(entries, folder)))
process.stdout.write(`${entries.length} terms\n`)
