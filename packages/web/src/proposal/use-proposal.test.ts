import { applyEdit, type Draft, type Edit, emptyDraft } from '@idolon/core'
import { expect, it } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import type { DraftSession } from '../desk/draft-session.ts'
import { useProposal } from './use-proposal.ts'

const draftOf = (text: string): Draft => ({ ...emptyDraft(), text })
const words = (text: string) => text.split(', ')

/** A desk whose worker proposes one unit for each word between commas that the draft lacks, to be added at its end. */
function desk(text: string, proposed: string) {
  const draft = shallowRef(draftOf(text))
  const added = (before: Draft, after: Draft) => words(after.text).filter((word) => !words(before.text).includes(word))
  const withWords = (before: Draft, more: string[]): Edit => (more.length ? { text: [{ from: before.text.length, to: before.text.length, insert: more.map((word) => `, ${word}`).join('') }] } : {})
  const asks = {
    proposal: ({ draft: a, proposed: b }: { draft: Draft; proposed: Draft }) => ({ units: added(a, b).map((word, index) => ({ index, difference: { kind: 'phrase', change: 'added', b: word }, edit: withWords(a, [word]), breaksLocked: word === 'locked', findings: [] })), elsewhere: [] }),
    take: ({ draft: a, proposed: b, chosen }: { draft: Draft; proposed: Draft; chosen: number[] }) => withWords(a, added(a, b).filter((_, i) => chosen.includes(i))),
    leave: ({ draft: a, proposed: b, left }: { draft: Draft; proposed: Draft; left: number[] }) => applyEdit(a, withWords(a, added(a, b).filter((_, i) => !left.includes(i)))),
  }
  const session = {
    draft,
    apply: (edit: Edit) => (draft.value = applyEdit(draft.value, edit)),
    reading: { ask: (kind: keyof typeof asks, given: never) => Promise.resolve(asks[kind](given)) },
  } as unknown as DraftSession
  const source = { proposed: draftOf(proposed), helper: { id: 'fill-out', version: 1 } }
  const proposal = effectScope().run(() => useProposal(session, () => source, () => ({ engine: undefined, rules: { must: [], never: [], leaveOut: [], colours: [] }, ownWords: [] })))!
  const settle = async () => {
    for (let i = 0; i < 6; i++) await nextTick()
  }
  return { draft, proposal, settle, said: () => proposal.units.value.map(({ difference }) => difference.b) }
}

it('offers what is proposed; what is taken is in the draft, what is left is not, and the rest stays as it was', async () => {
  const { draft, proposal, settle, said } = desk('heron', 'heron, reeds, dawn, gouache')
  await settle()
  expect(said()).toEqual(['reeds', 'dawn', 'gouache'])
  await proposal.take([proposal.units.value[1]!])
  await settle()
  expect(draft.value.text).toBe('heron, dawn')
  expect(said()).toEqual(['reeds', 'gouache'])
  proposal.leave([proposal.units.value[0]!])
  await proposal.take(proposal.takeable.value)
  await settle()
  expect(draft.value.text).toBe('heron, dawn, gouache')
  expect(said()).toEqual([])
  expect(proposal.counts.value).toEqual({ taken: 2, left: 1 })
})

it('proposes again what undo takes back, and keeps what the writer types meanwhile', async () => {
  const { draft, proposal, settle, said } = desk('heron', 'heron, reeds, dawn')
  await settle()
  await proposal.take([proposal.units.value[0]!])
  await settle()
  draft.value = draftOf('heron')
  await settle()
  expect(said()).toEqual(['reeds', 'dawn'])
  draft.value = draftOf('grey heron')
  await settle()
  expect(said()).toContain('dawn')
  await proposal.take(proposal.units.value.filter(({ difference }) => difference.b === 'dawn'))
  expect(draft.value.text).toBe('grey heron, dawn')
})

it('takes nothing that would change locked words when all is taken', async () => {
  const { draft, proposal, settle } = desk('heron', 'heron, reeds, locked')
  await settle()
  await proposal.take(proposal.takeable.value)
  expect(draft.value.text).toBe('heron, reeds')
})
