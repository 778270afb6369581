import { listVersions, type Reference, readPrompt, saveEdits } from '@idolon/contract'
import { borrowedText, type Closing, type Draft, type Edit, editBetween } from '@idolon/core'
import { call } from '../api/call.ts'

/** What a closing does, as a button says it. */
export function closingWords(closing: Closing): string {
  if ('say' in closing) return `Say “${closing.say}”`
  if ('leaveOut' in closing) return `Leave out “${closing.leaveOut}”`
  if ('setting' in closing) return `Ask for ${closing.value}`
  return `Follow the reference’s ${closing.follow}, strength ${closing.strength}`
}

function editFor({ text, leaveOut, references }: Draft, closing: Closing, reference: Reference): Edit {
  if ('leaveOut' in closing) return { leaveOut: { at: leaveOut.length, remove: 0, insert: [closing.leaveOut] } }
  if ('setting' in closing) return { settings: { [closing.setting]: closing.value } }
  if ('follow' in closing) return { references: { at: references.length, remove: 0, insert: [{ reference: reference.picture.sha256, role: closing.follow, strength: closing.strength }] } }
  const borrowed = borrowedText([{ facet: closing.facet, text: closing.say, reference: reference.id }])
  // A sentence ends before what is added; a list goes on.
  const bare = text.trimEnd()
  const joint = bare === '' ? '' : /[.!?]$/.test(bare) ? ' ' : ', '
  const insert = joint + (joint === ' ' ? `${borrowed.text.charAt(0).toUpperCase()}${borrowed.text.slice(1)}.` : borrowed.text)
  const from = bare.length + joint.length
  return { text: [{ from: bare.length, to: text.length, insert }], marks: { remove: [], add: borrowed.marks.map((mark) => ({ ...mark, from: mark.from + from, to: mark.to + from })) } }
}

const save = async (promptId: string, edit: (draft: Draft) => Edit): Promise<void> => {
  const { draft, revision } = await call(readPrompt, { params: { prompt: promptId } })
  await call(saveEdits, { params: { prompt: promptId }, body: { client: crypto.randomUUID(), first: 1, base: revision, edits: [edit(draft)] } })
}

/** Puts a closing into the draft of a prompt. */
export const applyClosing = (promptId: string, closing: Closing, reference: Reference): Promise<void> => save(promptId, (draft) => editFor(draft, closing, reference))

/** Makes the draft of a prompt say what a version of it says. */
export async function goBackTo(promptId: string, number: number): Promise<void> {
  const version = (await call(listVersions, { params: { prompt: promptId } })).find((one) => one.number === number)
  if (version) await save(promptId, (draft) => editBetween(draft, { ...draft, ...version.body }))
}
