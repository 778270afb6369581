import { createServer } from 'node:net'

const canListen = (port: number): Promise<number | undefined> =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => {
      resolve(undefined)
    })
    probe.listen(port, '127.0.0.1', () => {
      const { port: got } = probe.address() as { port: number }
      probe.close(() => {
        resolve(got)
      })
    })
  })

export const isFree = async (port: number): Promise<boolean> => (await canListen(port)) !== undefined

/** A free port: `wanted` if it is, else one the system chooses. */
export async function freePort(wanted = 0): Promise<number> {
  const port = (await canListen(wanted)) ?? (await canListen(0))
  if (port === undefined) throw new Error('No port on 127.0.0.1 is free.')
  return port
}
