import { singularOf } from '../english/noun.ts'
import type { AssociationRow, AssociationTable, SourceLetter } from './association-table.ts'

/** What a word commonly brings into a picture though nobody asked. */
export interface Companion {
  /** In the words of a leave-out list. */
  what: string
  /** How commonly, from 0 to 1: what is listed by hand counts most, what is worked out as probable as it was measured to be. */
  strength: number
  source: 'listed' | 'dictionary' | 'prompts' | 'use'
}

/** Another way to say what a word means, with how much it drags in. */
export interface Description {
  text: string
  /** The strongest companion of its words that is not wanted, from 0 to 1; without a name for it, of all companions. */
  drags: number
  source: 'meaning' | 'synonym' | 'broader' | 'kin'
}

const SOURCES: Readonly<Record<SourceLetter, Companion['source']>> = { l: 'listed', d: 'dictionary', p: 'prompts', u: 'use' }
const WORD = /[\p{L}]+(?:[’'-]\p{L}+)*/gu
/** How near a description of each kind keeps to what was meant, for two that drag in as much. */
const KEEPS: Readonly<Record<Description['source'], number>> = { synonym: 3, meaning: 2, kin: 1, broader: 0 }

/** What words bring along, and how to say them without it. */
export class Associations {
  constructor(private readonly table: AssociationTable) {}

  #row(word: string): AssociationRow | undefined {
    const lower = word.trim().toLowerCase()
    // Not by plain access: words such as “constructor” are no words of the table.
    return [lower, singularOf(lower)].flatMap((one) => (Object.hasOwn(this.table, one) ? [this.table[one]] : []))[0]
  }

  /** What a word or a short term brings, strongest first; empty where nothing is known well enough. */
  companions(word: string): Companion[] {
    return (this.#row(word)?.b ?? []).map(([what, hundredths, source]) => ({ what, strength: hundredths / 100, source: SOURCES[source] }))
  }

  /** What the dictionary says of a word. */
  meaning(word: string): string | undefined {
    return this.#row(word)?.m
  }

  /** The longest terms of a phrase that bring something, with their places in it. */
  termsIn(phrase: string): { start: number; end: number; term: string }[] {
    const words = [...phrase.matchAll(WORD)]
    const found: { start: number; end: number; term: string }[] = []
    for (let i = 0; i < words.length; i++) {
      for (let length = Math.min(3, words.length - i); length > 0; length--) {
        const last = words[i + length - 1]!
        const [start, end] = [words[i]!.index, last.index + last[0].length]
        const term = phrase.slice(start, end)
        if (!this.#row(term)?.b) continue
        found.push({ start, end, term })
        i += length - 1
        break
      }
    }
    return found
  }

  #drags(text: string, unwanted: string | undefined): number {
    const own = this.termsIn(text).flatMap(({ term }) => this.companions(term))
    const counted = unwanted ? own.filter(({ what }) => alike(what, unwanted)) : own
    return Math.max(0, ...counted.map(({ strength }) => strength))
  }

  /**
   * Ways to say a word without what it brings: other words for it, its meaning, kin and what it is a kind of, those
   * that drag in least first. With `unwanted`, only that companion counts, and what still brings it is left out.
   */
  without(word: string, unwanted?: string): Description[] {
    const row = this.#row(word)
    if (!row) return []
    const own = singularOf(word.trim().toLowerCase())
    const ways: { text: string; source: Description['source'] }[] = [
      ...(row.s ?? []).map((text) => ({ text, source: 'synonym' as const })),
      // “One who lives alone” as it can stand for the word: “a person who lives alone”.
      ...(row.m ? [{ text: row.m.replace(/^(?:one|someone|somebody)(?= )/i, 'a person'), source: 'meaning' as const }] : []),
      ...(row.n ?? []).map((text) => ({ text, source: 'kin' as const })),
      ...(row.k ? [{ text: row.k, source: 'broader' as const }] : []),
    ]
    const seen = new Set<string>()
    return ways
      .filter(({ text }) => !seen.has(text) && seen.add(text) && ![...text.matchAll(WORD)].some(([one]) => singularOf(one.toLowerCase()) === own))
      .map(({ text, source }) => ({ text, source, drags: this.#drags(text, unwanted) }))
      .filter(({ drags, text }) => !unwanted || (drags < 0.3 && !alike(text, unwanted)))
      .sort((a, b) => a.drags - b.drags || KEEPS[b.source] - KEEPS[a.source])
  }
}

/** Whether two short texts share a word, whatever its number. */
function alike(a: string, b: string): boolean {
  const words = new Set([...a.toLowerCase().matchAll(WORD)].map(([word]) => singularOf(word)))
  return [...b.toLowerCase().matchAll(WORD)].some(([word]) => word.length > 2 && words.has(singularOf(word)))
}
