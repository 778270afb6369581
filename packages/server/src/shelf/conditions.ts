import type { Status } from '@idolon/contract'

/** What is asked of the Shelf; see the route. */
export interface ShelfQuery {
  q?: string
  by?: 'words' | 'meaning'
  project?: string
  tag?: string
  status?: Status
  kept?: number
  tried?: boolean
  engine?: string
  colour?: string
  template?: string
  part?: string
  family?: string
  ids?: string
  each?: boolean
  since?: string
  until?: string
  limit?: number
  offset?: number
}

/** A condition on a row of the shelf, `s`, and what is bound in it. */
export interface Conditions {
  where: string
  bindings: (string | number)[]
  /** Whether anything but being there is asked. */
  some: boolean
}

/** What a query asks of a row, beside its words; `said` is a tsquery for what facets say. */
export function conditionsFor(asked: ShelfQuery, words: string, said: string): Conditions {
  const conditions = ['not s.deleted']
  const bindings: (string | number)[] = []
  const also = (condition: string, ...values: (string | number)[]) => {
    conditions.push(condition)
    bindings.push(...values)
  }
  if (words) also('s.document @@ ?::tsquery', words)
  if (said) also('s.said @@ ?::tsquery', said)
  if (asked.project) also('s.project_id = ?', asked.project)
  if (asked.tag) also('s.tags @> array[?]::text[]', asked.tag)
  if (asked.status) also('s.status = ?', asked.status)
  if (asked.kept) also('s.keepers >= ?', asked.kept)
  if (asked.tried !== undefined) also(asked.tried ? 's.proofs > 0' : 's.proofs = 0')
  if (asked.engine) also('? = any(s.engines)', asked.engine)
  if (asked.template) also('s.template_id = ?', asked.template)
  // What says it, and scenes that have it though their text says it otherwise.
  if (asked.part) also(`(s.parts @> array[?]::text[] or exists (select from scenes c where c.prompt_id = s.prompt_id and c.deleted_at is null and (c.body->'place'->>'part' = ? or c.body->'cast' @> jsonb_build_array(jsonb_build_object('part', ?::text)))))`, asked.part, asked.part, asked.part)
  if (asked.ids) also('s.prompt_id = any(string_to_array(?, \',\')::uuid[])', asked.ids)
  if (asked.family) also('s.family = ?', asked.family)
  if (asked.colour) also('s.best_picture in (select picture from picture_colours where names @> array[?]::text[])', asked.colour)
  if (asked.since) also('s.changed >= ?::date', asked.since)
  if (asked.until) also(`s.changed < ?::date + interval '1 day'`, asked.until)
  return { where: conditions.join(' and '), bindings, some: conditions.length > 1 }
}
