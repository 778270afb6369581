import { setFlagsFromString } from 'node:v8'
import { keyFrom } from './security/sealed.ts'
import { settingsFrom } from './settings.ts'
import { startServer } from './start-server.ts'

// The heap grows by a fifth where it is full, instead of to twice its size: garbage of a large file is collected before more is taken.
setFlagsFromString('--heap-growing-percent=20')

const settings = settingsFrom(process.env)
const keyFile = process.env['IDOLON_KEY_FILE']
const server = await startServer({ ...settings, secretKey: settings.secretKey ?? (keyFile ? await keyFrom(keyFile) : undefined) })
process.send?.({ ready: server.address ?? 'jobs' })
console.log(`Idolon serves ${server.address ?? 'jobs'}`)

let closing = false
async function close(): Promise<void> {
  if (closing) return
  closing = true
  // Whatever does not close in time is left to the leases.
  setTimeout(() => process.exit(0), 3_000).unref()
  await server.close()
  process.exit(0)
}
process.on('SIGTERM', () => void close())
process.on('SIGINT', () => void close())
// The launcher holds the other end; when it dies, this process goes too.
process.on('disconnect', () => void close())
