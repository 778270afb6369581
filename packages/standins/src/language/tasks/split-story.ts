import { sentenceStarts } from '@idolon/core'
import { type Asked, linesOf } from '../asked.ts'

/** Words that often begin another scene, as a hasty reader takes them. */
const TURNS = /^["“‘'(]?(?:when|then|next|after|later|meanwhile|at|on|that|the next|by|one|in the|as soon|soon|finally|now|suddenly|down|up|outside|inside|back|across|once)\b/i
const firstWords = (text: string, count: number) => text.trim().split(/\s+/).slice(0, count).join(' ')

/** Splits a story by its paragraphs, and those that run long by words that often begin something new. */
export function splitStoryTask({ given, random, habits }: Asked): { scenes: { begins: string; beat: string }[] } {
  const story = given('story')
  const before = new Set(linesOf(given('takes')).map((line) => line.slice(0, 20).toLowerCase()))
  const starts = sentenceStarts(story)
  const sentences = starts.map((start, i) => ({ text: story.slice(start, starts[i + 1] ?? story.length).trim(), opens: i === 0 || /\n\s*\n\s*$/.test(story.slice(starts[i - 1], start)) }))
  const scenes: { begins: string; beat: string }[] = []
  let length = 0
  sentences.forEach(({ text, opens }, i) => {
    const spoken = /^["“‘]/.test(text)
    const turns = (opens && !spoken && length > (habits.terse ? 12 : 40)) || (TURNS.test(text) && length > (habits.terse ? 25 : 60))
    // Asked anew, it goes on now and then where it had begun a scene.
    if (i === 0 || (turns && !(before.has(firstWords(text, 8).slice(0, 20).toLowerCase()) && random() < 0.5))) {
      scenes.push({ begins: firstWords(text, 8), beat: firstWords(text, 18).replace(/[\s,;:.!?]+$/, '') })
      length = 0
    }
    length += text.split(/\s+/).length
  })
  return { scenes: scenes.length ? scenes : [{ begins: firstWords(story, 8) || 'nothing', beat: 'Nothing happens' }] }
}
