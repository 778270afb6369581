import { createPrompt, type Prompt, saveEdits } from '@idolon/contract'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { heldKeys, holdKeys } from './early-keys.ts'

/** Ways to begin a prompt, each of which ends on the Desk. */
export function useNewPrompt() {
  const router = useRouter()
  const projects = useProjects()
  const notices = useNotices()
  const task = useTask()

  async function open(prompt: Prompt): Promise<void> {
    await router.push(`/desk/${prompt.id}`)
  }
  /** What is typed at once is held until the text is there to take it. */
  const fromNothing = () => {
    holdKeys()
    return task(async () => {
      try {
        const project = await projects.currentOrFirst()
        await open(await call(createPrompt, { body: { projectId: project.id } }))
      } catch (error) {
        heldKeys()
        throw error
      }
    })
  }
  const fromPrompt = (promptId: string, projectId: string, versionId?: string) =>
    task(async () => {
      await open(await call(createPrompt, { body: { projectId, from: { promptId, ...(versionId ? { versionId } : {}) } } }))
    })
  async function written(projectId: string, text: string): Promise<Prompt> {
    const prompt = await call(createPrompt, { body: { projectId } })
    await call(saveEdits, { params: { prompt: prompt.id }, body: { client: crypto.randomUUID(), first: 1, base: prompt.revision, edits: [{ text: [{ from: 0, to: 0, insert: text }] }] } })
    return prompt
  }
  /** A prompt that says a text already. */
  const fromText = (projectId: string, text: string) => task(async () => open(await written(projectId, text)))
  /** One prompt for each idea; a single one is opened. */
  const fromIdeas = (projectId: string, ideas: readonly string[]) =>
    task(async () => {
      const [only, ...more] = ideas
      if (only !== undefined && more.length === 0) return open(await written(projectId, only))
      for (const idea of ideas) await written(projectId, idea)
      notices.show(`${counted(ideas.length, 'prompt')} made in ${projects.byId(projectId)?.name ?? 'this project'}.`, { action: { label: 'See them', run: () => void router.push('/shelf') } })
    })
  return { fromNothing, fromPrompt, fromText, fromIdeas }
}
