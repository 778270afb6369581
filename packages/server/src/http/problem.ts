import { type Problem, type ProblemName, PROBLEMS, problemType } from '@idolon/contract'

const TITLES: Record<ProblemName, string> = {
  invalid: 'The request is not valid',
  'too-large': 'The request is too large',
  'not-found': 'Not found',
  'not-this-origin': 'Not from this application',
  'draft-moved': 'The draft has changed meanwhile',
  'edit-does-not-fit': 'The edit does not fit the draft',
  'text-too-long': 'The text is too long',
  'nothing-to-try': 'There is nothing to try',
  'unknown-engine': 'Unknown engine',
  'profile-contradicts': 'The profile contradicts itself',
  'unknown-helper': 'Unknown helper',
  'unknown-model': 'Unknown model',
  'instruction-unsound': 'The instruction cannot be sent',
  'no-key': 'No key that API keys are sealed with',
  'template-unsound': 'The template cannot be used',
  'not-connected': 'The engine or model is not connected',
  'over-ceiling': 'Over the ceiling of the project',
  'unreadable-file': 'The file cannot be read',
  'not-a-picture': 'Not a picture that can be used',
  'rules-contradict': 'The house rules contradict one another',
  'not-now': 'Not possible now',
  'name-taken': 'The name is taken',
  'project-archived': 'The project is archived',
  internal: 'Something went wrong here',
  unavailable: 'Not available just now',
}

/** Thrown by services; answered as an RFC 9457 document. */
export class ProblemError extends Error {
  override name = 'ProblemError'
  constructor(
    readonly problem: ProblemName,
    /** A sentence for a person: what happened, what was kept, what to do. */
    readonly detail: string,
    readonly more: Record<string, unknown> = {},
  ) {
    super(detail)
  }

  document(): Problem {
    return { type: problemType(this.problem), title: TITLES[this.problem], status: PROBLEMS[this.problem], detail: this.detail, ...this.more }
  }
}

export const notFound = (what: string) => new ProblemError('not-found', `There is no such ${what}. It may have been removed; go back and choose another.`)
