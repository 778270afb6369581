import { type Asked, linesOf, shuffle } from '../asked.ts'
import { knowledge } from '../tables.ts'
import { PLAIN, SAME } from '../words/otherwise.ts'

/** Other words for a word: the list's own, else what the dictionary has. */
function wordsFor(word: string): readonly string[] {
  const lower = word.toLowerCase()
  const own = Object.hasOwn(SAME, lower) ? SAME[lower]! : []
  const row = Object.hasOwn(knowledge().table, lower) ? knowledge().table[lower] : undefined
  return [...own, ...(row?.s ?? []).filter((one) => /^[a-z -]+$/.test(one))]
}

const TAIL = /^(.+?)\s+((?:from|in|on|at|under|behind|beside|over|with|through|of|against)\s+.+)$/i

/** Ways to say a phrase, no two with the same first words. */
export function waysToSay(phrase: string, count: number, random: () => number, without: readonly string[]): string[] {
  const said = phrase.trim().replace(/[.,;]+$/, '')
  const [, head = said, tail = ''] = TAIL.exec(said) ?? []
  const article = /^(?:an?|the|his|her|its|their)\s/i.exec(said)?.[0] ?? ''
  const glossary = knowledge().glossary.named(said)[0]
  const candidates: string[] = [...(glossary ? [...glossary.also, ...glossary.near, ...glossary.instead] : [])]
  const words = [...said.matchAll(/\p{L}+(?:[-’']\p{L}+)*/gu)]
  const swapped = words.flatMap((match) => wordsFor(match[0]).map((other) => said.slice(0, match.index) + other + said.slice(match.index + match[0].length)))
  candidates.push(...shuffle(swapped, random))
  const twice = swapped.flatMap((text) => [...text.matchAll(/\p{L}+/gu)].slice(1).flatMap((match) => wordsFor(match[0]).slice(0, 2).map((other) => text.slice(0, match.index) + other + text.slice(match.index + match[0].length))))
  candidates.push(...shuffle(twice, random))
  if (tail) candidates.push(`${tail}, ${head}`)
  const bare = said.slice(article.length)
  candidates.push(...shuffle(PLAIN, random).map((quality) => `${article}${quality} ${bare}`))
  const starts = new Set<string>()
  const unlike = new Set([said, ...without].map((text) => text.toLowerCase()))
  const found: string[] = []
  for (const relaxed of [false, true])
    for (const candidate of candidates) {
      if (found.length >= count) break
      const text = candidate.replace(/\ba(?= [aeiou])/gi, 'an').replace(/\ban(?= [^aeiou\W])/gi, 'a').trim()
      const start = text.toLowerCase().replace(/^(?:an?|the|his|her|its|their)\s+/, '').split(' ')[0] ?? ''
      if (unlike.has(text.toLowerCase()) || (!relaxed && starts.has(start))) continue
      unlike.add(text.toLowerCase())
      starts.add(start)
      found.push(text)
    }
  return found
}

export function rephraseTask({ given, told, random, habits }: Asked): { alternatives: string[] } {
  return { alternatives: waysToSay(given('phrase') || given('prompt'), told.count ?? (habits.terse ? 4 : 6), random, linesOf(given('takes'))) }
}
