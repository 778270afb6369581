import { changesFit, changeText } from '@idolon/core'
import { createReader, type FixedFacet, type Reader } from '@idolon/core/reader'
import readerUrl from '@idolon/core/tables/reader.bin?url'
import wordsUrl from '@idolon/core/tables/words.bin?url'
import type { FromWorker, ToWorker } from './protocol.ts'

interface Wanted {
  revision: number
  text: string
  fixed: readonly FixedFacet[]
}

const own: { reader?: Reader } = {}
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

self.onmessage = ({ data }: MessageEvent<ToWorker>) => {
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
