import { type AssociationTable, changesFit, changeText, closenessOfExamples, combinationsOf, Differences, type Draft, emptyDraft, type Finding, fixedFacetsOf, type GlossaryEntry, learnedSlots, learnWritingStyle, learnTemplate, type WritingStyleBody, styleCloseness, outputFor, readTemplate, takenApart, valuesFor } from '@idolon/core'
import type { Around } from '@idolon/core/check'
import { createReader, fillTemplate, type FixedFacet, type Reader, rewriteDraft, Suggester, trimFor, writeInStyle } from '@idolon/core/reader'
import associationsUrl from '@idolon/core/tables/associations.json?url'
import glossaryUrl from '@idolon/core/tables/glossary.json?url'
import kinUrl from '@idolon/core/tables/kin.bin?url'
import knownUrl from '@idolon/core/tables/known.bin?url'
import readerUrl from '@idolon/core/tables/reader.bin?url'
import wordsUrl from '@idolon/core/tables/words.bin?url'
import type { AskKind, Asks, FromWorker, ToWorker } from './protocol.ts'

interface Wanted {
  revision: number
  text: string
  fixed: readonly FixedFacet[]
}

const own: { reader?: Reader; suggester?: Suggester } = {}
let current: Wanted | undefined
let waiting = false

const say = (message: FromWorker) => postMessage(message)

/** Reads the newest text once what has arrived meanwhile is taken in, so that a burst of keys is read once. */
function readSoon(): void {
  if (waiting || !own.reader || !current) return
  waiting = true
  setTimeout(() => {
    waiting = false
    if (!own.reader || !current) return
    say({ type: 'reading', revision: current.revision, reading: own.reader.read(current.text, current.fixed) })
  })
}

/** The checks and their vocabulary, loaded when they are first asked for. */
let checking: Promise<(draft: Draft, around: Around) => Finding[]> | undefined
const checks = (reader: Reader) =>
  (checking ??= Promise.all([import('@idolon/core/check'), bytes(kinUrl), bytes(knownUrl), bytes(associationsUrl), bytes(glossaryUrl)]).then(([{ checkDraft, createLanguage }, kin, known, associations, glossary]) => {
    const language = createLanguage(reader.words, { kin, known, associations: json(associations) as AssociationTable, glossary: json(glossary) as GlossaryEntry[] })
    return (draft, around) => checkDraft(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), language, around)
  }))

type Question = Extract<ToWorker, { type: 'ask' }>
type Answering = { [K in AskKind]: (asked: Asks[K]['ask'], reader: Reader) => Asks[K]['answer'] | Promise<Asks[K]['answer']> }
const questions: Question[] = []

const phrasesWith = (reader: Reader) => ({ text, marks }: Draft) => reader.read(text, fixedFacetsOf(marks)).phrases
/** Terms of the glossary for the text as it is now. */
const suggesting = (reader: Reader) => {
  own.suggester ??= new Suggester(reader.words)
  const text = current?.text ?? ''
  return { suggester: own.suggester, text, phrases: reader.read(text, current?.fixed).phrases }
}
/** What belongs to helpers is loaded when a proposal is first looked at. */
const helping = () => import('@idolon/core/helper')

function closenessOf(reader: Reader, writingStyle: WritingStyleBody, text: string) {
  const read = (one: string) => ({ text: one, phrases: reader.read(one).phrases })
  return { closeness: styleCloseness(read(text), writingStyle), examples: writingStyle.examples.length ? closenessOfExamples(writingStyle.examples.map(read), writingStyle) : [] }
}

const ANSWERS: Answering = {
  suggest: ({ facet, typed, most }, reader) => {
    const { suggester, text, phrases } = suggesting(reader)
    return suggester.suggest(facet, text, phrases, typed, most)
  },
  complete: ({ typed, most }, reader) => {
    const { suggester, text, phrases } = suggesting(reader)
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
  check: async ({ draft, engine, rules, ownWords }, reader) => (await checks(reader))(draft, { engine, rules, ownWords: new Set(ownWords) }),
  proposal: async ({ draft, proposed, engine, rules, ownWords }, reader) => {
    const [helper, check] = await Promise.all([helping(), checks(reader)])
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
    const check = await checks(reader)
    const trouble = (text: string) => check({ ...emptyDraft(), text }, {}).filter(({ severity }) => severity !== 'tip').length
    own.suggester ??= new Suggester(reader.words)
    const written = writeInStyle(writingStyle, source, reader, own.suggester, { trouble, take, ...(words === undefined ? {} : { words }) })
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

/** A worker that cannot answer, since something cannot be loaded, is started again as one that throws. */
async function answer(question: Question): Promise<void> {
  if (!own.reader) {
    questions.push(question)
    return
  }
  const how = ANSWERS[question.kind] as (asked: Question, reader: Reader) => Asks[AskKind]['answer'] | Promise<Asks[AskKind]['answer']>
  say({ type: 'answer', id: question.id, answer: await how(question, own.reader) })
}
const answerOrFail = (question: Question): void => void answer(question).catch((error: unknown) => setTimeout(() => { throw error }))

self.onmessage = ({ data }: MessageEvent<ToWorker>) => {
  if (data.type === 'ask') {
    answerOrFail(data)
    return
  }
  if (data.type === 'text') current = data
  else if (current?.revision === data.base && changesFit(data.changes, current.text.length)) {
    current = { revision: data.revision, text: changeText(current.text, data.changes), fixed: data.fixed }
  } else {
    say({ type: 'behind', revision: data.revision })
    return
  }
  readSoon()
}

const json = (given: Uint8Array): unknown => JSON.parse(new TextDecoder().decode(given))

async function bytes(url: string): Promise<Uint8Array> {
  const response = await fetch(url)
  if (!response.ok) throw new Error(`The reading's tables could not be loaded (status ${response.status}).`)
  return new Uint8Array(await response.arrayBuffer())
}
own.reader = createReader(await bytes(wordsUrl), await bytes(readerUrl))
say({ type: 'ready' })
readSoon()
questions.splice(0).forEach(answerOrFail)
