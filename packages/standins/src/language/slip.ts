import { choose, type Asked } from './asked.ts'
import { slips } from './habits.ts'
import { isSentences } from './write.ts'

const PRAISE = ['breathtaking', 'stunning', 'a masterpiece', 'incredibly beautiful'] as const
const LEADS = ['Create an image of', 'A picture that shows', 'Imagine'] as const
const MADE_UP = ['luminessence', 'velvoric', 'glowmire', 'etherglass'] as const

/** Puts into a prompt what a model is wont to, unless it is told not to: praise, a lead-in, settings; where it `adds` much, a word that is none or a second light. */
export function withSlips(prompt: string, asked: Asked, fixed: readonly string[], adds = false): string {
  const { habits, told, random } = asked
  let text = prompt
  const add = (words: string) => {
    text = isSentences(text) ? `${text.trimEnd()} ${words.charAt(0).toUpperCase()}${words.slice(1)}.` : `${text.replace(/[\s,]+$/, '')}, ${words}`
  }
  const slip = (name: Parameters<typeof slips>[0]) => slips(name, habits, told, random)
  if (slip('losesLocked')) for (const words of fixed.slice(0, 1)) text = text.replace(words, words.split(' ').at(-1) ?? '')
  if (adds && slip('twoLights')) add('bright noon sun and deep night')
  if (adds && slip('madeUpWord')) add(`full of ${choose(MADE_UP, random)}`)
  if (slip('praise')) add(choose(PRAISE, random))
  if (slip('settings')) add('guidance 7, steps 30')
  if (slip('leadIn')) text = `${choose(LEADS, random)} ${text.charAt(0).toLowerCase()}${text.slice(1)}`
  return text
}
