import { type AssociationTable, changesFit, changeText, closenessOfExamples, combinationsOf, Differences, type Draft, emptyDraft, type Finding, fixedFacetsOf, type GlossaryEntry, learnedSlots, learnWritingStyle, learnTemplate, type WritingStyleBody, styleCloseness, outputFor, readTemplate, takenApart, valuesFor } from '@idolon/core'
import type { Around } from '@idolon/core/check'
import { fillTemplate, type FixedFacet, type Reader, rewriteDraft, Suggester, trimFor, writeInStyle } from '@idolon/core/reader'
import type { AskKind, Asks, FromWorker, ToWorker } from './protocol.ts'

interface Wanted {
  revision: number
  text: string
  fixed: readonly FixedFacet[]
}
type Question = Extract<ToWorker, { type: 'ask' }>
type Answering = { [K in AskKind]: (asked: Asks[K]['ask'], reader: Reader) => Asks[K]['answer'] | Promise<Asks[K]['answer']> }

/** The vocabulary of the checks. */
export interface CheckTables {
  kin: Uint8Array
  known: Uint8Array
  associations: AssociationTable
  glossary: GlossaryEntry[]
}

/**
 * Reads the text it is told of, and answers questions about texts: what the worker does, without the thread. What comes
 * in before it has its reader is kept. `checkTables` gives what the checks need, and is asked when they are first wanted.
 */
export class ReadingService {
  #reader: Reader | undefined
  #suggester: Suggester | undefined
  #current: Wanted | undefined
  #waiting = false
  #checking: Promise<(draft: Draft, around: Around) => Finding[]> | undefined
  readonly #questions: Question[] = []

  constructor(
    private readonly say: (message: FromWorker) => void,
    private readonly checkTables: () => Promise<CheckTables>,
    /** Told of a question that could not be answered, since something cannot be loaded. */
    private readonly failed: (error: unknown) => void,
  ) {}

