import { changesFit, changeText, type Draft, type EngineProfile, type Finding, fixedFacetsOf, outputFor } from '@idolon/core'
import { createReader, type FixedFacet, type Reader, rewriteDraft, Suggester } from '@idolon/core/reader'
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
let checking: Promise<(draft: Draft, engine: EngineProfile | undefined) => Finding[]> | undefined
const checks = (reader: Reader) =>
  (checking ??= Promise.all([import('@idolon/core/check'), bytes(kinUrl), bytes(knownUrl)]).then(([{ checkDraft, Kin, Known }, kin, known]) => {
    const language = { words: reader.words, kin: new Kin(kin, reader.words), known: new Known(known) }
    return (draft, engine) => checkDraft(draft, reader.read(draft.text, fixedFacetsOf(draft.marks)), language, { engine })
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
    const { id, draft, engine } = question
    // A worker whose vocabulary cannot be loaded is started again, as one that throws.
    checks(own.reader).then(
      (check) => say({ type: 'answer', id, answer: check(draft, engine) }),
      (error: unknown) => setTimeout(() => { throw error }),
    )
  } else {
    own.suggester ??= new Suggester(own.reader.words)
    const text = current?.text ?? ''
    say({ type: 'answer', id: question.id, answer: own.suggester.suggest(question.facet, text, own.reader.read(text, current?.fixed).phrases, question.typed, question.most) })
  }
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

async function bytes(url: string): Promise<Uint8Array> {
  const response = await fetch(url)
  if (!response.ok) throw new Error(`The reading's tables could not be loaded (status ${response.status}).`)
  return new Uint8Array(await response.arrayBuffer())
}
own.reader = createReader(await bytes(wordsUrl), await bytes(readerUrl))
say({ type: 'ready' })
readSoon()
questions.splice(0).forEach(answer)
