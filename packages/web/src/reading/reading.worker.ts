import { changesFit, changeText, fixedFacetsOf } from '@idolon/core'
import { createReader, type FixedFacet, type Reader, rewriteDraft, Suggester } from '@idolon/core/reader'
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
