import { createStandin } from './app.ts'
import { createLanguageStandin } from './language/chat.ts'

/** What this process plays: the picture engines, or the language models. */
const language = process.env['STANDIN'] === 'language'
const port = Number(process.env['PORT'] ?? (language ? 4175 : 4174))
const delayMs = Number(process.env['DELAY_MS'] ?? 0)
const server = (language ? createLanguageStandin({ delayMs }) : createStandin({ delayMs })).listen(port, '127.0.0.1', (error) => {
  if (error) throw error
  process.send?.({ ready: true })
  console.log(`The simulated ${language ? 'language models' : 'engines'} listen on http://127.0.0.1:${port}`)
})

const close = () => {
  server.closeAllConnections()
  server.close(() => process.exit(0))
}
process.on('SIGTERM', close)
process.on('SIGINT', close)
process.on('disconnect', close)
