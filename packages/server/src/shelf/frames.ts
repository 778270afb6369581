import type { FoundFrame } from '@idolon/contract'
import type { Database } from '../database/connect.ts'

const MOST = 8

/** templates and writing styles whose name or words have all of the typed words; those called so come first. */
export async function findFrames(db: Database, words: readonly string[]): Promise<FoundFrame[]> {
  if (words.length === 0) return []
  // What is typed are letters and digits alone, so that nothing in it is a sign of a pattern.
  const all = words.map(() => 'unaccent(name || \' \' || said) ilike \'%\' || unaccent(?::text) || \'%\'').join(' and ')
  const { rows } = await db.raw<{ rows: FoundFrame[] }>(
    `select kind, id, name from (
       select 'template' as kind, t.id, v.body->>'name' as name, v.body->>'text' as said from templates t join template_versions v on v.template_id = t.id and v.number = t.current where t.deleted_at is null
       union all select 'writing-style', id, name, concat_ws(' ', body->>'facets', body->>'always') from writing_styles) frames
     where ${all} order by unaccent(name) ilike '%' || unaccent(?::text) || '%' desc, name limit ${MOST}`,
    [...words, words[0]!],
  )
  return rows
}
