import { parentPort } from 'node:worker_threads'
import { NotAPicture } from '../not-a-picture.ts'
import { lookAt } from './look-at.ts'
import type { Said } from './reader.ts'

const say = (said: Said) => parentPort?.postMessage(said)

parentPort?.on('message', (bytes: Uint8Array) => {
  lookAt(Buffer.from(bytes), { first: (first) => say({ first }), facts: (facts) => say({ facts }) }).then(
    (reading) => say({ reading }),
    (error: unknown) => say({ wrong: error instanceof Error ? error.message : String(error), isPicture: !(error instanceof NotAPicture) }),
  )
})
