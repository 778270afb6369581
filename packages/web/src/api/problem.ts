import type { Problem, ProblemName } from '@idolon/contract'

/** What the server refused, or why it could not be reached; `message` is a sentence to show. */
export class ApiProblem extends Error {
  override name = 'ApiProblem'
  constructor(
    readonly problem: ProblemName | 'unreachable',
    message: string,
    readonly document?: Problem,
  ) {
    super(message)
  }
}

/** What the server said in place of an answer; `otherwise` is the sentence where it said nothing that can be read. */
export function refusalOf(answer: unknown, otherwise: string): ApiProblem {
  const problem = answer as Problem | undefined
  return new ApiProblem((problem?.type.split('/').at(-1) as ProblemName | undefined) ?? 'internal', problem?.detail ?? otherwise, problem)
}

export const messageOf = (error: unknown): string =>
  error instanceof ApiProblem ? error.message : `Something went wrong in this page (${error instanceof Error ? error.message : String(error)}). Nothing you wrote is lost; reload to go on.`
