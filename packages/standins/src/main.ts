import { createStandin } from './app.ts'

const port = Number(process.env['PORT'] ?? 4174)
const server = createStandin({ delayMs: Number(process.env['DELAY_MS'] ?? 0) }).listen(port, '127.0.0.1', (error) => {
  if (error) throw error
  process.send?.({ ready: true })
  console.log(`The simulated engines listen on http://127.0.0.1:${port}`)
})

const close = () => {
  server.closeAllConnections()
  server.close(() => process.exit(0))
}
process.on('SIGTERM', close)
process.on('SIGINT', close)
process.on('disconnect', close)
