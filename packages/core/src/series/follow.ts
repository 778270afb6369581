import type { Draft } from '../draft/shape.ts'
import { applyEdit, editBetween, EditError } from '../draft/edit.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { addMark } from '../draft/mark.ts'
import type { Mark } from '../draft/mark-shape.ts'
import type { WordTable } from '../read/words/word-table.ts'
import { changeText, mapMarks, type TextChange } from '../draft/text-change.ts'
import { removePhrase } from '../phrase/remove.ts'
import { shownBy, spokenOfAgain } from './compose.ts'
import { givenBy, type PartBody } from './part.ts'

/** How a part was and how it is now, with the variants the scene had and has. */
export interface PartChange {
  id: string
  before: { version: number; body: PartBody; variants: readonly string[] }
  now: { version: number; body: PartBody; variants: readonly string[] }
  /** Keys of its phrases that the draft never said, for they clash with others. */
  left?: readonly string[]
}

/** A phrase that a part gives and that the writer has written otherwise in a draft. */
export interface Override {
  /** What the part says; empty where what stands there answers to nothing it says any more. */
  given: string
  /** What stands there instead; null where it was taken out or written over whole. */
  text: string | null
}

/** What a changed part changes in a draft. */
export interface Following {
  /** Empty where nothing changes. */
  edit: Edit
  changed: { before: string; after: string }[]
  overrides: Override[]
}

const bare = (text: string) => text.trim().replace(/^(?:an?|the)\s+/i, '').replace(/[.,;]+$/, '').toLowerCase()
const isFrom = (mark: Mark, id: string): mark is Mark & { kind: 'from' } => mark.kind === 'from' && mark.source.id === id && (mark.source.type === 'character' || mark.source.type === 'place' || mark.source.type === 'style')

/** What a part said in a version: key by what stands in the text. All variants count, since a scene may have had another. */
function spoken(body: PartBody, variants: readonly string[]): Map<string, string> {
  const said = new Map<string, string>()
  for (const { aspect, text } of body.variants) said.set(bare(text), `aspect:${aspect}`)
  for (const { key, text } of givenBy(body, variants)) said.set(bare(text), key)
  const again = bare(spokenOfAgain(body))
  if (!said.has(again)) said.set(again, 'again')
  return said
}

/** Words with a capital where those they take the place of had one. */
const dressed = (next: string, old: string) => (/^\p{Lu}/u.test(old) ? next.replace(/^\p{Ll}/u, (letter) => letter.toUpperCase()) : next)

/** Phrases that a part gives and that a draft says otherwise or not; `left` are keys of those that were never said, for they clash. */
export function overridesIn({ text, marks }: Pick<Draft, 'text' | 'marks'>, id: string, body: PartBody, variants: readonly string[], left: readonly string[] = []): Override[] {
  const said = spoken(body, variants)
  const seen = new Set<string>()
  const strange: string[] = []
  for (const { from, to } of marks.filter((mark) => isFrom(mark, id))) {
    const key = said.get(bare(text.slice(from, to)))
    if (key === undefined) strange.push(text.slice(from, to))
    else seen.add(key)
  }
  const missing = givenBy(body, variants).filter(({ key }) => !seen.has(key) && !left.includes(key))
  return [...missing.map(({ text: given }, i) => ({ given, text: strange[i] ?? null })), ...strange.slice(missing.length).map((one) => ({ given: '', text: one }))]
}

/**
 * What a changed part changes in a draft it is used in: each phrase it said is said as it says it now, one that is gone goes,
 * a new one comes after its last. What the writer has written otherwise stays as it is and is told. The leave-out list
 * follows what must never be said.
 */
export function followPart(draft: Draft, { id, before, now, left = [] }: PartChange, words: WordTable): Following {
  const was = spoken(before.body, before.variants)
  const given = new Map(shownBy(now.body, now.variants, words).map(({ key, text }) => [key, text]))
  given.set('again', spokenOfAgain(now.body))
  const old = new Set(givenBy(before.body, before.variants).map(({ key }) => key))
  const own = draft.marks.filter((mark) => isFrom(mark, id))
  const changed: Following['changed'] = []
  const overrides = overridesIn(draft, id, before.body, before.variants, left)
  const seen = new Set<string>()
  let { text, marks } = draft
  let end = -1
  const change = (changes: TextChange[]) => {
    marks = mapMarks(marks, changes)
    text = changeText(text, changes)
  }
  const source = { type: now.body.kind, id, version: now.version }
  // From the last to the first, so that ranges before stay where they are.
  for (const mark of [...own].sort((a, b) => b.from - a.from)) {
    const said = text.slice(mark.from, mark.to)
    const key = was.get(bare(said))
    if (key === undefined) {
      if (end < 0) end = text.length - mark.to
      continue
    }
    seen.add(key)
    const next = given.get(key)
    if (next === undefined) {
      changed.unshift({ before: said, after: '' })
      change(removePhrase(text, { start: mark.from, end: mark.to }))
      continue
    }
    const same = bare(next) === bare(said)
    const shown = same ? said : dressed(next, said)
    if (!same) changed.unshift({ before: said, after: shown })
    marks = marks.filter((other) => !(other.kind === 'from' && other.from === mark.from && other.to === mark.to && other.source.id === id))
    if (!same) change([{ from: mark.from, to: mark.to, insert: shown }])
    marks = addMark(marks, { from: mark.from, to: mark.from + shown.length, kind: 'from', source })
    if (end < 0 && key !== 'again') end = text.length - (mark.from + shown.length)
  }
  // What is new comes after the last of what the part says.
  const fresh = [...given].filter(([key]) => key !== 'again' && !seen.has(key) && !old.has(key) && own.length > 0)
  if (end >= 0) {
    for (const [, said] of fresh) {
      const at = text.length - end
      // A description that a verb follows is closed by a comma.
      const insert = `, ${said}${/^\s+\p{L}/u.test(text.slice(at)) ? ',' : ''}`
      change([{ from: at, to: at, insert }])
      marks = addMark(marks, { from: at + 2, to: at + 2 + said.length, kind: 'from', source })
      changed.push({ before: '', after: said })
      // The next one stands after this one, before what followed.
      end = text.length - (at + 2 + said.length)
    }
  }
  const gone = before.body.never.filter((entry) => !now.body.never.includes(entry))
  const leaveOut = [...draft.leaveOut.filter((entry) => !gone.includes(entry)), ...now.body.never.filter((entry) => !draft.leaveOut.includes(entry))]
  const after: Draft = { ...draft, text, marks, leaveOut, references: followedReferences(draft, before.body, now.body) }
  return { edit: editBetween(draft, after), changed, overrides }
}

function followedReferences(draft: Draft, before: PartBody, now: PartBody): Draft['references'] {
  const key = ({ reference, role }: Draft['references'][number]) => `${role} ${reference}`
  const kept = draft.references.filter((one) => !before.references.some((old) => key(old) === key(one)) || now.references.some((next) => key(next) === key(one)))
  const fresh = now.references.filter((next) => !kept.some((one) => key(one) === key(next)) && !before.references.some((old) => key(old) === key(next)))
  return [...kept.map((one) => now.references.find((next) => key(next) === key(one)) ?? one), ...fresh].slice(0, 12)
}

/** The draft as it would be; undefined where it would be too long. */
export function followed(draft: Draft, { edit }: Following): Draft | undefined {
  try {
    return applyEdit(draft, edit)
  } catch (error) {
    if (error instanceof EditError) return undefined
    throw error
  }
}
