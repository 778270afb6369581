import type { Asked } from '../asked.ts'
import { anotherMediumTask } from './another-medium.ts'
import { askMeTask } from './ask-me.ts'
import { byFacetsTask } from './by-facets.ts'
import { changeThroughoutTask } from './change-throughout.ts'
import { explainTask } from './explain.ts'
import { fillOutTask } from './fill-out.ts'
import { forEngineTask } from './for-engine.ts'
import { ideasTask } from './ideas.ts'
import { inAStyleTask } from './in-a-style.ts'
import { leaveOutsTask } from './leave-outs.ts'
import { rephraseTask } from './rephrase.ts'
import { splitStoryTask } from './split-story.ts'
import { tightenTask } from './tighten.ts'

export type Task = (asked: Asked) => unknown

/** What is to be done where a schema asks for a property. */
const BY_PROPERTY: Readonly<Record<string, Task>> = { questions: askMeTask, ideas: ideasTask, alternatives: rephraseTask, phrases: explainTask, why: forEngineTask, subject: byFacetsTask, leaveOut: leaveOutsTask, scenes: splitStoryTask }
/** What an instruction asks for when a whole prompt is wanted, the first that it says. */
const BY_WORDS: readonly (readonly [RegExp, Task])[] = [
  [/\btighten|\bshorten|in fewer words|\bcondense/i, tightenTask],
  [/in the writing style|in a writing style|way of writing/i, inAStyleTask],
  [/another medium|new medium|for the medium|change the medium/i, anotherMediumTask],
  [/change this prompt|carry (?:the|a|this) change|the same, but|so that it plays/i, changeThroughoutTask],
  [/fill (?:it |this )?out|full prompt|expand|complete this/i, fillOutTask],
]

/** Which task an instruction asks for, by what it says and by the shape that the answer is to have. */
export function taskFor(instruction: string, properties: readonly string[]): Task {
  if (!properties.includes('prompt') || properties.includes('why')) for (const [property, task] of Object.entries(BY_PROPERTY)) if (properties.includes(property)) return task
  return BY_WORDS.find(([words]) => words.test(instruction))?.[1] ?? fillOutTask
}
