import { seededRandom } from '../../src/random/seeded.ts'
import type { Example } from './corpus.ts'

const MARKS = /[.;:!?\n{}"“”|]/
/** Of fewer items an order is no list's. */
const ITEMS = 4

/**
 * A keyword list with its items in another order, since writers put them in any and add to the end. The first `stay` of them keep
 * their places; items that one label holds together stay together. Undefined where the prompt is no plain list.
 */
export function shuffled(example: Example, seed: number, stay = 0): Example | undefined {
  const { text, labels } = example
  if (example.style !== 'k' || MARKS.test(text)) return undefined
  const cuts = [...text.matchAll(/,\s*/g)].filter(({ index }) => !labels.some(({ start, end }) => start < index && index < end))
  const starts = [0, ...cuts.map(({ index, 0: comma }) => index + comma.length)]
  const items = starts.map((start, i) => ({ start, end: cuts[i]?.index ?? text.length })).filter(({ start, end }) => end > start)
  if (items.length < ITEMS) return undefined
  const random = seededRandom(seed)
  for (let i = items.length - 1; i > stay; i--) {
    const j = stay + Math.floor(random() * (i + 1 - stay))
    ;[items[i], items[j]] = [items[j]!, items[i]!]
  }
  let out = ''
  const moved: Example['labels'] = []
  for (const { start, end } of items) {
    if (out) out += ', '
    for (const label of labels) if (label.start >= start && label.end <= end) moved.push({ ...label, start: label.start - start + out.length, end: label.end - start + out.length })
    out += text.slice(start, end)
  }
  return { ...example, text: out, labels: moved }
}
