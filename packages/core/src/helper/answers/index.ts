import type { AnswerKind } from '../helper.ts'
import { alternatives } from './alternatives.ts'
import type { AnswerShape } from './answer.ts'
import { engine } from './engine.ts'
import { explanation } from './explanation.ts'
import { facets } from './facets.ts'
import { ideas } from './ideas.ts'
import { leaveOuts } from './leave-outs.ts'
import { prompt } from './prompt.ts'
import { questions } from './questions.ts'
import { scenes } from './scenes.ts'

/** Every shape an answer may have. */
export const ANSWERS: Readonly<Record<AnswerKind, AnswerShape>> = { prompt, engine, facets, questions, ideas, alternatives, explanation, 'leave-outs': leaveOuts, scenes } as Record<AnswerKind, AnswerShape>
