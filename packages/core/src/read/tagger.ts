import model from 'wink-eng-lite-web-model'
import winkNLP from 'wink-nlp'
import type { Tagger } from './reader.ts'

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

let loaded: Tagger | undefined
/** The tagger for English; about a megabyte of model. The library changes the model as it loads it, so that it is loaded once and is the same for all who ask. */
export const englishTagger = (): Tagger => (loaded ??= load())

function load(): Tagger {
  const nlp = winkNLP(model, ['pos'])
  // The library's readers of a token are plain functions, typed as methods.
  const { value: valueOf, pos: partOf, precedingSpaces: spacesOf } = nlp.its as unknown as Record<'value' | 'pos' | 'precedingSpaces', (index: number) => string>
  return (text, tokens) => {
    // A run of a hundred letters or marks is no word, and the tagger would take long over it.
    const found = nlp.readDoc(mayBeEndless(text) ? text.replace(ENDLESS, (run) => ' '.repeat(run.length)) : text).tokens()
    const values = found.out(valueOf) as string[]
    const parts = found.out(partOf) as string[]
    const spaces = found.out(spacesOf) as string[]
    const tags = new Array<number>(tokens.length).fill(0)
    let at = 0
    let next = 0
    values.forEach((value, i) => {
      at += spaces[i]?.length ?? 0
      const end = at + value.length
      while (next < tokens.length && tokens[next]!.start < end) {
        if (tokens[next]!.start >= at) tags[next] = Math.max(0, TAGS.indexOf(parts[i] ?? ''))
        next++
      }
      at = end
    })
    return tags
  }
}
