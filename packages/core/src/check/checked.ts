import type { Draft } from '../draft/shape.ts'
import type { EngineProfile } from '../engine/profile.ts'
import type { Facet } from '../facet.ts'
import { covered } from '../phrase/marks.ts'
import { NOUN, PROPN } from '../read/parts-of-speech.ts'
import type { Noise, Phrase, Reading } from '../read/reading.ts'
import { isFunctionWord } from '../read/words/function-words.ts'
import type { Dimension } from '../lexicon/dimension.ts'
import { type Saying, sayingsIn } from '../lexicon/lexicon.ts'
import { type Owner, ownersOf } from '../lexicon/owner.ts'
import { holds } from '../lexicon/scope.ts'
import { type Showing, showingsIn } from '../lexicon/shown.ts'
import { type LexicalWord, lexicalWords } from '../lexicon/words.ts'
import { withInner } from '../structure/noun-phrases.ts'
import { type Clause, structureOf } from '../structure/structure.ts'
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

/** Whether it is a turn of phrase that means the same wherever it stands; “from above” is of the view or of the light. */
const isTurn = (words: readonly LexicalWord[], { from, to }: Saying): boolean => to - from > 1 && !isFunctionWord(words[from]!.lower)

/** A quality that is only coming about: wet clothes that are drying are not dry. */
const isGoingOn = (words: readonly LexicalWord[], { dimension, from, to, term }: Saying): boolean => dimension.of === 'thing' && to - from === 1 && words[from]!.lower.endsWith('ing') && !term.endsWith('ing')

/** Something that the text says, with the phrase it stands in. */
export interface Said extends Saying {
  phrase: Phrase
}

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
  #words: readonly LexicalWord[] | undefined
  #sayings: readonly Said[] | undefined
  #clauses: readonly Clause[] | undefined
  #showings: readonly Showing[] | undefined
  #namingOthers: ReadonlySet<number> | undefined

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

  /** The words of what is shown, as the lexicon sees them. */
  get words(): readonly LexicalWord[] {
    return (this.#words ??= lexicalWords(this.shown))
  }

  /** The first word that begins at a place or after it. */
  wordFrom(place: number): LexicalWord | undefined {
    return this.words.find(({ start }) => start >= place)
  }

  /** How the sentences are built; found when first asked for. */
  get clauses(): readonly Clause[] {
    return (this.#clauses ??= structureOf(this.shown, this.language.analyse, this.language.words))
  }

  /** Nouns that only tell of which kind another is (“sign” of “sign language”), by where they begin. */
  get namingOthers(): ReadonlySet<number> {
    return (this.#namingOthers ??= new Set(
      this.clauses.flatMap(({ words, phrases }) =>
        phrases
          .flatMap(withInner)
          .flatMap(({ from, head }) => words.slice(from, head))
          .filter(({ tag, lower }) => tag === NOUN || tag === PROPN || ((this.language.words.find(lower)?.classes ?? 0) & CAN_BE_NOUN) !== 0)
          .map(({ start }) => start),
      ),
    ))
  }

  /** What the text says of the picture by the lexicon, in order: nothing that is denied, likened or only words to be read. */
  get sayings(): readonly Said[] {
    return (this.#sayings ??= sayingsIn(this.words, this.isKind).flatMap((one) => {
      const phrase = this.phraseAt(one.start) ?? this.phraseAt(one.end - 1)
      const fits = phrase && phrase.facet !== 'lettering' && (isTurn(this.words, one) || one.dimension.facets.includes(phrase.facet))
      return fits && !isGoingOn(this.words, one) && holds(this.words, one, this.isKind) ? [{ ...one, phrase }] : []
    }))
  }

  saidOf(dimension: Dimension): Said[] {
    return this.sayings.filter((one) => one.dimension === dimension)
  }

  /** What else the text shows by what it says: graves by a churchyard. */
  get showings(): readonly Showing[] {
    return (this.#showings ??= showingsIn(this.words, this.isKind))
  }

  /** As `Language.isKind`. */
  get isKind(): Language['isKind'] {
    return this.language.isKind
  }

  /** What something is said of, as far as the sentence tells. */
  ownersOf(one: Said): Owner[] {
    return ownersOf(this.clauses, one, one.dimension.of === 'thing')
  }

  said({ start, end }: TextRange): string {
    return this.draft.text.slice(start, end)
  }
}

/** A bit of a word's classes. */
const CAN_BE_NOUN = 1

/** One kind of check. */
export type Check = (checked: Checked) => Finding[]
