import type { Draft } from '../draft/shape.ts'
import type { EngineProfile } from '../engine/profile.ts'
import type { Facet } from '../facet.ts'
import type { Found, TermFinder } from '../glossary/term-finder.ts'
import { covered } from '../phrase/marks.ts'
import type { Noise, Phrase, Reading } from '../read/reading.ts'
import type { TextRange } from '../text-range.ts'
import type { Finding } from './finding.ts'
import type { Language } from './language.ts'
import { type HouseRules, NO_RULES } from './rules.ts'

/** What is known beside the draft. */
export interface Around {
  /** Without one, an engine that takes anything and has a leave-out list. */
  engine?: EngineProfile | undefined
  rules?: HouseRules | undefined
  /** Words that are right here though no dictionary has them, in lower case. */
  ownWords?: ReadonlySet<string> | undefined
}

const blank = (text: string, { start, end }: TextRange) => text.slice(0, start) + text.slice(start, end).replace(/[^\n]/g, ' ') + text.slice(end)

/** A draft with all that a check may look at. Phrases that are switched off are no part of it. */
export class Checked {
  readonly phrases: readonly Phrase[]
  readonly noise: readonly Noise[]
  /** The text as long as it was, with spaces where something is off or no part of the picture. */
  readonly shown: string
  /** The same in lower case, place by place. */
  readonly lower: string
  readonly rules: HouseRules
  readonly engine: EngineProfile | undefined
  readonly ownWords: ReadonlySet<string>

  constructor(
    readonly draft: Draft,
    readonly reading: Reading,
    readonly language: Language,
    { engine, rules, ownWords }: Around = {},
  ) {
    const off = (range: TextRange) => covered(draft.text, draft.marks, 'off', range)
    this.phrases = reading.phrases.filter((phrase) => !off(phrase))
    this.noise = reading.noise.filter((one) => !off(one))
    const hidden = [...draft.marks.filter(({ kind }) => kind === 'off').map(({ from, to }) => ({ start: from, end: to })), ...reading.noise]
    this.shown = hidden.reduce(blank, draft.text)
    const lower = this.shown.toLowerCase()
    // A few letters grow when they are made small; then places would not fit.
    this.lower = lower.length === this.shown.length ? lower : this.shown
    this.engine = engine
    this.rules = rules ?? NO_RULES
    this.ownWords = ownWords ?? new Set()
  }

  of(...facets: Facet[]): Phrase[] {
    return this.phrases.filter(({ facet }) => facets.includes(facet))
  }

  /** The phrase that holds a place of the text. */
  phraseAt(place: number): Phrase | undefined {
    return this.phrases.find(({ start, end }) => start <= place && place < end)
  }

  /** Terms of a list that stand in phrases of some facets, in the order of the text. */
  terms<T>(finder: TermFinder<T>, facets: readonly Facet[]): (Found<T> & { phrase: Phrase })[] {
    return finder.find(this.shown).flatMap((found) => {
      const phrase = this.phraseAt(found.start)
      return phrase && facets.includes(phrase.facet) ? [{ ...found, phrase }] : []
    })
  }

  said({ start, end }: TextRange): string {
    return this.draft.text.slice(start, end)
  }
}

/** One kind of check. */
export type Check = (checked: Checked) => Finding[]
