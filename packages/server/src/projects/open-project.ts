import { notFound, ProblemError } from '../http/problem.ts'
import { projectState } from '../prompts/store.ts'

/** Refuses what is to be made in a project that is not there, or archived. @throws {ProblemError} */
export async function demandOpenProject(db: Parameters<typeof projectState>[0], id: string): Promise<void> {
  const project = await projectState(db, id)
  if (!project) throw notFound('project')
  if (project.archived_at) throw new ProblemError('project-archived', 'That project is archived. Restore it from the archive first, or choose another.')
}
