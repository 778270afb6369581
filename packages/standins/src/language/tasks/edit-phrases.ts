import { applyEdit, emptyDraft, type Mark, type Phrase, removePhrase, replacePhrase, type Draft } from '@idolon/core'
import { knowledge } from '../tables.ts'

/** A text whose phrases are replaced one by one; every word that is not spoken of stays as it is. */
export class Phrases {
  #draft: Draft

  constructor(
    text: string,
    private readonly locked: readonly string[],
  ) {
    this.#draft = { ...emptyDraft(), text }
  }

  get text(): string {
    return this.#draft.text
  }

  get list(): readonly Phrase[] {
    return knowledge().reader.read(this.#draft.text).phrases
  }

  isLocked({ text }: Pick<Phrase, 'text'>): boolean {
    return this.locked.some((words) => text.includes(words) || words.includes(text))
  }

  /** Puts other words in a phrase's place, or takes it away; leading words of place and time go with it when they do not fit. */
  replace(phrase: Phrase, words: string): void {
    if (this.isLocked(phrase)) return
    const { text } = this.#draft
    if (words === '') {
      this.#draft = applyEdit(this.#draft, { text: removePhrase(text, phrase) })
      return
    }
    const before = /\b(?:in|at|on|under|during|by|with)\s+(?:an?\s+|the\s+)?$/i.exec(text.slice(0, phrase.start))?.[0] ?? ''
    const own = /^(?:in|at|on|under|during|by|with|from)\b/i.test(words)
    const start = own && before ? phrase.start - before.length : phrase.start
    this.#draft = applyEdit(this.#draft, replacePhrase(this.#draft, { start, end: phrase.end }, words))
  }

  /** Adds a phrase at the end, in the way the text is written. */
  add(words: string, sentence: (words: string) => string): void {
    const text = this.#draft.text.trimEnd()
    this.#draft = { ...this.#draft, text: /[.!?]$/.test(text) ? `${text} ${sentence(words)}` : `${text.replace(/,$/, '')}, ${words}`, marks: [] as Mark[] }
  }
}
