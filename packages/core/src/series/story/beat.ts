import type { ToldSentence } from './scenes.ts'

/** Longest beat, in UTF-16 code units. */
const LONGEST = 220

/**
 * What happens in a scene, in one line: the sentence that tells most of who is there, without the time it opens with and
 * with names for “he”, “she” and “they”. An empty string for a scene that is all speech or headings.
 */
export function beatOf(story: string, sentences: readonly ToldSentence[]): string {
  const told = sentences.filter(({ heading, tokens }) => !heading && tokens.some(({ quoted, kind }) => !quoted && kind === 'word'))
  const worth = ({ present, tokens, end, start }: ToldSentence, i: number) => {
    const who = new Set(present.filter(({ subject }) => subject).map(({ being }) => being)).size
    const quoted = tokens.filter((token) => token.quoted).length / (tokens.length || 1)
    return who * 2 + (i === 0 ? 1 : 0) - quoted * 4 - (end - start > LONGEST ? 2 : 0)
  }
  const best = told.map((sentence, i) => ({ sentence, worth: worth(sentence, i) })).sort((a, b) => b.worth - a.worth)[0]?.sentence
  if (!best) return ''
  const changes: { start: number; end: number; text: string }[] = []
  const first = best.tokens.find(({ quoted }) => !quoted)?.start ?? best.start
  const opening = best.moments.find(({ start }) => start - first <= 3)
  if (opening) changes.push({ start: best.start, end: opening.end, text: '' })
  const pronouns = new Map<number, { end: number; names: string[] }>()
  for (const { being, start, end, meant, subject } of best.present) {
    if (!meant || !subject || !/^(?:he|she|they|it|him|her|them)$/i.test(story.slice(start, end)) || /\bof\s+$/i.test(story.slice(0, start))) continue
    const one = pronouns.get(start) ?? { end, names: [] }
    if (!one.names.includes(being.name)) one.names.push(being.name)
    pronouns.set(start, one)
  }
  const named = (name: string) => (/^\p{Lu}/u.test(name) ? name : `the ${name}`)
  let said = new Set(best.present.filter(({ meant }) => !meant).map(({ being }) => being.name))
  for (const [start, { end, names }] of [...pronouns].sort(([a], [b]) => a - b)) {
    if (opening && start < opening.end) continue
    // A second “she” is plain once the first is named.
    if (names.every((name) => said.has(name))) continue
    changes.push({ start, end, text: names.map(named).join(names.length > 2 ? ', ' : ' and ') })
    said = new Set([...said, ...names])
  }
  let text = ''
  let at = best.start
  for (const change of changes.sort((a, b) => a.start - b.start)) {
    text += story.slice(at, change.start) + change.text
    at = change.end
  }
  text += story.slice(at, best.end)
  const bare = text.replace(/\s+/g, ' ').replace(/^[\s,;:—–-]+/, '').replace(/[.!?…]+$/, '').trim()
  const end = bare.lastIndexOf(' ', LONGEST)
  const short = bare.length > LONGEST ? `${bare.slice(0, end > 0 ? end : LONGEST)}…` : bare
  return short.replace(/^\p{Ll}/u, (letter) => letter.toUpperCase())
}
