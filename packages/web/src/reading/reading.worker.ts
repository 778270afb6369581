import type { AssociationTable, GlossaryEntry } from '@idolon/core'
import { createReader } from '@idolon/core/reader'
import associationsUrl from '@idolon/core/tables/associations.json?url'
import glossaryUrl from '@idolon/core/tables/glossary.json?url'
import kinUrl from '@idolon/core/tables/kin.bin?url'
import knownUrl from '@idolon/core/tables/known.bin?url'
import readerUrl from '@idolon/core/tables/reader.bin?url'
import wordsUrl from '@idolon/core/tables/words.bin?url'
import type { ToWorker } from './protocol.ts'
import { ReadingService } from './reading-service.ts'

async function fetched(url: string): Promise<Response> {
  const response = await fetch(url)
  if (!response.ok) throw new Error(`The reading's tables could not be loaded (status ${response.status}).`)
  return response
}
const bytes = async (url: string) => new Uint8Array(await (await fetched(url)).arrayBuffer())
const json = async (url: string): Promise<unknown> => (await fetched(url)).json()

const service = new ReadingService(
  (message) => postMessage(message),
  async () => {
    const [kin, known, associations, glossary] = await Promise.all([bytes(kinUrl), bytes(knownUrl), json(associationsUrl), json(glossaryUrl)])
    return { kin, known, associations: associations as AssociationTable, glossary: glossary as GlossaryEntry[] }
  },
  // A worker that cannot answer is started again, as one that throws.
  (error) => setTimeout(() => { throw error }),
)
self.onmessage = ({ data }: MessageEvent<ToWorker>) => service.receive(data)
service.begin(createReader(await bytes(wordsUrl), await bytes(readerUrl)))
