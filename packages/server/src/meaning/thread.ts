import { parentPort, workerData } from 'node:worker_threads'
import { KeptVectors } from './kept-vectors.ts'
import type { Answered, Asked } from './meaning-thread.ts'
import { sentenceVectors } from './sentences.ts'

const kept = new KeptVectors(workerData as string, sentenceVectors)

parentPort?.on('message', ({ id, ask }: Asked) => {
  const answer = ask.what === 'vectors' ? sentenceVectors(ask.texts) : kept.closest(ask.wanted, ask.nearest)
  answer.then(
    (found) => parentPort?.postMessage({ id, found } satisfies Answered),
    (error: unknown) => parentPort?.postMessage({ id, wrong: error instanceof Error ? error.message : String(error) } satisfies Answered),
  )
})
