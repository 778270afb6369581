import type { Phrase } from '../read/reading.ts'
import type { QuestionsAnswer } from './answers/questions.ts'

/** Questions about what phrases say nothing of; a model may ask about what is said, too. One question a facet, the first. */
export function onlyMissing({ questions }: QuestionsAnswer, phrases: readonly Pick<Phrase, 'facet'>[]): { value: QuestionsAnswer; gone: number } {
  const said = new Set(phrases.map(({ facet }) => facet))
  const kept = questions.filter(({ facet }) => !said.has(facet) && said.add(facet))
  return { value: { questions: kept }, gone: questions.length - kept.length }
}
