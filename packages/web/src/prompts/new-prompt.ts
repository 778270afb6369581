import { createPrompt, type Prompt } from '@idolon/contract'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { useProjects } from '../stores/projects.ts'

/** Ways to begin a prompt, each of which ends on the Desk. */
export function useNewPrompt() {
  const router = useRouter()
  const projects = useProjects()
  const task = useTask()

  async function open(prompt: Prompt): Promise<void> {
    await router.push(`/desk/${prompt.id}`)
  }
  const fromNothing = () =>
    task(async () => {
      const project = await projects.currentOrFirst()
      await open(await call(createPrompt, { body: { projectId: project.id } }))
    })
  const fromPrompt = (promptId: string, projectId: string, versionId?: string) =>
    task(async () => {
      await open(await call(createPrompt, { body: { projectId, from: { promptId, ...(versionId ? { versionId } : {}) } } }))
    })
  return { fromNothing, fromPrompt }
}
