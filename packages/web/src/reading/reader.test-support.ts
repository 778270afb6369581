import type { AssociationTable, GlossaryEntry } from '@idolon/core'
import { createReader, type Reader } from '@idolon/core/reader'
import associations from '@idolon/core/tables/associations.json?raw'
import glossary from '@idolon/core/tables/glossary.json?raw'
import kin from '@idolon/core/tables/kin.bin?inline'
import known from '@idolon/core/tables/known.bin?inline'
import network from '@idolon/core/tables/reader.bin?inline'
import words from '@idolon/core/tables/words.bin?inline'
import type { FromWorker, ToWorker } from './protocol.ts'
import type { ReadingWorker } from './reading-client.ts'
import { type CheckTables, ReadingService } from './reading-service.ts'

const bytesOf = (url: string) => Uint8Array.from(atob(url.slice(url.indexOf(',') + 1)), (letter) => letter.charCodeAt(0))
let reader: Reader | undefined
/** The reader with the tables that ship. */
export const aReader = (): Reader => (reader ??= createReader(bytesOf(words), bytesOf(network)))
export const checkTables = (): Promise<CheckTables> => Promise.resolve({ kin: bytesOf(kin), known: bytesOf(known), associations: JSON.parse(associations) as AssociationTable, glossary: JSON.parse(glossary) as GlossaryEntry[] })

/**
 * A worker that reads, without a thread: what a test mocks `startReadingWorker` with where its view should say what
 * the shipped tables say.
 */
export function readingHere(): ReadingWorker {
  let over = false
  const worker: ReadingWorker = {
    onmessage: null,
    onerror: null,
    postMessage: (message: ToWorker) => queueMicrotask(() => over || service.receive(message)),
    terminate: () => (over = true),
  }
  const service = new ReadingService(
    (message: FromWorker) => over || worker.onmessage?.({ data: message } as MessageEvent<FromWorker>),
    checkTables,
    (error) => { throw error },
  )
  queueMicrotask(() => service.begin(aReader()))
  return worker
}