  /** Reads and answers from now on, what is waiting first. */
  begin(reader: Reader): void {
    this.#reader = reader
    this.say({ type: 'ready' })
    this.#readSoon()
    for (const question of this.#questions.splice(0)) this.#answer(question)
  }

  receive(message: ToWorker): void {
    if (message.type === 'ask') {
      this.#answer(message)
      return
    }
    if (message.type === 'text') this.#current = message
    else if (this.#current?.revision === message.base && changesFit(message.changes, this.#current.text.length)) {
      this.#current = { revision: message.revision, text: changeText(this.#current.text, message.changes), fixed: message.fixed }
    } else {
      this.say({ type: 'behind', revision: message.revision })
      return
    }
    this.#readSoon()
  }

  /** Reads the newest text once what has arrived meanwhile is taken in, so that a burst of keys is read once. */
  #readSoon(): void {
    if (this.#waiting || !this.#reader || !this.#current) return
    this.#waiting = true
    setTimeout(() => {
      this.#waiting = false
      if (!this.#reader || !this.#current) return
      this.say({ type: 'reading', revision: this.#current.revision, reading: this.#reader.read(this.#current.text, this.#current.fixed) })
    })
  }

  #answer(question: Question): void {
    const reader = this.#reader
    if (!reader) {
      this.#questions.push(question)
      return
    }
    const how = this.#answers[question.kind] as (asked: Question, reader: Reader) => Asks[AskKind]['answer'] | Promise<Asks[AskKind]['answer']>
    void (async () => {
      try {
        this.say({ type: 'answer', id: question.id, answer: await how(question, reader) })
      } catch (error) {
        this.failed(error)
      }
    })()
  }

  /** The checks and their vocabulary, loaded when they are first asked for. */
  #checks(reader: Reader): Promise<(draft: Draft, around: Around) => Finding[]> {
    return (this.#checking ??= Promise.all([import('@idolon/core/check'), this.checkTables()]).then(([{ checkDraft, createLanguage }, tables]) => {
      const language = createLanguage(reader, tables)
      return (draft, around) => checkDraft(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), language, around)
    }))
  }

  /** Terms of the glossary for the text as it is now. */
  #suggesting(reader: Reader) {
    this.#suggester ??= new Suggester(reader.words)
    const text = this.#current?.text ?? ''
    return { suggester: this.#suggester, text, phrases: reader.read(text, this.#current?.fixed).phrases }
  }

  readonly #answers: Answering = {
    suggest: ({ facet, typed, most }, reader) => {
      const { suggester, text, phrases } = this.#suggesting(reader)
      return suggester.suggest(facet, text, phrases, typed, most)
    },
    complete: ({ typed, most }, reader) => {
      const { suggester, text, phrases } = this.#suggesting(reader)
      return suggester.complete(typed, text, phrases, most)
    },
    read: ({ text }, reader) => reader.read(text),
    rewrite: ({ draft, style }, reader) => rewriteDraft(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), style, reader),
    output: ({ draft, engine }, reader) => outputFor(draft, engine, { reading: reader.read(draft.text, fixedFacetsOf(draft.marks)), words: reader.words }),
    trim: ({ draft, engine }, reader) => trimFor(draft, engine, reader),
    differences: ({ before, after }, reader) => {
      const phrases = phrasesWith(reader)
      const differences = new Differences(before, after, phrases(before), phrases(after))
      return differences.list.map((difference, i) => ({ difference, edit: differences.edit([i]) }))
    },
    check: async ({ draft, engine, rules, ownWords }, reader) => (await this.#checks(reader))(draft, { engine, rules, ownWords: new Set(ownWords) }),
    proposal: async ({ draft, proposed, engine, rules, ownWords }, reader) => {
      const [helper, check] = await Promise.all([helping(), this.#checks(reader)])
      const around: Around = { engine, rules, ownWords: new Set(ownWords) }
      return helper.proposalUnits(draft, proposed, phrasesWith(reader), helper.newFindings(draft.text.trim() ? check(draft, around) : [], check(proposed, around)))
    },
    take: async ({ draft, proposed, chosen, helper }, reader) => (await helping()).takeUnits(draft, proposed, phrasesWith(reader), chosen, helper),
    leave: async ({ draft, proposed, left }, reader) => (await helping()).leaveUnits(draft, proposed, phrasesWith(reader), left),
    fill: ({ text, slots, rows }, reader) => {
      const { parts } = readTemplate(text)
      const facets = new Map(slots.map(({ name, facet }) => [name, facet]))
      return rows.map((values) => fillTemplate(parts, valuesFor(slots, values), reader.words, (slot) => facets.get(slot)))
    },
    learnWritingStyle: ({ name, texts }, reader) => {
      const examples = texts.map((text) => ({ text, phrases: reader.read(text).phrases }))
      const writingStyle = learnWritingStyle(name, examples)
      return { writingStyle, examples: closenessOfExamples(examples, writingStyle) }
    },
    inStyle: async ({ writingStyle, source, words, take }, reader) => {
      const check = await this.#checks(reader)
      const trouble = (text: string) => check({ ...emptyDraft(), text }, {}).filter(({ severity }) => severity !== 'tip').length
      this.#suggester ??= new Suggester(reader.words)
      const written = writeInStyle(writingStyle, source, reader, this.#suggester, { trouble, take, ...(words === undefined ? {} : { words }) })
      return { ...written, ...closenessOf(reader, writingStyle, written.text) }
    },
    styleCloseness: ({ writingStyle, text }, reader) => closenessOf(reader, writingStyle, text),
    combinations: (plan) => combinationsOf(plan),
    learn: ({ texts }, reader) => {
      const reads = (text: string) => reader.read(text).phrases
      const [only = '', second] = texts
      if (second !== undefined) return learnedSlots(learnTemplate(texts, reads))
      const { text, slots, values } = takenApart(only, reads(only))
      return { text, slots, rows: [values] }
    },
  }
}

const phrasesWith = (reader: Reader) => ({ text, marks }: Draft) => reader.read(text, fixedFacetsOf(marks)).phrases
/** What belongs to helpers is loaded when a proposal is first looked at. */
const helping = () => import('@idolon/core/helper')

function closenessOf(reader: Reader, writingStyle: WritingStyleBody, text: string) {
  const read = (one: string) => ({ text: one, phrases: reader.read(one).phrases })
  return { closeness: styleCloseness(read(text), writingStyle), examples: writingStyle.examples.length ? closenessOfExamples(writingStyle.examples.map(read), writingStyle) : [] }
}
