import type { Problem, ProblemName } from '@idolon/contract'

/** An error whose message is a sentence for a person: what happened, what was kept, what to do. */
export class SaidError extends Error {
  override name = 'SaidError'
}

/** What the server refused, or why it could not be reached. */
export class ApiProblem extends SaidError {
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

const SOMETHING_WRONG = 'Something went wrong in this page. Nothing you wrote is lost. Reload to go on.'
/** The sentence to show of whatever was thrown; what is no sentence for a person stands in the console alone. */
export function messageOf(error: unknown): string {
  if (error instanceof SaidError) return error.message
  console.error(error)
  return SOMETHING_WRONG
}
