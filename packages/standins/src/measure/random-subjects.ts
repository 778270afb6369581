import { seededRandom } from '@idolon/core'
import { knowledge } from '../language/tables.ts'

/** WordNet's files of things that can be seen: animal, artifact, food, object, person, plant, location, event. */
const SEEN = new Set([5, 6, 13, 15, 17, 18, 20, 11])
const QUALITIES = ['old', 'rusty', 'small', 'broken', 'quiet', 'striped', 'heavy', 'young', 'tall', 'painted']

/** Subjects drawn from the dictionary, which nobody has looked at: by themselves, with a quality, with another thing, in a place; some words locked. */
export function randomSubjects(count: number, seed: number): { text: string; locked: string[] }[] {
  const { words } = knowledge().reader
  const random = seededRandom(seed)
  const nouns = words.list.filter((word) => {
    const facts = words.find(word)
    return facts && facts.main === 0 && (facts.classes & 1) !== 0 && /^[a-z]{4,}$/.test(word) && SEEN.has(facts.noun1)
  })
  const pick = (list: readonly string[]) => list[Math.floor(random() * list.length)] ?? ''
  return Array.from({ length: count }, (_, i) => {
    const [noun, quality] = [pick(nouns), pick(QUALITIES)]
    const named = `${quality} ${noun}`
    if (i % 4 === 0) return { text: noun, locked: [] }
    if (i % 4 === 1) return { text: named, locked: [named] }
    if (i % 4 === 2) return { text: `a ${named}, ${pick(nouns)} beside it`, locked: [named] }
    return { text: `a ${noun} in a ${pick(nouns)}`, locked: [] }
  })
}
