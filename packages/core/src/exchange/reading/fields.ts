import { meaningOf } from '../../read/structure/label-names.ts'

/** What a column of a file can be. */
export const FIELDS = ['text', 'title', 'leaveOut', 'tags', 'status', 'note', 'project', 'engines', 'settings'] as const
export type Field = (typeof FIELDS)[number]

/** Names that columns go by, in plain words. */
const NAMES: Readonly<Record<Field, readonly string[]>> = {
  text: ['text', 'prompt', 'prompts', 'prompt text', 'positive', 'description', 'caption', 'content', 'body'],
  title: ['title', 'name', 'heading', 'label', 'file'],
  leaveOut: ['leave out', 'leave outs', 'leave out list', 'leaveout', 'negative', 'exclude', 'avoid', 'without'],
  tags: ['tags', 'tag', 'keywords', 'labels', 'category', 'categories', 'topic', 'topics', 'folder'],
  status: ['status', 'state'],
  note: ['note', 'notes', 'comment', 'comments', 'remark', 'remarks'],
  project: ['project', 'collection', 'set', 'client', 'campaign'],
  engines: ['engines', 'engine', 'model', 'generator'],
  settings: ['settings', 'setting', 'parameters', 'params', 'options'],
}

const plain = (name: string) => name.toLowerCase().replace(/[_\-\s]+/gu, ' ').trim()

/** The field a column is by its name, if any. */
export function knownColumn(name: string): Field | undefined {
  const own = plain(name)
  return FIELDS.find((field) => NAMES[field].includes(own)) ?? (meaningOf(name) === 'leave-out' ? 'leaveOut' : undefined)
}
