import fc from 'fast-check'
import { emptyDraft } from './draft.ts'
import type { Draft } from './shape.ts'
import { applyEdit } from './edit.ts'
import type { Edit } from './edit-shape.ts'
import { addMark } from './mark.ts'
import type { Mark } from './mark-shape.ts'
import { mapMarks, type TextChange } from './text-change.ts'

const markOn = (length: number): fc.Arbitrary<Mark> =>
  fc
    .tuple(fc.nat(length - 1), fc.nat(length - 1), fc.constantFrom('off', 'locked', 'facet', 'emphasis', 'dismissed' as const), fc.constantFrom(-2, -1, 1, 2 as const))
    .map(([a, b, kind, level]): Mark => {
      const range = { from: Math.min(a, b), to: Math.max(a, b) + 1 }
      if (kind === 'facet') return { ...range, kind, facet: level > 0 ? 'light' : 'mood' }
      if (kind === 'emphasis') return { ...range, kind, level: level as 1 }
      if (kind === 'dismissed') return { ...range, kind, check: level > 0 ? 'crowd' : 'repeated', reason: 'meant' }
      return { ...range, kind: kind as 'off' }
    })

const marksOn = (length: number): fc.Arbitrary<Mark[]> =>
  length === 0 ? fc.constant([]) : fc.array(markOn(length), { maxLength: 6 }).map((marks) => marks.reduce<Mark[]>(addMark, []))

const text = fc.oneof(fc.string({ maxLength: 40 }), fc.array(fc.constantFrom('red ', 'bee, ', '蜂', '🐝', ' at dusk'), { maxLength: 8 }).map((p) => p.join('')))

export const anyDraft: fc.Arbitrary<Draft> = text.chain((words) =>
  fc.record({
    text: fc.constant(words),
    marks: marksOn(words.length),
    leaveOut: fc.array(fc.constantFrom('people', 'text', 'blur'), { maxLength: 4 }),
    settings: fc.dictionary(fc.constantFrom('seed', 'count', 'aspectRatio'), fc.oneof(fc.nat(9), fc.constant('3:2')), { noNullPrototype: true }),
    engines: fc.array(fc.constantFrom({ engine: 'burin' }, { engine: 'burin', revision: '1' }, { engine: 'burin', settings: { count: 2 } }), { maxLength: 2 }),
    references: fc.constant(emptyDraft().references),
  }),
)

const changesOf = (length: number): fc.Arbitrary<TextChange[]> =>
  fc.array(fc.tuple(fc.nat(length), fc.nat(length), fc.string({ maxLength: 6 })), { maxLength: 3 }).map((parts) => {
    const sorted = parts.map(([a, b, insert]) => ({ from: Math.min(a, b), to: Math.max(a, b), insert })).sort((a, b) => a.from - b.from)
    let end = -1
    return sorted.filter(({ from, to }) => {
      const fits = from > end
      if (fits) end = to
      return fits
    })
  })

/** A draft and an edit that fits it. */
export const draftAndEdit: fc.Arbitrary<{ draft: Draft; edit: Edit }> = anyDraft.chain((draft) =>
  changesOf(draft.text.length).chain((changes) => {
    const after = applyEdit(draft, { text: changes })
    const moved = mapMarks(draft.marks, changes)
    return fc
      .record({
        add: marksOn(after.text.length),
        removing: fc.array(fc.boolean(), { minLength: moved.length, maxLength: moved.length }),
        settings: fc.dictionary(fc.constantFrom('seed', 'guidance'), fc.oneof(fc.nat(9), fc.constant(null)), { noNullPrototype: true }),
        at: fc.nat(draft.leaveOut.length),
        insert: fc.array(fc.constantFrom('people', 'frames'), { maxLength: 2 }),
      })
      .map(({ add, removing, settings, at, insert }) => ({
        draft,
        edit: {
          text: changes,
          marks: { add, remove: moved.filter((_, i) => removing[i]) },
          settings,
          leaveOut: { at, remove: Math.min(1, draft.leaveOut.length - at), insert },
        },
      }))
  }),
)
