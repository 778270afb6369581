import type { AlternativesAnswer } from './answers/alternatives.ts'
import type { EngineAnswer } from './answers/engine.ts'
import type { ExplanationAnswer } from './answers/explanation.ts'
import { type FacetsAnswer, facets } from './answers/facets.ts'
import type { IdeasAnswer } from './answers/ideas.ts'
import type { LeaveOutsAnswer } from './answers/leave-outs.ts'
import type { PromptAnswer } from './answers/prompt.ts'
import type { QuestionsAnswer } from './answers/questions.ts'
import type { ScenesAnswer } from './answers/scenes.ts'
import type { AnswerKind } from './helper.ts'

const OF: Readonly<Record<AnswerKind, (value: never) => string[]>> = {
  prompt: ({ prompt }: PromptAnswer) => [prompt],
  engine: ({ prompt }: EngineAnswer) => [prompt],
  facets: (value: FacetsAnswer) => [facets.prose(value).join(', ')],
  questions: ({ questions }: QuestionsAnswer) => questions.map(({ question }) => question),
  ideas: ({ ideas }: IdeasAnswer) => ideas,
  alternatives: ({ alternatives }: AlternativesAnswer) => alternatives,
  explanation: ({ phrases }: ExplanationAnswer) => phrases.map(({ purpose }) => purpose),
  'leave-outs': ({ leaveOut }: LeaveOutsAnswer) => leaveOut,
  scenes: ({ scenes }: ScenesAnswer) => scenes.map(({ begins }) => begins),
}

/** What an answer offers, text by text: one prompt, or each idea, question, alternative or entry. */
export const offeredTexts = (kind: AnswerKind, value: unknown): string[] => OF[kind](value as never)
