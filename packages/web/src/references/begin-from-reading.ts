import { createPrompt, type Prompt, saveEdits } from '@idolon/contract'
import { applyEdit, type Borrowed, borrowedText, type Edit, emptyDraft, type EngineProfile, fixedFacetsOf } from '@idolon/core'
import { call } from '../api/call.ts'
import { ReadingClient, startReadingWorker } from '../reading/reading-client.ts'

/** A prompt that says what was taken from a picture, in the way an engine reads: as a list, or in sentences. */
export async function beginFromReading(projectId: string, phrases: readonly Borrowed[], engine: EngineProfile | undefined): Promise<Prompt> {
  const { text, marks } = borrowedText(phrases)
  const first: Edit = { text: [{ from: 0, to: 0, insert: text }], marks: { remove: [], add: marks }, ...(engine ? { engines: { at: 0, remove: 0, insert: [{ engine: engine.id, revision: engine.revision }] } } : {}) }
  const edits = [first]
  if (engine?.reads === 'sentences') {
    const draft = applyEdit(emptyDraft(), first)
    const client = new ReadingClient(startReadingWorker)
    try {
      client.update(text, fixedFacetsOf(marks))
      edits.push((await client.ask('rewrite', { draft, style: 'sentences' })).edit)
    } finally {
      client.stop()
    }
  }
  const prompt = await call(createPrompt, { body: { projectId } })
  // A new prompt may have the project's usual engine already; the chosen one takes its place.
  const had = prompt.draft.engines.length
  if (first.engines) first.engines.remove = had
  await call(saveEdits, { params: { prompt: prompt.id }, body: { client: crypto.randomUUID(), first: 1, base: prompt.revision, edits } })
  return prompt
}
