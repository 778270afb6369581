import { type AssociationTable, changesFit, changeText, Differences, type Draft, type Finding, fixedFacetsOf, type GlossaryEntry, outputFor } from '@idolon/core'
import type { Around } from '@idolon/core/check'
import { createReader, type FixedFacet, type Reader, rewriteDraft, Suggester, trimFor } from '@idolon/core/reader'
import associationsUrl from '@idolon/core/tables/associations.json?url'
import glossaryUrl from '@idolon/core/tables/glossary.json?url'
import kinUrl from '@idolon/core/tables/kin.bin?url'
import knownUrl from '@idolon/core/tables/known.bin?url'
import readerUrl from '@idolon/core/tables/reader.bin?url'
import wordsUrl from '@idolon/core/tables/words.bin?url'
import type { FromWorker, ToWorker } from './protocol.ts'

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
const questions: Question[] = []

function answer(question: Question): void {
  if (!own.reader) {
    questions.push(question)
    return
  }
  if (question.kind === 'rewrite') {
    const { draft, style } = question
    say({ type: 'answer', id: question.id, answer: rewriteDraft(draft, own.reader.read(draft.text, fixedFacetsOf(draft.marks)), style, own.reader) })
  } else if (question.kind === 'output') {
    const { id, draft, engine } = question
    say({ type: 'answer', id, answer: outputFor(draft, engine, { reading: own.reader.read(draft.text, fixedFacetsOf(draft.marks)), words: own.reader.words }) })
  } else if (question.kind === 'check') {
    const { id, draft, engine, rules, ownWords } = question
    // A worker whose vocabulary cannot be loaded is started again, as one that throws.
    checks(own.reader).then(
      (check) => say({ type: 'answer', id, answer: check(draft, { engine, rules, ownWords: new Set(ownWords) }) }),
      (error: unknown) => setTimeout(() => { throw error }),
    )
  } else if (question.kind === 'differences') {
    const { id, before, after } = question
    const read = ({ text, marks }: Draft) => own.reader!.read(text, fixedFacetsOf(marks)).phrases
    const differences = new Differences(before, after, read(before), read(after))
    say({ type: 'answer', id, answer: differences.list.map((difference, i) => ({ difference, edit: differences.edit([i]) })) })
  } else if (question.kind === 'proposal' || question.kind === 'take' || question.kind === 'leave') {
    answerProposal(question, own.reader)
  } else if (question.kind === 'trim') {
    say({ type: 'answer', id: question.id, answer: trimFor(question.draft, question.engine, own.reader) })
  } else {
    own.suggester ??= new Suggester(own.reader.words)
    const text = current?.text ?? ''
    const { phrases } = own.reader.read(text, current?.fixed)
    const answer = question.kind === 'complete' ? own.suggester.complete(question.typed, text, phrases, question.most) : own.suggester.suggest(question.facet, text, phrases, question.typed, question.most)
    say({ type: 'answer', id: question.id, answer })
  }
}

/** What belongs to helpers is loaded when a proposal is first looked at. */
function answerProposal(question: Extract<Question, { kind: 'proposal' | 'take' | 'leave' }>, reader: Reader): void {
  const { id, draft, proposed } = question
  const phrasesOf = ({ text, marks }: Draft) => reader.read(text, fixedFacetsOf(marks)).phrases
  const asked = Promise.all([import('@idolon/core/helper'), question.kind === 'proposal' ? checks(reader) : undefined]).then(([helper, check]) => {
    if (question.kind === 'take') return helper.takeUnits(draft, proposed, phrasesOf, question.chosen, question.helper)
    if (question.kind === 'leave') return helper.leaveUnits(draft, proposed, phrasesOf, question.left)
    const around: Around = { engine: question.engine, rules: question.rules, ownWords: new Set(question.ownWords) }
    const found = check ? helper.newFindings(draft.text.trim() ? check(draft, around) : [], check(proposed, around)) : []
    return helper.proposalUnits(draft, proposed, phrasesOf, found)
  })
  asked.then(
    (answer) => say({ type: 'answer', id, answer }),
    (error: unknown) => setTimeout(() => { throw error }),
  )
}

self.onmessage = ({ data }: MessageEvent<ToWorker>) => {
  if (data.type === 'ask') {
    answer(data)
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
questions.splice(0).forEach(answer)
