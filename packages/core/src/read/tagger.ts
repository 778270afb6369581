import model from 'wink-eng-lite-web-model'
import winkNLP from 'wink-nlp'
import type { Analyser } from './analyser.ts'
import type { Token } from './scan.ts'

/** Parts of speech by number (the universal set; Petrov, Das & McDonald 2012). The reading's tables depend on this order. */
const TAGS = ['', 'ADJ', 'ADP', 'ADV', 'AUX', 'CCONJ', 'DET', 'INTJ', 'NOUN', 'NUM', 'PART', 'PRON', 'PROPN', 'PUNCT', 'SCONJ', 'SYM', 'VERB', 'X', 'SPACE']

const ENDLESS = /\S{100,}/g
/** Whether a text may hold such a run; quicker to see than to search for. */
function mayBeEndless(text: string): boolean {
  let at = 0
  for (let next = text.indexOf(' '); next >= 0; next = text.indexOf(' ', at)) {
    if (next - at >= 100) return true
    at = next + 1
  }
  return text.length - at >= 100
}

type Tagger = (text: string, tokens: readonly Token[]) => number[]
interface English {
  tag: Tagger
  analyse: Analyser
}
let loaded: English | undefined
const english = (): English => (loaded ??= load())

/** Parts of speech alone, as small whole numbers; about a megabyte of model. The library changes the model as it loads it, so that it is loaded once and is the same for all who ask. */
export const englishTagger = (): Tagger => english().tag

/** The same, with the dictionary form of each word besides. */
export const englishAnalyser = (): Analyser => english().analyse

function load(): English {
  const nlp = winkNLP(model, ['pos'])
  // The library's readers of a token are plain functions, typed as methods.
  const { value: valueOf, pos: partOf, lemma: lemmaOf, precedingSpaces: spacesOf } = nlp.its as unknown as Record<'value' | 'pos' | 'lemma' | 'precedingSpaces', (index: number) => string>
  /** Calls back for each token with the first of the library's own tokens that begins in it. */
  const align = (text: string, tokens: readonly Token[], readers: readonly ((index: number) => string)[], take: (token: number, said: string[], whole: boolean) => void): void => {
    // A run of a hundred letters or marks is no word, and the tagger would take long over it.
    const found = nlp.readDoc(mayBeEndless(text) ? text.replace(ENDLESS, (run) => ' '.repeat(run.length)) : text).tokens()
    const values = found.out(valueOf) as string[]
    const told = readers.map((reader) => found.out(reader) as string[])
    const spaces = found.out(spacesOf) as string[]
    let at = 0
    let next = 0
    values.forEach((value, i) => {
      at += spaces[i]?.length ?? 0
      const end = at + value.length
      while (next < tokens.length && tokens[next]!.start < end) {
        const { start, end: last } = tokens[next]!
        if (start >= at) take(next, told.map((list) => list[i] ?? ''), start === at && last === end)
        next++
      }
      at = end
    })
  }
  return {
    tag: (text, tokens) => {
      const tags = new Array<number>(tokens.length).fill(0)
      align(text, tokens, [partOf], (token, [part]) => (tags[token] = Math.max(0, TAGS.indexOf(part ?? ''))))
      return tags
    },
    analyse: (text, tokens) => {
      const facts = tokens.map(({ lower }) => ({ tag: 0, lemma: lower }))
      align(text, tokens, [partOf, lemmaOf], (token, [part, lemma], whole) => {
        facts[token] = { tag: Math.max(0, TAGS.indexOf(part ?? '')), lemma: whole && lemma ? lemma.toLowerCase() : tokens[token]!.lower }
      })
      return facts
    },
  }
}
