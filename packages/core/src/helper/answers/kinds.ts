/** The shapes an answer may have; each has a file of its own here. */
export const ANSWER_KINDS = ['prompt', 'engine', 'facets', 'questions', 'ideas', 'alternatives', 'explanation', 'leave-outs', 'scenes'] as const
