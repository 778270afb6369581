import { importPictures, createPrompt, saveEdits, startRun, stopRun } from '@idolon/contract'
import { ELSEWHERE } from '@idolon/core'
import { call } from '../api/call.ts'
import { messageOf } from '../api/problem.ts'
import { uploadPicture, type Uploaded } from './upload.ts'

/** Pictures of which nothing is known here become a prompt of their own: its words are what they say of themselves. */
export async function importWithoutPrompt(projectId: string, files: readonly File[]): Promise<{ promptId: string | undefined; refused: string[] }> {
  const taken: Uploaded[] = []
  const refused: string[] = []
  for (const file of files) {
    try {
      taken.push(await uploadPicture(file))
    } catch (error) {
      refused.push(`${file.name}: ${messageOf(error)}`)
    }
  }
  if (taken.length === 0) return { promptId: undefined, refused }
  const text = taken.find(({ made }) => made.text)?.made.text?.slice(0, 20_000) ?? ''
  const title = text ? '' : (files[0]?.name.replace(/\.\w+$/, '').slice(0, 200) ?? '')
  const prompt = await call(createPrompt, { body: { projectId, ...(title ? { title } : {}) } })
  const params = { prompt: prompt.id }
  const { revision } = text ? await call(saveEdits, { params, body: { client: crypto.randomUUID(), first: 1, base: prompt.revision, edits: [{ text: [{ from: 0, to: 0, insert: text }] }] } }) : prompt
  const run = await call(startRun, { params, body: { id: crypto.randomUUID(), revision, byHand: { engine: { engine: ELSEWHERE.id } } } })
  await call(importPictures, { params: { run: run.id }, body: { pictures: taken.map(({ sha256, made }) => ({ sha256, seed: made.seed ?? null, settings: made.settings })) } })
  await call(stopRun, { params: { run: run.id } })
  return { promptId: prompt.id, refused }
}
